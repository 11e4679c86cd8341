<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import { timeWords } from '@/days'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { SESSIONS } from './sessions'

/** Where one is signed in. */
const queries = useQueryClient()
const { data: sessions, error } = useQuery({
  queryKey: SESSIONS,
  queryFn: () => send<Schemas['SignedInAt'][]>('/api/session/sessions'),
  staleTime: 0,
})
const { save, problem } = useSaving('sessions')

async function end(id: string) {
  await save(() => send(`/api/session/sessions/${id}`, { method: 'DELETE' }))
  await queries.invalidateQueries({ queryKey: SESSIONS })
}

/** A browser's name for itself, as far as it says anything to a person. */
function browserWords(browser: string): string {
  const name = ['Edg', 'Firefox', 'Chrome', 'Safari'].find((one) => browser.includes(`${one}/`))
  const system = ['Windows', 'Android', 'iPhone', 'iPad', 'Macintosh', 'Linux'].find((one) =>
    browser.includes(one),
  )
  const words = [name === 'Edg' ? 'Edge' : name, system && `on ${system}`]
  return words.filter((one) => one).join(' ') || browser || 'a program that does not say its name'
}
</script>

<template>
  <section aria-label="Signed in">
    <h2>Signed in</h2>
    <p v-if="problem || error" class="notice" role="alert">{{ problem || sentenceOf(error) }}</p>
    <p v-if="!sessions && !error" class="quiet" role="status">Looking where …</p>
    <ul v-else-if="sessions" class="lines sessions">
      <li v-for="one in sessions" :key="one.id">
        <span>
          {{ browserWords(one.browser) }}, {{ one.address }}
          <span class="quiet">since {{ timeWords(one.since) }}</span>
        </span>
        <strong v-if="one.here">here</strong>
        <button v-else class="word" @click="end(one.id)">Sign out there</button>
      </li>
    </ul>
  </section>
</template>
