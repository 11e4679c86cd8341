<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
import Turnable from '../dials/Turnable.vue'
import type { Json } from '../document'

/** A number that may be turned by a dial. */
const value = defineModel<Json | undefined>({ required: true })
const {
  label,
  whole = false,
  blank = false,
} = defineProps<{
  label: string
  /** Whether it counts something: no fractions, nothing below none. */
  whole?: boolean
  /** Whether it may be left out. */
  blank?: boolean
}>()

function set(typed: number | string | undefined | null) {
  const none = typed === undefined || typed === null || typed === ''
  value.value = none ? (blank ? undefined : 0) : Number(typed)
}
</script>

<template>
  <Turnable v-model="value" type="number" :label="label">
    <InputNumber
      :model-value="typeof value === 'number' ? value : undefined"
      :min="whole ? 0 : undefined"
      :max="whole ? 99999 : undefined"
      :max-fraction-digits="whole ? 0 : 6"
      :use-grouping="false"
      :allow-empty="blank"
      :aria-label="label"
      input-class="amount"
      @input="set($event.value)"
    />
  </Turnable>
</template>
