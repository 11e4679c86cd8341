<script setup lang="ts">
import type { Schemas } from '@/api/client'
import Button from 'primevue/button'
import type { JsonObject } from '../document'
import FieldTestEditor from './FieldTestEditor.vue'
import { startOf } from './fieldTests'

/** Tests of the fields of an event, all of which must hold. */
const tests = defineModel<JsonObject[]>({ required: true })
const { fields, first } = defineProps<{
  fields: Schemas['FieldWords'][]
  /** The field that a new test is of. */
  first: string
}>()

function add() {
  const field = fields.find((one) => one.name === first)
  tests.value = [...tests.value, field ? startOf(field) : { field: first, missing: false }]
}

function change(index: number, test: JsonObject) {
  tests.value = tests.value.map((one, i) => (i === index ? test : one))
}

function remove(index: number) {
  tests.value = tests.value.filter((_, i) => i !== index)
}
</script>

<template>
  <div class="tests">
    <div v-for="(test, i) in tests" :key="i" class="row">
      <FieldTestEditor
        :model-value="test"
        :fields="fields"
        @update:model-value="change(i, $event)"
      />
      <Button
        size="small"
        text
        severity="secondary"
        icon="pi pi-times"
        aria-label="Remove this test"
        @click="remove(i)"
      />
    </div>
    <Button size="small" text label="Add a test of a field" @click="add" />
  </div>
</template>

<style scoped>
.tests {
  display: grid;
  gap: 6px;
  justify-items: start;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
</style>
