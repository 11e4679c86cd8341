<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { computed, ref } from 'vue'
import { termSetsOf, type CriteriaDocument, type JsonObject, type TermSet } from './document'
import { RosterDialog, rostersOf, type Roster } from './rosters'
import { TermSetDialog } from './termsets'

/** What a sheet names and keeps beside its sentences: term sets and rosters, each changed in a dialog. */
const { document } = defineProps<{
  document: CriteriaDocument
  personFields: Schemas['FieldWords'][]
}>()
const emit = defineEmits<{
  /** @param of the id of the term set that it takes the place of; nothing where it is new */
  termSet: [saved: TermSet, of: string | undefined]
  shared: [saved: Schemas['TermSetSaved']]
  roster: [saved: Roster, isNew: boolean]
  /** One is gone from the page. */
  closed: []
}>()

const termSetShown = ref(false)
const termSetId = ref<string>()
const termSets = computed(() => termSetsOf(document))
const termSet = computed(() => termSets.value.find((one) => one.id === termSetId.value))
const termSetIds = computed(() => new Set(termSets.value.map((one) => one.id)))

const rosterShown = ref(false)
const rosterId = ref<string>()
const rosters = computed(() => rostersOf(document))
const roster = computed(() => rosters.value.find((one) => one.id === rosterId.value))
const rosterIds = computed(() => new Set(rosters.value.map((one) => one.id)))

const extra = ref<JsonObject>()

/** Opens one of the document's, or a new one; with a member to begin with. */
function openTermSet(id: string | undefined, member?: JsonObject) {
  termSetId.value = id
  extra.value = member
  termSetShown.value = true
}

/** Opens one of the document's, or a new one. */
function openRoster(id: string | undefined) {
  rosterId.value = id
  rosterShown.value = true
}

defineExpose({ openTermSet, openRoster })
</script>

<template>
  <TermSetDialog
    v-model:visible="termSetShown"
    :term-set="termSet"
    :taken="termSetIds"
    :extra="extra"
    @save="emit('termSet', $event, termSet?.id)"
    @shared="emit('shared', $event)"
    @after-hide="emit('closed')"
  />
  <RosterDialog
    v-model:visible="rosterShown"
    :roster="roster"
    :fields="personFields"
    :taken="rosterIds"
    @save="emit('roster', $event, roster === undefined)"
    @after-hide="emit('closed')"
  />
</template>
