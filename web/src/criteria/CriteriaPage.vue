<script setup lang="ts">
import { usePageTitle } from '@/address'
import { ifMatch, send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import { useSession } from '@/session'
import { meaningOf } from '@/help'
import { useLists } from '@/lists'
import { normalText } from '@/normalText'
import { SharingDialog } from '@/sharing'
import { count, percent } from '@/stick'
import { dayOfInstant, dayWords } from '@/days'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, nextTick, ref, shallowRef, useTemplateRef } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import type { CriteriaDocument } from './document'
import { documentOf, templateOf } from './files'
import { hasKeptDraft, NEW, useKeptDraft } from './keptDraft'
import OpenFileDialog from './OpenFileDialog.vue'
import { setsQuery } from './sets'
import TemplateDialog from './TemplateDialog.vue'

const router = useRouter()
const queries = useQueryClient()
const account = useSession().signedIn?.name ?? ''
const find = ref('')
const { save, say, problem } = useSaving('sets')

const { data, error } = useQuery(setsQuery)
usePageTitle(() => ['Criteria'])

const sets = computed(() => {
  const words = normalText(find.value)
  return (data.value ?? [])
    .filter((set) => normalText(`${set.name} ${set.purpose}`).includes(words))
    .sort((one, other) => Number(one.retired) - Number(other.retired))
})

async function remove(set: Schemas['SetSummary']) {
  if (window.confirm(`Remove “${set.name}”? It was never published, so nothing hangs on it.`)) {
    await act(() => send(addressOf(set), { method: 'DELETE', ...ifMatch(set.revision) }))
  }
}

async function retire(set: Schemas['SetSummary'], retired: boolean) {
  await act(() => sendJson('PUT', `${addressOf(set)}/retired`, { retired }, ifMatch(set.revision)))
}

const { data: lists, error: listsError } = useLists()

/** Each set with its list; without one while that is not known, or where there is none that can be told. */
const rows = computed(() =>
  sets.value.map((set) => {
    const list = lists.value?.find((one) => one.id === set.id)
    const none = set.version === 0 || set.retired ? 'no list' : ''
    const noList = list?.problem ?? (lists.value ? none : '…')
    return { set, list: list?.problem ? undefined : list, noList }
  }),
)

function addressOf(set: Schemas['SetSummary']) {
  return `/api/criteria/${encodeURIComponent(set.id)}` as const
}

async function act(change: () => Promise<unknown>) {
  await save(change)
  await queries.invalidateQueries({ queryKey: ['criteria'] })
  await queries.invalidateQueries({ queryKey: ['lists'] })
}

function standing(set: Schemas['SetSummary']): string {
  const version = set.version ? `version ${String(set.version)}` : 'never published'
  const used = set.retired ? 'retired, ' : ''
  return `${used}${set.draft && set.version ? `draft after ${version}` : version}, ${set.changedBy}, ${dayWords(dayOfInstant(set.changedAt))}`
}

const file = useTemplateRef('file')
const draftId = ref(NEW)
const draft = useKeptDraft(account, draftId)

// A file is looked at first, and put on the bench then; nothing is saved by that.
const opened = shallowRef<CriteriaDocument>()

async function openFile(event: Event) {
  const input = event.target as HTMLInputElement
  const chosen = input.files?.[0]
  try {
    if (chosen) {
      const text = await chosen.text()
      const template = templateOf(text)
      if (template) {
        openTemplate(template)
      } else {
        opened.value = documentOf(text)
      }
      say('')
    }
  } catch (failure) {
    say(sentenceOf(failure))
  } finally {
    input.value = ''
  }
}

const template = shallowRef<Record<string, unknown>>()
const templateShown = ref(false)

/** One of a file, or the library. */
function openTemplate(one: Record<string, unknown> | undefined) {
  template.value = one
  templateShown.value = true
}

/** Over the set that is given, else as a new one. */
async function putOnBench(
  document: CriteriaDocument,
  over: Schemas['SetSummary'] | undefined,
  from = 'This comes from a file, and is not saved.',
) {
  draftId.value = over?.id ?? NEW
  await nextTick()
  if (!draft.value || window.confirm('There are changes here that are not saved. Leave them?')) {
    draft.value = {
      document: over ? document : { ...document, id: '' },
      revision: over?.revision,
      from,
      at: new Date().toISOString(),
    }
    await router.push(`/criteria/${encodeURIComponent(draftId.value)}`)
  }
}

/** Whose a set is, and who sees it. */
function whose(set: Schemas['SetSummary']): string {
  const owner = set.mine ? 'yours' : `${set.owner}’s`
  return `${owner}, ${set.sharing}`
}

const sharing = shallowRef<Schemas['SetSummary']>()
const sharingShown = ref(false)

function share(set: Schemas['SetSummary']) {
  sharing.value = set
  sharingShown.value = true
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>Criteria</h1>
      <InputText v-model="find" placeholder="Find a set" aria-label="Find a set" />
      <span class="grow" />
      <Button text label="From a template" @click="openTemplate(undefined)" />
      <Button text label="Open a file" @click="file?.click()" />
      <input
        ref="file"
        type="file"
        accept=".json,application/json"
        hidden
        aria-label="A criteria set as a file"
        @change="openFile"
      />
      <Button
        :label="hasKeptDraft(account, NEW) ? 'Go on with the new set' : 'New set'"
        icon="pi pi-plus"
        @click="router.push('/criteria/new')"
      />
    </div>
    <p v-if="problem || error || listsError" class="notice" role="alert">
      {{ problem || sentenceOf(error ?? listsError) }}
    </p>
    <p v-if="!data && !error" class="quiet">The sets are being fetched.</p>
    <p v-else-if="data && data.length === 0">
      No set is saved yet. Make a new one: say whom it is about, whom it does not apply to, and what
      should be on record.
    </p>
    <p v-else-if="data && sets.length === 0">No set’s name or purpose holds “{{ find }}”.</p>
    <table v-else-if="data" class="sets on-sheet">
      <thead>
        <tr>
          <th>Set</th>
          <th class="number" :title="meaningOf('onList')">On its list</th>
          <th class="number" :title="meaningOf('toCheck')">To check</th>
          <th :title="meaningOf('haveIt')">Have it</th>
          <th>Last changed</th>
          <th>Whose</th>
          <th><span class="visually-hidden">What can be done with it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ set, list, noList } in rows" :key="set.id">
          <td class="what">
            <RouterLink :to="`/criteria/${encodeURIComponent(set.id)}`">{{ set.name }}</RouterLink>
            <div class="quiet">{{ set.purpose }}</div>
          </td>
          <template v-if="list">
            <td class="number">
              <RouterLink :to="`/lists/${encodeURIComponent(set.id)}`">{{
                count(list.on)
              }}</RouterLink>
            </td>
            <td class="number">{{ count(list.toCheck) }}</td>
            <td>
              <template v-if="list.shouldHave">{{ percent(list.has, list.eligible) }}</template>
            </td>
          </template>
          <td v-else colspan="3" class="quiet">{{ noList }}</td>
          <td class="quiet">
            {{ standing(set) }}
            <strong v-if="hasKeptDraft(account, set.id)">changes not saved</strong>
          </td>
          <td class="quiet">{{ whose(set) }}</td>
          <td>
            <span v-if="set.right === 'CHANGE'" class="do">
              <button class="word share" @click="share(set)">Share</button>
              <button v-if="set.version === 0" class="word" @click="remove(set)">Remove</button>
              <button v-else class="word" @click="retire(set, !set.retired)">
                {{ set.retired ? 'Take back' : 'Retire' }}
              </button>
            </span>
            <span v-else class="quiet">to look at</span>
          </td>
        </tr>
      </tbody>
    </table>
    <SharingDialog
      :id="sharing?.id ?? ''"
      v-model:visible="sharingShown"
      :name="sharing?.name ?? ''"
    />
    <TemplateDialog
      v-model:visible="templateShown"
      :file="template"
      @put="putOnBench($event, undefined, 'This comes from a template, and is not saved.')"
    />
    <OpenFileDialog :document="opened" :sets="data" @close="opened = undefined" @put="putOnBench" />
  </div>
</template>

<style scoped>
.sets {
  width: 100%;
  margin: 0;
}

.what {
  width: 34%;
}

.what a {
  font-weight: 600;
}

.do {
  display: flex;
  align-items: start;
  gap: 10px;
}

.sets .word:not(.share) {
  color: var(--brick);
  border-bottom-color: transparent;
}
</style>
