<script setup lang="ts">
import { usePageTitle } from '@/address'
import { send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { count } from '@/stick'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, shallowRef } from 'vue'
import PairBeside from './PairBeside.vue'
import RecordsHead from './RecordsHead.vue'
import ToldOfPairs from './ToldOfPairs.vue'

/** People who may be one, in pairs: joined or told apart here, and either undone. */
const ADDRESS = '/api/same-person'

const queries = useQueryClient()
usePageTitle(() => ['The same person twice', 'Records'])
const { data, error } = useQuery({
  queryKey: ['same-person'],
  queryFn: () => send<Schemas['SamePerson']>(ADDRESS),
})
const looked = shallowRef<Schemas['Pair']>()
const { ask, forget, problem: notFound } = useNewest()
const one = ref('')
const other = ref('')
const said = ref('')
const refused = ref('')
const busy = ref(false)

const few = computed(() => data.value && data.value.pairs.length < data.value.total)

/** Does something, says that it was done, and looks again; what was refused stays to be seen. */
async function act(what: () => Promise<unknown>, done: string) {
  forget()
  busy.value = true
  refused.value = ''
  said.value = ''
  try {
    await what()
    said.value = done
    looked.value = undefined
  } catch (failure) {
    refused.value = sentenceOf(failure)
  }
  busy.value = false
  await queries.invalidateQueries()
}

const join = (person: string, joined: string) =>
  act(
    () => sendJson('POST', `${ADDRESS}/joined`, { person, other: joined }),
    `${joined} and ${person} are one person now, who goes on as ${person}.`,
  )

const apart = (pair: Schemas['Pair']) =>
  act(
    () => sendJson('POST', `${ADDRESS}/apart`, { one: pair.one.id, other: pair.other.id }),
    `${pair.one.id} and ${pair.other.id} are two people, and are not offered again.`,
  )

const undo = (address: `apart/${string}` | `joined/${string}`, done: string) =>
  act(() => send(`${ADDRESS}/${address}`, { method: 'DELETE' }), done)

function look() {
  refused.value = ''
  said.value = ''
  looked.value = undefined
  const query = `one=${encodeURIComponent(one.value)}&other=${encodeURIComponent(other.value)}`
  void ask(
    (signal) => send<Schemas['Pair']>(`${ADDRESS}/pair?${query}`, { signal }),
    (pair) => {
      looked.value = pair
    },
  )
}
</script>

<template>
  <div class="page">
    <RecordsHead />
    <p class="quiet">
      People who look like one person on file twice. Joined, they have one set of records, one place
      on each list, and either number finds them, in later files too. Nothing is joined by itself,
      and everything here can be undone.
    </p>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-if="refused || notFound" class="notice" role="alert">{{ refused || notFound }}</p>
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="busy" role="status">It is being done, and the lists are read anew …</p>
    <p v-if="!data && !error" role="status">Looking for pairs …</p>
    <template v-if="data">
      <h2>
        {{
          data.total === 0
            ? 'No pairs'
            : count(data.total) + (data.total === 1 ? ' pair' : ' pairs')
        }}
        to decide<template v-if="few">, the first {{ data.pairs.length }} of them here</template>
      </h2>
      <PairBeside
        v-for="pair in data.pairs"
        :key="`${pair.one.id} ${pair.other.id}`"
        :pair="pair"
        :busy="busy"
        @join="join"
        @apart="apart(pair)"
      />
      <h2>Two others</h2>
      <form class="others" @submit.prevent="look">
        <InputText v-model="one" aria-label="Number of one of them" placeholder="Number" required />
        <InputText
          v-model="other"
          aria-label="Number of the other"
          placeholder="Other number"
          required
        />
        <Button type="submit" outlined label="Lay them side by side" />
      </form>
      <PairBeside v-if="looked" :pair="looked" :busy="busy" @join="join" @apart="apart(looked)" />
      <ToldOfPairs :told="data" :busy="busy" @undo="undo" />
    </template>
  </div>
</template>

<style scoped>
.page > p {
  max-width: 46rem;
}

.page :deep(.name) {
  overflow-wrap: anywhere;
}

.others {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
