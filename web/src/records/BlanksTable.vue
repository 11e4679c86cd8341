<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { count } from '@/stick'
import { computed } from 'vue'
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
      <tr v-for="group in groups" :key="group.kind">
        <td>{{ group.kind || 'people' }}</td>
        <td class="number">{{ count(group.of) }}</td>
        <td>
          <span v-if="group.fields.length === 0" class="quiet">nothing</span>
          <span
            v-for="(one, at) in group.fields"
            :key="one.field"
            :title="`${count(one.blank)} blank`"
            >{{ at ? ', ' : '' }}{{ one.field }} {{ partWords(one.blank, one.of) }}</span
          >
        </td>
      </tr>
    </tbody>
  </table>
</template>
