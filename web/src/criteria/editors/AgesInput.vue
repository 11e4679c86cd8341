<script setup lang="ts">
import Select from 'primevue/select'
import { withKey, type Json, type JsonObject } from '../document'
import NumberInput from './NumberInput.vue'

/** Ages from one to another, one of which may be blank. */
const ages = defineModel<JsonObject>({ required: true })

const UNITS = ['years', 'months', 'weeks', 'days']

function set(key: 'from' | 'through', value: Json | undefined) {
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
      <NumberInput
        :model-value="ages.from"
        label="From age"
        whole
        blank
        @update:model-value="set('from', $event)"
      />
    </span>
    <span>
      through
      <NumberInput
        :model-value="ages.through"
        label="Through age"
        whole
        blank
        @update:model-value="set('through', $event)"
      />
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
