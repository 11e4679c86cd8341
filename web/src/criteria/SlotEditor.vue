<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { computed } from 'vue'
import type { JsonObject, TermSet } from './document'
import AgeEditor from './editors/AgeEditor.vue'
import CountEditor from './editors/CountEditor.vue'
import FieldTestEditor from './editors/FieldTestEditor.vue'
import GroupEditor from './editors/GroupEditor.vue'
import SelectionEditor from './editors/SelectionEditor.vue'
import WindowEditor from './editors/WindowEditor.vue'

/** The control that fits what stands at one spot of a test. */
const value = defineModel<JsonObject>({ required: true })
const { control, vocabulary } = defineProps<{
  control: NonNullable<Schemas['PhraseView']['control']>
  vocabulary: Schemas['Vocabulary']
  termSets: TermSet[]
  asOf: string
}>()
const emit = defineEmits<{ editTermSet: [id: string | undefined] }>()

const window = computed({
  get: () => (value.value.window as JsonObject | undefined) ?? { ever: true },
  set: (next) => {
    value.value = { ...value.value, window: next }
  },
})
</script>

<template>
  <FieldTestEditor v-if="control === 'FIELD'" v-model="value" :fields="vocabulary.person" />
  <AgeEditor v-else-if="control === 'AGE'" v-model="value" :as-of="asOf" />
  <CountEditor v-else-if="control === 'COUNT'" v-model="value" />
  <WindowEditor v-else-if="control === 'WINDOW'" v-model="window" />
  <GroupEditor v-else-if="control === 'GROUP'" v-model="value" />
  <SelectionEditor
    v-else
    v-model="value"
    :fields="vocabulary.event"
    :term-sets="termSets"
    @edit-term-set="emit('editTermSet', $event)"
  />
</template>
