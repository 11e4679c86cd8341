<script setup lang="ts">
import Select from 'primevue/select'
import { computed } from 'vue'
import { withKey, type Json, type JsonObject } from '../document'
import NumberInput from './NumberInput.vue'

/** The count of a test of events, and what is counted. */
const test = defineModel<JsonObject>({ required: true })

const FORMS = [
  { form: 'atLeast', name: 'at least' },
  { form: 'none', name: 'none' },
  { form: 'atMost', name: 'at most' },
  { form: 'exactly', name: 'exactly' },
]
const PER = [
  { per: 'record', name: 'records' },
  { per: 'day', name: 'different days' },
  { per: 'code', name: 'different codes' },
]

const count = computed(() => (test.value.count as JsonObject | undefined) ?? { atLeast: 1 })
const form = computed(() => FORMS.find((one) => one.form in count.value)?.form ?? 'atLeast')
const operand = computed(() => count.value[form.value])

function set(nextForm: string, value: Json) {
  test.value = withKey(
    test.value,
    'count',
    nextForm === 'none' ? { none: true } : { [nextForm]: value },
  )
}
</script>

<template>
  <div class="count">
    <Select
      :model-value="form"
      :options="FORMS"
      option-label="name"
      option-value="form"
      aria-label="How many"
      @update:model-value="set($event, operand ?? 1)"
    />
    <NumberInput
      v-if="form !== 'none'"
      :model-value="operand ?? 1"
      label="Number"
      whole
      @update:model-value="set(form, $event ?? 1)"
    />
    <Select
      :model-value="(test.per as string | undefined) ?? 'record'"
      :options="PER"
      option-label="name"
      option-value="per"
      aria-label="What is counted"
      @update:model-value="test = withKey(test, 'per', $event === 'record' ? undefined : $event)"
    />
  </div>
</template>

<style scoped>
.count {
  display: flex;
  gap: 8px;
}

.count :deep(.amount) {
  width: 62px;
}
</style>
