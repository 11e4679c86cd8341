<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { useSession } from '@/session'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { documentOf } from './files'
import { hasKeptDraft, NEW, useKeptDraft } from './keptDraft'
import { setsQuery } from './sets'

const router = useRouter()
const queries = useQueryClient()
const account = useSession().signedIn?.name ?? ''
const find = ref('')
const problem = ref('')

const { data, error } = useQuery(setsQuery)

const sets = computed(() => {
  const words = find.value.trim().toLowerCase()
  return (data.value ?? []).filter((set) =>
    `${set.name} ${set.purpose}`.toLowerCase().includes(words),
  )
})

async function remove(set: Schemas['SetSummary']) {
  if (!window.confirm(`Remove “${set.name}”? Its list goes with it; the records stay.`)) {
    return
  }
  try {
    await send(`/api/criteria/${encodeURIComponent(set.id)}`, {
      method: 'DELETE',
      headers: { 'If-Match': `"${String(set.version)}"` },
    })
    problem.value = ''
  } catch (failure) {
    problem.value = sentenceOf(failure)
  }
  await queries.invalidateQueries({ queryKey: ['criteria'] })
  await queries.invalidateQueries({ queryKey: ['lists'] })
}

const file = useTemplateRef('file')
const draftId = ref(NEW)
const draft = useKeptDraft(account, draftId)

/** A file is put on the bench, over the set of its id where there is one; nothing is saved by that. */
async function openFile(event: Event) {
  const input = event.target as HTMLInputElement
  const chosen = input.files?.[0]
  try {
    if (chosen) {
      const document = documentOf(await chosen.text())
      const known = data.value?.find((set) => set.id === document.id)
      draftId.value = known?.id ?? NEW
      await nextTick()
      if (
        !draft.value ||
        window.confirm('There are changes here that are not saved. Leave them?')
      ) {
        draft.value = { document, version: known?.version, at: new Date().toISOString() }
        await router.push(`/criteria/${encodeURIComponent(draftId.value)}`)
      }
      problem.value = ''
    }
  } catch (failure) {
    problem.value = sentenceOf(failure)
  } finally {
    input.value = ''
  }
}

function when(iso: string): string {
  return new Date(iso).toLocaleDateString('en-GB', { dateStyle: 'medium' })
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>Criteria</h1>
      <InputText v-model="find" placeholder="Find a set" aria-label="Find a set" />
      <span class="grow" />
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
    <p v-if="problem || error" class="notice" role="alert">{{ problem || sentenceOf(error) }}</p>
    <p v-if="data && data.length === 0">
      No set is saved yet. Make a new one: say whom it is about, whom it does not apply to, and what
      should be on record.
    </p>
    <p v-else-if="data && sets.length === 0">No set’s name or purpose holds “{{ find }}”.</p>
    <ul v-else class="sets">
      <li v-for="set in sets" :key="set.id">
        <RouterLink :to="`/criteria/${encodeURIComponent(set.id)}`">{{ set.name }}</RouterLink>
        <span>{{ set.purpose }}</span>
        <span class="quiet">
          version {{ set.version }}, {{ set.changedBy }}, {{ when(set.changedAt) }}
          <strong v-if="hasKeptDraft(account, set.id)">changes not saved</strong>
        </span>
        <button class="word" @click="remove(set)">Remove</button>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.sets {
  list-style: none;
  margin: 0;
  padding: 0;
  background: var(--sheet);
  border: 1px solid var(--rule);
}

.sets li {
  display: grid;
  grid-template-columns: 280px 1fr 260px auto;
  gap: 14px;
  padding: 8px 14px;
  border-bottom: 1px solid #eee5d2;
}

.sets a {
  font-weight: 600;
}

.sets .word {
  color: var(--brick);
  border-bottom-color: transparent;
}
</style>
