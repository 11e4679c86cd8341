<script setup lang="ts">
import { ifMatch, send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import type { Role } from '@/session'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { ROLES } from './roles'

/** What is asked of whom besides a password. */
const queries = useQueryClient()
const { data: demand, error } = useQuery({
  queryKey: ['second factor'],
  queryFn: () => send<Schemas['DemandedRoles']>('/api/second-factor'),
})
const told = ref('')
const { save, saving, problem } = useSaving('second factor')

type Demanded = Schemas['OwnSecondFactor']['demanded']

const all = Object.keys(ROLES) as Role[]

const WORDS: Record<Demanded, string> = {
  NOTHING: 'a password',
  EITHER: 'a code too, or a passkey',
  PASSKEY: 'a passkey',
}

async function ask(role: Role, demanded: Demanded) {
  const roles = { ...demand.value?.roles, [role]: demanded }
  told.value = ''
  await save(
    () => sendJson('PUT', '/api/second-factor', { roles }, ifMatch(demand.value?.revision)),
    () => {
      told.value = `Of each ${ROLES[role]} is asked, from now on: ${WORDS[demanded]}.`
    },
  )
  await queries.invalidateQueries({ queryKey: ['second factor'] })
}
</script>

<template>
  <h2>Second factor</h2>
  <p v-if="problem || error" class="notice" role="alert">{{ problem || sentenceOf(error) }}</p>
  <p v-if="told" class="notice calm" role="status">{{ told }}</p>
  <p class="quiet">
    Everybody may set one up, beside their name above. Whoever has a role of which more than a
    password is asked does so before anything else.
  </p>
  <p v-if="!demand && !error" class="quiet">What is asked of whom is being fetched.</p>
  <p v-if="demand" class="roles">
    <label v-for="role in all" :key="role">
      {{ ROLES[role] }}
      <select
        class="plain"
        :value="demand.roles[role] ?? 'NOTHING'"
        :disabled="saving"
        @change="ask(role, ($event.target as HTMLSelectElement).value as Demanded)"
      >
        <option v-for="(words, one) in WORDS" :key="one" :value="one">{{ words }}</option>
      </select>
    </label>
  </p>
</template>

<style scoped>
h2 {
  margin-top: 18px;
}

.roles {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
}
</style>
