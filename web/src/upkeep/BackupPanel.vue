<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import { timeWords } from '@/days'
import { count } from '@/stick'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'

/** Which backups there are, and one more. */
const queries = useQueryClient()
const { data: state, error } = useQuery({
  queryKey: ['backups'],
  queryFn: () => send<Schemas['BackupState']>('/api/backups'),
  staleTime: 0,
})
const { save, saving, problem } = useSaving(() => 'backups')

async function take() {
  await save(
    () => send<Schemas['BackupState']>('/api/backups', { method: 'POST' }),
    (now) => queries.setQueryData(['backups'], now),
  )
}

const MEGABYTE = 1_000_000
</script>

<template>
  <section aria-label="Backup">
    <p v-if="error || problem" class="notice" role="alert">{{ problem || sentenceOf(error) }}</p>
    <p v-if="!state && !error" class="quiet" role="status">Looking which there are …</p>
    <template v-if="state">
      <p v-if="state.warning" class="notice" role="status">{{ state.warning }}</p>
      <p>
        The newest {{ state.keep }} are kept in <code>{{ state.folder }}</code>; each is opened and
        counted before it counts as one. Copy them to another machine too.
      </p>
      <p><Button label="Back up now" :loading="saving" @click="take" /></p>
      <p v-if="state.backups.length === 0" class="quiet">None yet.</p>
      <table v-else class="ledger">
        <thead>
          <tr>
            <th>When</th>
            <th>File</th>
            <th>Megabytes</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in state.backups" :key="one.file">
            <td>{{ timeWords(one.at) }}</td>
            <td>{{ one.file }}</td>
            <td>{{ count(Math.ceil(one.bytes / MEGABYTE)) }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </section>
</template>
