<script setup lang="ts">
import { normalText } from '@/normalText'
import type { Schemas } from '@/api/client'
import AutoComplete, { type AutoCompleteCompleteEvent } from 'primevue/autocomplete'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import type { Json } from '../document'
import PeriodInput from '../editors/PeriodInput.vue'
import { settingOf, type Dial } from './dials'

/** The control that turns a dial: among its choices where there are some, else freely. */
const value = defineModel<Json>({ required: true })
const {
  dial,
  fields,
  free = false,
} = defineProps<{
  dial: Dial
  /** Person fields with the values that occur in the records. */
  fields: Schemas['FieldWords'][]
  /** Whether any value may be given, as when the choices themselves are made. */
  free?: boolean
}>()

const choices = computed(() =>
  free ? undefined : (dial.choices as Json[] | undefined)?.map(settingOf),
)
const found = computed(
  () =>
    choices.value ??
    fields.find((one) => one.name === dial.choicesFrom)?.values.map((one) => one.value) ??
    [],
)
const offered = ref<string[]>([])

function complete(event: AutoCompleteCompleteEvent) {
  const typed = normalText(event.query)
  const fitting = found.value.filter((one) => normalText(one).includes(typed))
  offered.value = choices.value || typed === '' || fitting.length ? fitting : [event.query.trim()]
}

function choose(setting: string) {
  const chosen = (dial.choices as Json[] | undefined)?.find((one) => settingOf(one) === setting)
  value.value = chosen ?? setting
}
</script>

<template>
  <Select
    v-if="choices && dial.type !== 'texts'"
    :model-value="settingOf(value)"
    :options="choices"
    :aria-label="dial.label"
    size="small"
    @update:model-value="choose"
  />
  <PeriodInput v-else-if="dial.type === 'period'" v-model="value" :label="dial.label" fixed />
  <InputNumber
    v-else-if="dial.type === 'number'"
    :model-value="value as number"
    :max-fraction-digits="6"
    :use-grouping="false"
    :allow-empty="false"
    :aria-label="dial.label"
    input-class="amount"
    @input="value = Number($event.value ?? 0)"
  />
  <AutoComplete
    v-else-if="dial.type === 'texts' || found.length"
    :model-value="value"
    :multiple="dial.type === 'texts'"
    dropdown
    :suggestions="offered"
    :aria-label="dial.label"
    placeholder="Type or pick"
    @complete="complete"
    @update:model-value="value = $event"
  />
  <InputText
    v-else
    :model-value="value as string"
    :aria-label="dial.label"
    :placeholder="dial.type === 'date' ? '2026-01-01' : ''"
    @change="value = ($event.target as HTMLInputElement).value.trim()"
  />
</template>
