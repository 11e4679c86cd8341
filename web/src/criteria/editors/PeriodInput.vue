<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed } from 'vue'
import Turnable from '../dials/Turnable.vue'
import { PERIOD_UNITS, simplePeriod, writtenPeriod, type PeriodUnit } from './period'
import type { Json } from '../document'

const period = defineModel<Json>({ required: true })
const { label, fixed = false } = defineProps<{
  label: string
  /** Whether it is a dial's own value, which is not turned by another. */
  fixed?: boolean
}>()

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
  <Turnable v-model="period" type="period" :label="label" :offered="!fixed">
    <span v-if="simple" class="period">
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
  </Turnable>
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
