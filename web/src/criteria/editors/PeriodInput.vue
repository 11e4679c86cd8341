<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed } from 'vue'
import { PERIOD_UNITS, simplePeriod, writtenPeriod, type PeriodUnit } from './period'
import type { Json } from '../document'

const period = defineModel<Json>({ required: true })
const { label } = defineProps<{ label: string }>()

const written = computed(() => (typeof period.value === 'string' ? period.value : undefined))
const simple = computed(() => (written.value ? simplePeriod(written.value) : undefined))

function change(amount: number | undefined, unit: PeriodUnit | undefined) {
  if (simple.value) {
    period.value = writtenPeriod({
      amount: amount ?? simple.value.amount,
      unit: unit ?? simple.value.unit,
    })
  }
}
</script>

<template>
  <span v-if="written === undefined" class="quiet">turned by a dial</span>
  <span v-else-if="simple" class="period">
    <InputNumber
      :model-value="simple.amount"
      :min="0"
      :max="9999"
      :use-grouping="false"
      :allow-empty="false"
      :aria-label="label"
      input-class="amount"
      @input="change(Number($event.value ?? 0), undefined)"
    />
    <Select
      :model-value="simple.unit"
      :options="[...PERIOD_UNITS]"
      option-label="name"
      option-value="letter"
      :aria-label="`${label}: unit`"
      @update:model-value="change(undefined, $event)"
    />
  </span>
  <InputText
    v-else
    :model-value="written"
    :aria-label="`${label}, as an ISO 8601 period`"
    @change="period = ($event.target as HTMLInputElement).value"
  />
</template>

<style scoped>
.period {
  display: inline-flex;
  gap: 6px;
}

.period :deep(.amount) {
  width: 64px;
}
</style>
