<script setup lang="ts">
import { FormDialog } from '@/controls'
import { sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { count } from '@/stick'
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, shallowRef, watch } from 'vue'
import { termSetsOf, type CriteriaDocument, type JsonObject, type TermSet } from './document'
import { onlyIn } from './termsets/members'
import { says, sharedQuery } from './termsets/shared'

/** What is in the file of a set, and what it says otherwise than what is here, before it is put on the bench. */
const { document, sets } = defineProps<{
  document: CriteriaDocument | undefined
  /** Those that are here; nothing while they are not known. */
  sets: Schemas['SetSummary'][] | undefined
}>()
const emit = defineEmits<{
  close: []
  /** Over a set that is here, else as a new one. */
  put: [document: CriteriaDocument, over: Schemas['SetSummary'] | undefined]
}>()

const visible = computed({
  get: () => document !== undefined,
  set: () => {
    emit('close')
  },
})
const known = computed(() => sets?.find((set) => set.id === document?.id))
const { data: shared, error: sharedError } = useQuery(sharedQuery)
const next = shallowRef<Schemas['SetVersion']>()
const { ask, forget, problem } = useNewest()

watch(
  () => document,
  (of) => {
    next.value = undefined
    forget()
    if (of) {
      const address =
        `/api/criteria/${encodeURIComponent(of.id || 'new-set')}/versions/next` as const
      void ask(
        (signal) => sendJson<Schemas['SetVersion']>('POST', address, of, { signal }),
        (told) => {
          next.value = told
        },
      )
    }
  },
)

/** How each term set of the file stands to the one that is shared here. */
const termSets = computed(() => (document ? termSetsOf(document) : []).map(compared))

function compared(termSet: TermSet): string {
  if (!shared.value) {
    return `“${termSet.name}” is being compared with what is shared here`
  }
  const here = shared.value.find((one) => one.id === termSet.id)
  if (!here) {
    return `“${termSet.name}” is new`
  }
  if (says(here, termSet)) {
    return `“${termSet.name}” says the same as the one that is shared here`
  }
  const members = here.members as JsonObject[]
  const there = onlyIn(termSet.members, members)
  const kept = onlyIn(members, termSet.members)
  return [
    `“${termSet.name}” is different`,
    there.length ? `only in the file: ${there.join(', ')}` : '',
    kept.length ? `only here: ${kept.join(', ')}` : '',
  ]
    .filter(Boolean)
    .join('; ')
}

function put(over: Schemas['SetSummary'] | undefined) {
  if (document) {
    emit('put', document, over)
    emit('close')
  }
}
</script>

<template>
  <FormDialog
    v-model:visible="visible"
    :header="`The file of “${document?.name}”`"
    leave="Leave it"
    :width="700"
    stacked
    :problem="problem"
  >
    <p v-if="known">
      There is a set of this id here: “{{ known.name }}”.
      <template v-if="next?.changes.length">The file would change it:</template>
      <template v-else-if="next">Its criteria say the same.</template>
    </p>
    <p v-else-if="sets">It is new here.</p>
    <p v-else class="quiet">Whether it is here already is being looked up.</p>
    <ul v-if="next?.changes.length">
      <li v-for="change in next.changes" :key="change">{{ change }}</li>
    </ul>
    <p v-if="next">
      {{ count(next.on) }} on its list today<template v-if="next.joined || next.left"
        >: {{ count(next.joined) }} would join, {{ count(next.left) }} would leave</template
      >.
    </p>
    <template v-if="termSets.length">
      <h2>Term sets</h2>
      <p v-if="sharedError" class="notice" role="alert">{{ sentenceOf(sharedError) }}</p>
      <ul v-else>
        <li v-for="words in termSets" :key="words">{{ words }}.</li>
      </ul>
    </template>
    <template #actions>
      <Button
        v-if="known"
        type="button"
        :label="`Put it on the bench over “${known.name}”`"
        @click="put(known)"
      />
      <Button
        type="button"
        :outlined="known !== undefined"
        label="Put it on the bench as a new set"
        @click="put(undefined)"
      />
    </template>
  </FormDialog>
</template>

<style scoped>
h2 {
  margin: 8px 0 0;
  font-size: 1em;
}
</style>
