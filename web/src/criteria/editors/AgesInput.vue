<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
import Select from 'primevue/select'
import { computed } from 'vue'
import Turnable from '../dials/Turnable.vue'
import { withKey, type Json, type JsonObject } from '../document'

/** Ages from one to another, one of which may be blank. */
const ages = defineModel<JsonObject>({ required: true })

const UNITS = ['years', 'months', 'weeks', 'days']

const from = computed(() => asNumber(ages.value.from))
const through = computed(() => asNumber(ages.value.through))

function asNumber(value: unknown): number | undefined {
  return typeof value === 'number' ? value : undefined
}

function set(key: 'from' | 'through', value: number | string | undefined | null) {
  put(key, value === null || value === undefined || value === '' ? undefined : Number(value))
}

function put(key: 'from' | 'through', value: Json | undefined) {
  const next = withKey(ages.value, key, value)
  // A span of ages has at least one end; the last one that is left cannot be taken away.
  if (next.from !== undefined || next.through !== undefined) {
    ages.value = next
  }
}
</script>

<template>
  <span class="ages">
    <span>
      from
      <Turnable
        :model-value="ages.from"
        type="number"
        label="From age"
        @update:model-value="put('from', $event)"
      >
        <InputNumber
          :model-value="from"
          :min="0"
          :max="99999"
          :use-grouping="false"
          aria-label="From age"
          input-class="amount"
          @input="set('from', $event.value)"
        />
      </Turnable>
    </span>
    <span>
      through
      <Turnable
        :model-value="ages.through"
        type="number"
        label="Through age"
        @update:model-value="put('through', $event)"
      >
        <InputNumber
          :model-value="through"
          :min="0"
          :max="99999"
          :use-grouping="false"
          aria-label="Through age"
          input-class="amount"
          @input="set('through', $event.value)"
        />
      </Turnable>
    </span>
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
