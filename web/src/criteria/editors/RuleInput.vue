<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
import Select from 'primevue/select'
import type { Rule } from './rule'

/** How many of several are enough: all, any, or at least so many. */
const rule = defineModel<Rule>({ required: true })
const { label } = defineProps<{ label: string }>()

const FORMS = [
  { form: 'any', name: 'any of these' },
  { form: 'all', name: 'all of these' },
  { form: 'atLeast', name: 'at least … of these' },
]
</script>

<template>
  <Select
    :model-value="rule.form"
    :options="FORMS"
    option-label="name"
    option-value="form"
    size="small"
    :aria-label="label"
    @update:model-value="rule = { ...rule, form: $event }"
  />
  <InputNumber
    v-if="rule.form === 'atLeast'"
    :model-value="rule.number"
    :min="0"
    :use-grouping="false"
    :allow-empty="false"
    size="small"
    :aria-label="`${label}: at least how many`"
    :input-style="{ width: '54px' }"
    @input="rule = { ...rule, number: Number($event.value ?? 0) }"
  />
</template>
