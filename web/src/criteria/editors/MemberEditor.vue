<script setup lang="ts">
import { setsQuery } from '../sets'
import { useQuery } from '@tanstack/vue-query'
import Select from 'primevue/select'
import { computed } from 'vue'
import { withKey, type JsonObject } from '../document'

/** Which other set, and which part of its people. */
const test = defineModel<JsonObject>({ required: true })
const { own } = defineProps<{
  /** The id of the set that this stands in, which cannot name itself. */
  own: string
}>()

const PARTS = [
  { part: 'list', name: 'on the list of' },
  { part: 'eligible', name: 'eligible for' },
  { part: 'has', name: 'has what they should by' },
]

const { data } = useQuery(setsQuery)
const sets = computed(() => (data.value ?? []).filter((set) => set.id !== own))
</script>

<template>
  <div class="member">
    <Select
      :model-value="(test.part as string | undefined) ?? 'list'"
      :options="PARTS"
      option-label="name"
      option-value="part"
      aria-label="Which of its people"
      @update:model-value="test = withKey(test, 'part', $event === 'list' ? undefined : $event)"
    />
    <Select
      :model-value="test.member as string"
      :options="sets"
      option-label="name"
      option-value="id"
      filter
      aria-label="Which set"
      @update:model-value="test = withKey(test, 'member', $event)"
    />
  </div>
</template>

<style scoped>
.member {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
