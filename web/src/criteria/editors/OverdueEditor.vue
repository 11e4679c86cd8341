<script setup lang="ts">
import Select from 'primevue/select'
import { computed } from 'vue'
import type { Json, JsonObject } from '../document'
import PeriodInput from './PeriodInput.vue'

/** By how much somebody in a band is overdue, or that what should be on record never was. */
const when = defineModel<JsonObject>({ required: true })

const FORMS = [
  { form: 'never', name: 'never met' },
  { form: 'by', name: 'overdue by at least' },
]

const form = computed({
  get: () => (when.value.overdue === 'never' ? 'never' : 'by'),
  set: (next) => {
    when.value = { overdue: next === 'never' ? 'never' : { atLeast: 'P6M' } }
  },
})
const least = computed({
  get: () => (when.value.overdue as JsonObject).atLeast ?? 'P6M',
  set: (next: Json) => {
    when.value = { overdue: { atLeast: next } }
  },
})
</script>

<template>
  <div class="overdue">
    <Select
      v-model="form"
      :options="FORMS"
      option-label="name"
      option-value="form"
      aria-label="How overdue"
    />
    <PeriodInput v-if="form === 'by'" v-model="least" label="Overdue by at least" />
  </div>
</template>

<style scoped>
.overdue {
  display: flex;
  align-items: center;
  gap: 8px;
}
</style>
