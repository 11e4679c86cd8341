<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { keepAnswer } from '@/api/download'
import { dayWords, timeWords } from '@/days'
import { useSession } from '@/session'
import { count } from '@/stick'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, ref, useTemplateRef } from 'vue'
import { quarterWords, shareWords } from './beside'
import RegionBar from './RegionBar.vue'

/** How each list stands beside those of all practices of the region. */
type ListInRegion = Schemas['ListInRegion']

const session = useSession()
const queries = useQueryClient()
const { data: lists, error } = useQuery({
  queryKey: ['region'],
  queryFn: () => send<ListInRegion[]>('/api/region'),
})
const asks = computed(() => session.has('COORDINATE'))

const done = ref('')
const failed = ref('')

async function doing(what: () => Promise<string>) {
  done.value = ''
  failed.value = ''
  try {
    done.value = await what()
  } catch (failure) {
    failed.value = sentenceOf(failure)
  }
}

function saveQuestion(list: ListInRegion) {
  return doing(async () => {
    await keepAnswer(`/api/region/${encodeURIComponent(list.id)}/question`)
    return `The question of “${list.name}” is saved as a file. Send it to the region’s team.`
  })
}

const picker = useTemplateRef('picker')

async function bringIn(event: Event) {
  const chosen = event.target as HTMLInputElement
  const file = chosen.files?.[0]
  if (!file) {
    return
  }
  await doing(async () => {
    const body = await file.text()
    const brought = await send<Schemas['BroughtIn']>('/api/region/answers', {
      method: 'POST',
      headers: { 'Content-Type': 'text/plain' },
      body,
    })
    await queries.invalidateQueries({ queryKey: ['region'] })
    return `What ${count(brought.practices)} practices say of “${brought.name}” as of ${dayWords(brought.asOf)} is kept.`
  })
  chosen.value = ''
}

async function letGo(list: ListInRegion, asOf: string) {
  const sure = `Let go of what the region said of “${list.name}” as of ${dayWords(asOf)}? What it said as of an earlier day is shown then, if there is any.`
  if (window.confirm(sure)) {
    await doing(async () => {
      await send(`/api/region/${encodeURIComponent(list.id)}/answers/${asOf}`, { method: 'DELETE' })
      await queries.invalidateQueries({ queryKey: ['region'] })
      return `What the region said of “${list.name}” as of ${dayWords(asOf)} is gone.`
    })
  }
}
</script>

<template>
  <section aria-label="Region">
    <div v-if="asks" class="how">
      <p>
        Save the question of a list and send it to the region’s team; it holds the criteria and the
        dials, and names nobody. What comes back is a file, <code>levels.json</code>.
      </p>
      <Button label="Bring in an answer…" severity="secondary" @click="picker?.click()" />
      <input
        ref="picker"
        type="file"
        hidden
        aria-label="The region’s levels.json"
        accept=".json,application/json"
        @change="bringIn"
      />
    </div>
    <p v-if="error || failed" class="notice" role="alert">{{ failed || sentenceOf(error) }}</p>
    <p v-if="done" class="notice calm" role="status">{{ done }}</p>
    <p v-if="!lists && !error" class="quiet">The lists are being read.</p>
    <p v-else-if="lists?.length === 0" class="quiet">
      There is no list yet. One begins when a criteria set is published.
    </p>
    <table v-else-if="lists" class="ledger">
      <thead>
        <tr>
          <th>List</th>
          <th colspan="2">Here, and in all practices of the region</th>
          <th v-if="asks"><span class="visually-hidden">What can be done</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="list in lists" :key="list.id">
          <th scope="row">
            <RouterLink :to="`/lists/${encodeURIComponent(list.id)}`">{{ list.name }}</RouterLink>
          </th>
          <template v-if="list.beside">
            <td class="drawn"><RegionBar :beside="list.beside" /></td>
            <td>
              <strong class="here">Here {{ shareWords(list.beside.here) }}</strong
              ><template v-if="list.beside.here">
                ({{ count(list.beside.here.part) }} of {{ count(list.beside.here.of) }})</template
              >, <strong class="all">all practices {{ shareWords(list.beside.everywhere) }}</strong>
              {{ list.shouldHave ? 'have it' : 'of all people are on the list' }}.
              {{ quarterWords(list.beside) }}
              <span v-if="!list.beside.sameQuestion" class="other">
                The region was asked something else than this list asks now: its criteria or dials
                are others. Send the question again before you compare.
              </span>
              <span class="quiet when">
                As of {{ dayWords(list.beside.asOf) }}, here by the records of now. Brought in by
                {{ list.beside.broughtInBy }}, {{ timeWords(list.beside.broughtInAt) }}.
              </span>
            </td>
          </template>
          <td v-else colspan="2" class="quiet">The region has not answered for this list.</td>
          <td v-if="asks" class="acts">
            <button type="button" class="word" @click="saveQuestion(list)">Save question</button>
            <button
              v-if="list.beside"
              type="button"
              class="word"
              @click="letGo(list, list.beside.asOf)"
            >
              Let go of the answer
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.how {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 14px;
  margin-bottom: 12px;
}

.how p {
  max-width: 78ch;
  margin: 0;
}

.ledger {
  width: 100%;
}

tbody th {
  background: none;
  font-weight: 400;
}

.drawn {
  width: 232px;
}

.here {
  color: var(--verdigris);
}

.all {
  color: var(--amber-ink);
}

.other {
  display: block;
  color: var(--brick);
}

.when {
  display: block;
  font-size: 0.9rem;
}

.acts {
  white-space: nowrap;
}

.acts .word {
  display: block;
}
</style>
