<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { computed } from 'vue'
import { termSetsOf, type CriteriaDocument, type JsonObject } from './document'
import AgeEditor from './editors/AgeEditor.vue'
import CountEditor from './editors/CountEditor.vue'
import FieldTestEditor from './editors/FieldTestEditor.vue'
import GroupEditor from './editors/GroupEditor.vue'
import MemberEditor from './editors/MemberEditor.vue'
import OverdueEditor from './editors/OverdueEditor.vue'
import PickEditor from './editors/PickEditor.vue'
import RosterEditor from './editors/RosterEditor.vue'
import SelectionEditor from './editors/SelectionEditor.vue'
import SequenceEditor from './editors/SequenceEditor.vue'
import WindowEditor from './editors/WindowEditor.vue'
import { rostersOf } from './rosters'

/** The control that fits what stands at one spot of a test. */
const value = defineModel<JsonObject>({ required: true })
const { control, vocabulary, document } = defineProps<{
  control: NonNullable<Schemas['PhraseView']['control']>
  vocabulary: Schemas['Vocabulary']
  /** What the test stands in. */
  document: CriteriaDocument
  asOf: string
}>()
const emit = defineEmits<{
  editTermSet: [id: string | undefined]
  editRoster: [id: string | undefined]
}>()

const window = computed({
  get: () => (value.value.window as JsonObject | undefined) ?? { ever: true },
  set: (next) => {
    value.value = { ...value.value, window: next }
  },
})
</script>

<template>
  <FieldTestEditor
    v-if="control === 'FIELD'"
    v-model="value"
    :fields="vocabulary.person"
    of-people
  />
  <AgeEditor v-else-if="control === 'AGE'" v-model="value" :as-of="asOf" />
  <CountEditor v-else-if="control === 'COUNT'" v-model="value" />
  <WindowEditor v-else-if="control === 'WINDOW'" v-model="window" />
  <GroupEditor v-else-if="control === 'GROUP'" v-model="value" />
  <PickEditor v-else-if="control === 'PICK'" v-model="value" :fields="vocabulary.event" />
  <SequenceEditor v-else-if="control === 'SEQUENCE'" v-model="value" />
  <MemberEditor v-else-if="control === 'MEMBER'" v-model="value" :own="document.id" />
  <RosterEditor
    v-else-if="control === 'ROSTER'"
    v-model="value"
    :rosters="rostersOf(document)"
    @edit-roster="emit('editRoster', $event)"
  />
  <OverdueEditor v-else-if="control === 'OVERDUE'" v-model="value" />
  <SelectionEditor
    v-else
    v-model="value"
    :fields="vocabulary.event"
    :term-sets="termSetsOf(document)"
    @edit-term-set="emit('editTermSet', $event)"
  />
</template>
