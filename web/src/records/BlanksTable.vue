<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { count } from '@/stick'
import { computed, ref } from 'vue'
import BlankLists from './BlankLists.vue'
import OddRows from './OddRows.vue'
import { partWords } from './state'

/** How often each field is blank: of people, and of the records of each kind. */
const { blanks } = defineProps<{ blanks: Schemas['BlanksView'][] }>()

/** What it is of, and those of its fields that are blank at all, the blankest first. */
const groups = computed(() => {
  const kinds = [...new Set(blanks.map((one) => one.kind))]
  return kinds.map((kind) => {
    const all = blanks.filter((one) => one.kind === kind)
    const fields = all
      .filter((one) => one.blank > 0)
      .sort((one, other) => other.blank / other.of - one.blank / one.of)
    return { kind, of: all[0]?.of ?? 0, fields }
  })
})

/** The field that is opened to who or what is without it. */
const opened = ref<Schemas['BlanksView']>()

function toggle(one: Schemas['BlanksView']) {
  opened.value = opened.value === one ? undefined : one
}

function queryOf({ kind, field }: Schemas['BlanksView']): string {
  return `kind=${encodeURIComponent(kind)}&field=${encodeURIComponent(field)}`
}
</script>

<template>
  <table class="on-sheet">
    <thead>
      <tr>
        <th>Of</th>
        <th class="number">All</th>
        <th>Blank in</th>
      </tr>
    </thead>
    <tbody>
      <template v-for="group in groups" :key="group.kind">
        <tr>
          <td>{{ group.kind || 'people' }}</td>
          <td class="number">{{ count(group.of) }}</td>
          <td>
            <span v-if="group.fields.length === 0" class="quiet">nothing</span>
            <template v-for="(one, at) in group.fields" :key="one.field"
              >{{ at ? ', ' : ''
              }}<button
                type="button"
                class="word"
                :aria-expanded="opened === one"
                :title="`${count(one.blank)} blank`"
                @click="toggle(one)"
              >
                {{ one.words }}
              </button>
              {{ partWords(one.blank, one.of) }}</template
            >
          </td>
        </tr>
        <tr v-if="opened?.kind === group.kind">
          <td colspan="3">
            <BlankLists :key="queryOf(opened)" :query="queryOf(opened)" />
            <OddRows
              :key="queryOf(opened)"
              address="/api/records/state/blank"
              :query="queryOf(opened)"
            />
          </td>
        </tr>
      </template>
    </tbody>
  </table>
</template>
