<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { count } from '@/stick'
import InputText from 'primevue/inputtext'
import { startOf, type DialOfSet } from './readingPlan'

/** What each dial of a set may be set to: the choices of the set, or what is on record and how often. */
const turned = defineModel<Record<string, string>>({ required: true })
const { dials, values, of } = defineProps<{
  dials: readonly DialOfSet[]
  values: Record<string, Schemas['ValueCount'][]>
  /** In what they are set, which makes their ids its own. */
  of: string
}>()

function turn(dial: string, value: string) {
  turned.value = { ...turned.value, [dial]: value }
}

function idOf(dial: DialOfSet): string {
  return `${of}-${dial.name}`
}
</script>

<template>
  <template v-for="dial in dials" :key="dial.name">
    <label :for="idOf(dial)">{{ dial.label || dial.name }}</label>
    <select
      v-if="dial.choices"
      :id="idOf(dial)"
      class="plain"
      :value="turned[dial.name] ?? ''"
      @change="turn(dial.name, ($event.target as HTMLSelectElement).value)"
    >
      <option value="">as the set has it: {{ startOf(dial) }}</option>
      <option v-for="choice in dial.choices" :key="String(choice)" :value="String(choice)">
        {{ choice }}
      </option>
    </select>
    <template v-else>
      <InputText
        :id="idOf(dial)"
        :model-value="turned[dial.name] ?? ''"
        size="small"
        class="dial"
        :list="values[dial.name] ? `${idOf(dial)}-values` : undefined"
        :placeholder="startOf(dial)"
        @update:model-value="turn(dial.name, $event ?? '')"
      />
      <datalist v-if="values[dial.name]" :id="`${idOf(dial)}-values`">
        <option v-for="one in values[dial.name]" :key="one.value" :value="one.value">
          {{ one.value }}: {{ count(one.count) }} on record
        </option>
      </datalist>
    </template>
  </template>
</template>

<style scoped>
.dial {
  width: 150px;
}
</style>
