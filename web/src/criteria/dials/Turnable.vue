<script setup lang="ts">
import Button from 'primevue/button'
import { computed, inject } from 'vue'
import type { Json } from '../document'
import { nameOfDial, TURNING, type DialType } from './dials'

/** A value with its control; it can be let be turned, and then says by which dial. */
const value = defineModel<Json | undefined>({ required: true })
const {
  type,
  label,
  field = undefined,
  offered = true,
} = defineProps<{
  type: DialType
  /** What the value is, which a new dial is called by. */
  label: string
  /** The person field whose values a new dial offers. */
  field?: string
  /** Whether a dial may be made here. */
  offered?: boolean
}>()

const turning = inject(TURNING, undefined)
const turnedBy = computed(() => nameOfDial(value.value))
const dial = computed(() => turning?.dialAt(value.value))
const isEmpty = computed(
  () => value.value === undefined || (Array.isArray(value.value) && value.value.length === 0),
)

function letTurn() {
  if (value.value !== undefined) {
    value.value = turning?.letTurn(type, label, value.value, field)
  }
}
</script>

<template>
  <span class="turnable">
    <template v-if="turnedBy">
      turned by “{{ dial?.label ?? turnedBy }}”
      <Button v-if="dial" size="small" text label="Not any more" @click="value = dial.default" />
    </template>
    <template v-else>
      <slot />
      <Button
        v-if="turning && offered && !isEmpty"
        size="small"
        text
        icon="pi pi-sliders-h"
        title="Let this be turned by a dial"
        :aria-label="`${label}: let this be turned by a dial`"
        @click="letTurn"
      />
    </template>
  </span>
</template>

<style scoped>
.turnable {
  display: inline-flex;
  align-items: center;
  gap: 2px;
}
</style>
