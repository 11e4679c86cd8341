<script setup lang="ts">
import type { Schemas } from '@/api/client'
import Select from 'primevue/select'
import { computed } from 'vue'
import { withKey, type JsonObject } from '../document'
import FieldTestsInput from './FieldTestsInput.vue'

/** Which of the matching records is looked at, and what should hold of it. */
const test = defineModel<JsonObject>({ required: true })
const { fields } = defineProps<{ fields: Schemas['FieldWords'][] }>()

const ENDS = [
  { end: 'latest', name: 'the latest' },
  { end: 'earliest', name: 'the earliest' },
]

const end = computed(() => ('earliest' in test.value ? 'earliest' : 'latest'))
const is = computed(() => (test.value.is as JsonObject[] | undefined) ?? [])

function choose(next: string) {
  const selection = test.value[end.value]
  test.value = { [next]: selection ?? {}, is: is.value }
}
</script>

<template>
  <div class="pick">
    <Select
      :model-value="end"
      :options="ENDS"
      option-label="name"
      option-value="end"
      aria-label="Which record"
      @update:model-value="choose"
    />
    <span>What should hold of it:</span>
    <FieldTestsInput
      :model-value="is"
      :fields="fields"
      first="value"
      @update:model-value="test = withKey(test, 'is', $event)"
    />
  </div>
</template>

<style scoped>
.pick {
  display: grid;
  gap: 8px;
  justify-items: start;
  min-width: 460px;
}
</style>
