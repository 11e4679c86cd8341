<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { computed, ref } from 'vue'
import { termSetsOf, type CriteriaDocument, type TermSet } from './document'
import RosterDialog from './RosterDialog.vue'
import { rostersOf, type Roster } from './rosters'
import TermSetDialog from './TermSetDialog.vue'

/** What a sheet names and keeps beside its sentences: term sets and rosters, each changed in a dialog. */
const { document } = defineProps<{
  document: CriteriaDocument
  personFields: Schemas['FieldWords'][]
}>()
const emit = defineEmits<{
  termSet: [saved: TermSet, isNew: boolean]
  roster: [saved: Roster, isNew: boolean]
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

/** Opens one of the document's, or a new one. */
function openTermSet(id: string | undefined) {
  termSetId.value = id
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
    @save="emit('termSet', $event, termSet === undefined)"
  />
  <RosterDialog
    v-model:visible="rosterShown"
    :roster="roster"
    :fields="personFields"
    :taken="rosterIds"
    @save="emit('roster', $event, roster === undefined)"
  />
</template>
