<script setup lang="ts">
import Select from 'primevue/select'
import { computed } from 'vue'
import { withKey, type Json, type JsonObject } from '../document'
import PeriodInput from './PeriodInput.vue'

/** After which record, and how soon after it the other should come. */
const test = defineModel<JsonObject>({ required: true })

const PICKS = [
  { pick: 'latest', name: 'after the latest' },
  { pick: 'earliest', name: 'after the earliest' },
  { pick: 'any', name: 'after any of them' },
  { pick: 'each', name: 'after each of them' },
]
const AT_ONCE = 'P0D'

const pick = computed(() => (test.value.pick as string | undefined) ?? 'latest')
const notBefore = computed(() => test.value.notBefore ?? AT_ONCE)
const within = computed(() => test.value.within ?? 'P90D')

function setNotBefore(period: Json) {
  test.value = withKey(test.value, 'notBefore', period === AT_ONCE ? undefined : period)
}
</script>

<template>
  <div class="sequence">
    <span>Which</span>
    <Select
      :model-value="pick"
      :options="PICKS"
      option-label="name"
      option-value="pick"
      aria-label="After which record"
      @update:model-value="test = withKey(test, 'pick', $event === 'latest' ? undefined : $event)"
    />
    <span>Not before</span>
    <PeriodInput :model-value="notBefore" label="Not before" @update:model-value="setNotBefore" />
    <span>Within</span>
    <PeriodInput
      :model-value="within"
      label="Within"
      @update:model-value="test = withKey(test, 'within', $event)"
    />
  </div>
</template>

<style scoped>
.sequence {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px 12px;
  align-items: center;
  justify-items: start;
}
</style>
