<script setup lang="ts">
import Select from 'primevue/select'
import { computed } from 'vue'
import type { Json, JsonObject } from '../document'
import AgesInput from './AgesInput.vue'
import DateInput from './DateInput.vue'
import PeriodInput from './PeriodInput.vue'

const window = defineModel<JsonObject>({ required: true })
const { defaultForm = 'ever' } = defineProps<{ defaultForm?: 'ever' | 'any' }>()

const FORMS = [
  { form: 'last', name: 'in the last' },
  { form: 'next', name: 'in the next' },
  { form: 'ago', name: 'between … and … ago' },
  { form: 'sinceStartOf', name: 'since the start of the' },
  { form: 'dates', name: 'from a date to a date' },
  { form: 'atAge', name: 'at an age' },
  { form: 'ever', name: 'at any time up to the as-of date' },
  { form: 'any', name: 'at any time, past or ahead' },
]
const UNITS = ['year', 'quarter', 'month', 'week']
const STARTS: Record<string, Json> = {
  last: 'P12M',
  next: 'P6M',
  ago: ['P2Y', 'P1Y'],
  sinceStartOf: 'year',
  dates: [null, null],
  atAge: { from: 18 },
  ever: true,
  any: true,
}

const form = computed(() => FORMS.find((one) => one.form in window.value)?.form ?? defaultForm)
const operand = computed(() => window.value[form.value] ?? true)
const pair = computed(() => operand.value as Json[])

function choose(next: string) {
  window.value = { [next]: STARTS[next] ?? true }
}

function set(value: Json) {
  window.value = { [form.value]: value }
}

function setOf(pairIndex: 0 | 1, value: Json) {
  set(pair.value.map((one, i) => (i === pairIndex ? value : one)))
}
</script>

<template>
  <div class="window">
    <Select
      :model-value="form"
      :options="FORMS"
      option-label="name"
      option-value="form"
      aria-label="Window"
      @update:model-value="choose"
    />
    <PeriodInput
      v-if="form === 'last' || form === 'next'"
      :model-value="operand"
      label="How long"
      @update:model-value="set"
    />
    <template v-else-if="form === 'ago'">
      <PeriodInput
        :model-value="pair[0] ?? 'P2Y'"
        label="From, ago"
        @update:model-value="setOf(0, $event)"
      />
      <span>to</span>
      <PeriodInput
        :model-value="pair[1] ?? 'P1Y'"
        label="To, ago"
        @update:model-value="setOf(1, $event)"
      />
    </template>
    <Select
      v-else-if="form === 'sinceStartOf'"
      :model-value="operand"
      :options="UNITS"
      aria-label="Since the start of"
      @update:model-value="set"
    />
    <template v-else-if="form === 'dates'">
      <DateInput
        :model-value="pair[0] ?? undefined"
        label="First day"
        placeholder="2026-01-01, or blank"
        @update:model-value="setOf(0, $event ?? null)"
      />
      <span>to</span>
      <DateInput
        :model-value="pair[1] ?? undefined"
        label="Last day"
        placeholder="2026-12-31, or blank"
        @update:model-value="setOf(1, $event ?? null)"
      />
    </template>
    <AgesInput
      v-else-if="form === 'atAge'"
      :model-value="operand as JsonObject"
      @update:model-value="set"
    />
  </div>
</template>

<style scoped>
.window {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
</style>
