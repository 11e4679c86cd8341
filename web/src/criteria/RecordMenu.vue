<script setup lang="ts">
import type { Schemas } from '@/api/client'
import Menu from 'primevue/menu'
import type { MenuItem } from 'primevue/menuitem'
import { computed, useTemplateRef } from 'vue'
import type { JsonObject, TermSet } from './document'
import { wordsOf } from './termsets/members'

/** What a record of an opened person teaches the set: a name that was forgotten, or a reason to be exempt. */
const { record, termSets } = defineProps<{
  record: Schemas['TimelineRecord']
  termSets: TermSet[]
}>()
const emit = defineEmits<{
  /** It counts as what a term set means; a new one where there is none. */
  counts: [member: JsonObject, termSet: string | undefined]
  /** Whoever has such a record is exempt. */
  exempt: [member: JsonObject, name: string, kind: string]
}>()

const menu = useTemplateRef('menu')

/** Its wording, by which people know it; else its code. */
const member = computed(() => {
  if (record.text) {
    return { text: record.text } as JsonObject
  }
  const system: JsonObject = record.system ? { system: record.system } : {}
  return record.code ? { ...system, code: record.code } : undefined
})
const name = computed(() => record.text || record.code)

const items = computed<MenuItem[]>(() => {
  const own = member.value
  return own
    ? [
        { label: wordsOf(own), disabled: true },
        ...termSets.map((set) => ({
          label: `This counts as “${set.name}” too`,
          command: () => emit('counts', own, set.id),
        })),
        { separator: true },
        {
          label: `Exempt everybody with “${name.value}”`,
          command: () => emit('exempt', own, name.value, record.kind),
        },
      ]
    : []
})
</script>

<template>
  <template v-if="member">
    <button
      type="button"
      class="word"
      aria-haspopup="menu"
      :aria-label="`What ${record.what} means for this set`"
      @click="menu?.toggle($event)"
    >
      …
    </button>
    <Menu ref="menu" :model="items" popup />
  </template>
</template>
