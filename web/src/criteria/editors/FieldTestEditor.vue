<script setup lang="ts">
import { normalText, sameText } from '@/normalText'
import { fieldWords } from '@/fields'
import type { Schemas } from '@/api/client'
import AutoComplete, { type AutoCompleteCompleteEvent } from 'primevue/autocomplete'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import { withKey, type Json, type JsonObject } from '../document'
import BoundInput from './BoundInput.vue'
import DateInput from './DateInput.vue'
import Turnable from '../dials/Turnable.vue'
import { itemsOf, operatorOf, operatorsOf, startOf } from './fieldTests'
import WindowEditor from './WindowEditor.vue'

/** A test of one field: which field, which operator, which operands. */
const test = defineModel<JsonObject>({ required: true })
const { fields, ofPeople = false } = defineProps<{
  fields: Schemas['FieldWords'][]
  /** Whether the fields are those of people, whose values a dial can offer. */
  ofPeople?: boolean
}>()

const field = computed(() => fields.find((one) => one.name === test.value.field))
const type = computed(() => field.value?.type ?? 'text')
const operator = computed(() => operatorOf(test.value, type.value))
const listKey = computed(() => ('in' in test.value ? 'in' : 'notIn'))
const offersValues = computed(() => ofPeople && (field.value?.values.length ?? 0) > 0)
const listed = computed(() => {
  const list = test.value[listKey.value]
  return Array.isArray(list) ? list.map((item) => String(item as string | number)) : undefined
})
const choices = ref<string[]>([])
const fieldName = computed(() => fieldWords(String(test.value.field ?? '')))

const fieldOptions = computed(() =>
  fields.map((one) => ({ name: one.name, label: fieldWords(one.name) })),
)

function chooseField(name: string) {
  const next = fields.find((one) => one.name === name)
  if (next) {
    test.value = startOf(next)
  }
}

function chooseOperator(id: string) {
  const next = operatorsOf(type.value).find((one) => one.id === id)
  if (!next) {
    return
  }
  const start = next.start()
  const kept = listed.value
  const carries = kept && ('in' in start || 'notIn' in start)
  test.value = {
    field: test.value.field ?? '',
    ...(carries ? { [id]: itemsOf(kept, type.value) } : start),
  }
}

function setKey(key: string, value: Json | undefined) {
  test.value = withKey(test.value, key, value)
}

/** Takes a change of one bound, unless it was the last one that is left. */
function setBounds(next: JsonObject) {
  if (operatorOf(next, type.value)) {
    test.value = next
  }
}

/** Offers what occurs in the records, and what is typed, which need not occur. */
function complete(event: AutoCompleteCompleteEvent) {
  const typed = event.query.trim()
  const known = (field.value?.values ?? []).map((one) => one.value)
  const fitting = known.filter((value) => normalText(value).includes(normalText(typed)))
  choices.value =
    typed === '' || fitting.some((value) => sameText(value, typed)) ? fitting : [...fitting, typed]
}

function countOf(value: string): string {
  const known = field.value?.values.find((one) => one.value === value)
  return known ? String(known.count) : 'not in the records'
}

function setDate(key: 'from' | 'through', date: Json | undefined) {
  const next = withKey(test.value, key, date)
  if ('from' in next || 'through' in next) {
    test.value = next
  }
}
</script>

<template>
  <div class="field-test">
    <Select
      :model-value="test.field as string"
      :options="fieldOptions"
      option-label="label"
      option-value="name"
      filter
      aria-label="Field"
      @update:model-value="chooseField"
    />
    <Select
      :model-value="operator?.id"
      :options="operatorsOf(type)"
      option-label="name"
      option-value="id"
      aria-label="Operator"
      @update:model-value="chooseOperator"
    />
    <template v-if="operator?.id === 'in' || operator?.id === 'notIn'">
      <Turnable
        :model-value="test[listKey]"
        :type="type === 'number' ? 'number' : 'texts'"
        :label="fieldName"
        :field="offersValues ? (test.field as string) : undefined"
        :offered="type === 'text'"
        @update:model-value="setKey(listKey, $event)"
      >
        <AutoComplete
          :model-value="listed"
          multiple
          dropdown
          auto-option-focus
          :suggestions="choices"
          aria-label="Values"
          placeholder="Type or pick"
          class="values"
          @complete="complete"
          @update:model-value="setKey(listKey, itemsOf($event, type))"
        >
          <template #option="{ option }">
            {{ option }} <span class="quiet">&nbsp;{{ countOf(option) }}</span>
          </template>
        </AutoComplete>
      </Turnable>
    </template>
    <Turnable
      v-else-if="operator?.id === 'startsWith' || operator?.id === 'contains'"
      :model-value="test[operator.id]"
      type="text"
      :label="fieldName"
      @update:model-value="setKey(operator.id, $event)"
    >
      <InputText
        :model-value="test[operator.id] as string"
        aria-label="Text"
        @change="setKey(operator.id, ($event.target as HTMLInputElement).value)"
      />
    </Turnable>
    <template v-else-if="operator?.id === 'bounds'">
      <BoundInput
        :test="test"
        :outside="{ key: 'above', name: 'above' }"
        :inside="{ key: 'atLeast', name: 'at least' }"
        label="Lower bound"
        @change="setBounds"
      />
      <BoundInput
        :test="test"
        :outside="{ key: 'below', name: 'below' }"
        :inside="{ key: 'atMost', name: 'at most' }"
        label="Upper bound"
        @change="setBounds"
      />
    </template>
    <template v-else-if="operator?.id === 'dates'">
      <DateInput
        :model-value="test.from"
        label="From"
        placeholder="from: 2024-05-17, or blank"
        @update:model-value="setDate('from', $event)"
      />
      <DateInput
        :model-value="test.through"
        label="Through"
        placeholder="through: 2026, or blank"
        @update:model-value="setDate('through', $event)"
      />
    </template>
    <WindowEditor
      v-else-if="operator?.id === 'window'"
      :model-value="test.window as JsonObject"
      @update:model-value="setKey('window', $event)"
    />
    <label v-if="test.field === 'value' && !('missing' in test)">
      unit
      <InputText
        :model-value="(test.unit as string | undefined) ?? ''"
        aria-label="Unit"
        class="amount"
        @change="setKey('unit', ($event.target as HTMLInputElement).value.trim() || undefined)"
      />
    </label>
  </div>
</template>

<style scoped>
.field-test {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}

.values {
  min-width: 260px;
}

.field-test :deep(.amount) {
  width: 76px;
}
</style>
