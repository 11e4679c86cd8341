<script setup lang="ts">
import { ifMatch, send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import type { Role } from '@/session'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ROLES } from './roles'

/** In which roles nobody may act without a second factor. */
const queries = useQueryClient()
const { data: demand, error } = useQuery({
  queryKey: ['second factor'],
  queryFn: () => send<Schemas['DemandedRoles']>('/api/second-factor'),
})
const { save, saving, problem } = useSaving('second factor')

const all = Object.keys(ROLES) as Role[]

async function turn(role: Role) {
  const asked = demand.value?.roles ?? []
  const roles = asked.includes(role) ? asked.filter((one) => one !== role) : [...asked, role]
  await save(() =>
    sendJson('PUT', '/api/second-factor', { roles }, ifMatch(demand.value?.revision)),
  )
  await queries.invalidateQueries({ queryKey: ['second factor'] })
}
</script>

<template>
  <h2>Second factor</h2>
  <p v-if="problem || error" class="notice" role="alert">{{ problem || sentenceOf(error) }}</p>
  <p class="quiet">
    Everybody may set one up, beside their name above. Whoever has one of these roles must, before
    they do anything else.
  </p>
  <p v-if="demand" class="roles">
    <label v-for="role in all" :key="role">
      <input
        type="checkbox"
        :checked="demand.roles.includes(role)"
        :disabled="saving"
        @change="turn(role)"
      />
      {{ ROLES[role] }}
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
