<script setup lang="ts">
import { normalText, sameText } from '@/normalText'
import type { Schemas } from '@/api/client'
import Button from 'primevue/button'
import MultiSelect from 'primevue/multiselect'
import { computed } from 'vue'
import { withKey, type JsonObject, type TermSet } from '../document'
import FieldTestsInput from './FieldTestsInput.vue'

/** Which events are meant: kinds, term sets, only active ones, and tests of their fields. */
const selection = defineModel<JsonObject>({ required: true })
const { fields, termSets } = defineProps<{
  fields: Schemas['FieldWords'][]
  termSets: TermSet[]
}>()
const emit = defineEmits<{
  /** Somebody wants to see a term set, or to make a new one, which is then used here. */
  editTermSet: [id: string | undefined]
}>()

const kinds = computed(() => (selection.value.kinds as string[] | undefined) ?? [])
const terms = computed(() => (selection.value.terms as string[] | undefined) ?? [])
const where = computed(() => (selection.value.where as JsonObject[] | undefined) ?? [])

const kindOptions = computed(() => {
  const found = fields.find((one) => one.name === 'kind')?.values ?? []
  const known = new Set(found.map((one) => normalText(one.value)))
  const others = kinds.value.filter((kind) => !known.has(normalText(kind)))
  return [
    ...found.map((one) => ({
      value: kinds.value.find((k) => sameText(k, one.value)) ?? one.value,
      label: `${one.value} (${String(one.count)})`,
    })),
    ...others.map((value) => ({ value, label: `${value} (not in the records)` })),
  ]
})

function setList(key: string, list: JsonObject[] | string[]) {
  selection.value = withKey(selection.value, key, list.length === 0 ? undefined : list)
}
</script>

<template>
  <div class="selection">
    <span id="kinds-label">Kinds</span>
    <MultiSelect
      :model-value="kinds"
      :options="kindOptions"
      option-label="label"
      option-value="value"
      filter
      placeholder="any kind"
      aria-labelledby="kinds-label"
      display="chip"
      @update:model-value="setList('kinds', $event)"
    />
    <span id="terms-label">Term sets</span>
    <div class="row">
      <MultiSelect
        v-if="termSets.length"
        :model-value="terms"
        :options="termSets"
        option-label="name"
        option-value="id"
        placeholder="any term"
        aria-labelledby="terms-label"
        display="chip"
        @update:model-value="setList('terms', $event)"
      />
      <Button
        v-for="id in terms"
        :key="id"
        size="small"
        text
        :label="`Edit ${termSets.find((one) => one.id === id)?.name ?? id}`"
        @click="emit('editTermSet', id)"
      />
      <Button size="small" text label="New term set…" @click="emit('editTermSet', undefined)" />
    </div>
    <span>Only active</span>
    <label
      ><input
        type="checkbox"
        :checked="selection.active === true"
        aria-label="Only active: begun, not ended, not resolved"
        @change="
          selection = withKey(selection, 'active', selection.active === true ? undefined : true)
        "
    /></label>
    <span>Whose</span>
    <FieldTestsInput
      :model-value="where"
      :fields="fields"
      first="status"
      @update:model-value="setList('where', $event)"
    />
  </div>
</template>

<style scoped>
.selection {
  display: grid;
  grid-template-columns: 90px 1fr;
  gap: 8px 10px;
  align-items: start;
  min-width: 520px;
  max-width: 640px;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
</style>
