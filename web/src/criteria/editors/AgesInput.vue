<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
import Select from 'primevue/select'
import { computed } from 'vue'
import { withKey, type JsonObject } from '../document'

/** Ages from one to another, one of which may be blank. */
const ages = defineModel<JsonObject>({ required: true })

const UNITS = ['years', 'months', 'weeks', 'days']

const from = computed(() => asNumber(ages.value.from))
const through = computed(() => asNumber(ages.value.through))
const turned = computed(
  () => typeof ages.value.from === 'object' || typeof ages.value.through === 'object',
)

function asNumber(value: unknown): number | undefined {
  return typeof value === 'number' ? value : undefined
}

function set(key: 'from' | 'through', value: number | string | undefined | null) {
  const number = value === null || value === undefined || value === '' ? undefined : Number(value)
  const next = withKey(ages.value, key, number)
  // A span of ages has at least one end; the last one that is left cannot be taken away.
  if (next.from !== undefined || next.through !== undefined) {
    ages.value = next
  }
}
</script>

<template>
  <span v-if="turned" class="quiet">turned by a dial</span>
  <span v-else class="ages">
    <label>
      from
      <InputNumber
        :model-value="from"
        :min="0"
        :max="99999"
        :use-grouping="false"
        aria-label="From age"
        input-class="amount"
        @input="set('from', $event.value)"
      />
    </label>
    <label>
      through
      <InputNumber
        :model-value="through"
        :min="0"
        :max="99999"
        :use-grouping="false"
        aria-label="Through age"
        input-class="amount"
        @input="set('through', $event.value)"
      />
    </label>
    <Select
      :model-value="(ages.unit as string | undefined) ?? 'years'"
      :options="UNITS"
      aria-label="Unit of age"
      @update:model-value="ages = withKey(ages, 'unit', $event === 'years' ? undefined : $event)"
    />
  </span>
</template>

<style scoped>
.ages {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}

.ages :deep(.amount) {
  width: 62px;
}
</style>
