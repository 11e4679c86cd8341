<script setup lang="ts">
import Button from 'primevue/button'
import InputNumber from 'primevue/inputnumber'
import Select from 'primevue/select'
import { computed } from 'vue'
import type { Json, JsonObject } from '../document'
import { NEW_TESTS } from '../newTests'

/** A group: its rule, and its parts, which are changed where they stand. */
const group = defineModel<JsonObject>({ required: true })

const RULES = [
  { rule: 'all', name: 'all of these' },
  { rule: 'any', name: 'any of these' },
  { rule: 'atLeast', name: 'at least … of these' },
]

const rule = computed(() => RULES.find((one) => one.rule in group.value)?.rule ?? 'all')
const parts = computed(
  () => (group.value[rule.value === 'atLeast' ? 'of' : rule.value] ?? []) as Json[],
)
const number = computed(() => (typeof group.value.atLeast === 'number' ? group.value.atLeast : 1))

function set(nextRule: string, of: Json[], atLeast: number) {
  group.value = nextRule === 'atLeast' ? { atLeast, of } : { [nextRule]: of }
}
</script>

<template>
  <div class="group">
    <div class="row">
      <Select
        :model-value="rule"
        :options="RULES"
        option-label="name"
        option-value="rule"
        aria-label="Rule of the group"
        @update:model-value="set($event, parts, number)"
      />
      <InputNumber
        v-if="rule === 'atLeast'"
        :model-value="number"
        :min="0"
        :allow-empty="false"
        aria-label="At least how many"
        input-class="amount"
        @input="set(rule, parts, Number($event.value ?? 0))"
      />
    </div>
    <div class="row">
      <span>Add to it:</span>
      <Button
        v-for="one in NEW_TESTS"
        :key="one.word"
        size="small"
        text
        :label="one.name"
        @click="set(rule, [...parts, one.test()], number)"
      />
    </div>
  </div>
</template>

<style scoped>
.group {
  display: grid;
  gap: 8px;
  max-width: 420px;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}

.row :deep(.amount) {
  width: 62px;
}
</style>
