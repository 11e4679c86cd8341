<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import { timeWords } from '@/days'
import { useQuery, useQueryClient } from '@tanstack/vue-query'

/** Who was erased, as far as that is still known: when, on whose word, and whether files may bring them in again. */
const queries = useQueryClient()
const { data: erasures, error } = useQuery({
  queryKey: ['erasures'],
  queryFn: () => send<Schemas['ErasureView'][]>('/api/erasures'),
  staleTime: 0,
})
const { save, problem } = useSaving('erasures')

async function letIn(one: Schemas['ErasureView']) {
  await save(() => send(`/api/erasures/${String(one.id)}/kept-out`, { method: 'DELETE' }))
  await queries.invalidateQueries({ queryKey: ['erasures'] })
}
</script>

<template>
  <section aria-label="Erasures">
    <p v-if="problem || error" class="notice" role="alert">{{ problem || sentenceOf(error) }}</p>
    <p v-if="!erasures && !error" class="quiet" role="status">Looking which there were …</p>
    <p v-else-if="erasures?.length === 0" class="quiet">
      Nobody was erased. It is done where a person is looked at, under People.
    </p>
    <table v-else-if="erasures" class="ledger">
      <thead>
        <tr>
          <th>When</th>
          <th>In their place</th>
          <th>Who asked</th>
          <th>Why</th>
          <th>By</th>
          <th>Files that name them</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in erasures" :key="one.id">
          <td>{{ timeWords(one.erasedAt) }}</td>
          <td>{{ one.stub }}</td>
          <td>{{ one.askedBy }}</td>
          <td>{{ one.why }}</td>
          <td>{{ one.erasedBy }}</td>
          <td>
            <template v-if="one.keptOut">
              are read without them.
              <button class="word" :aria-label="`Let ${one.stub} in again`" @click="letIn(one)">
                Let them in again
              </button>
            </template>
            <template v-else>may bring them in again</template>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
