<script setup lang="ts">
import { send, type Schemas } from '@/api/client'
import { timeWords } from '@/days'
import { useQuery } from '@tanstack/vue-query'

/** Says on every page when the records that are shown are behind those that are kept. */
const AGAIN_MS = 30_000

const { data: standing } = useQuery({
  queryKey: ['records', 'standing'],
  queryFn: () => send<Schemas['RecordsStanding']>('/api/records/standing'),
  refetchInterval: (query) => (query.state.data?.behindSince ? AGAIN_MS : false),
})
</script>

<template>
  <p v-if="standing?.behindSince" class="notice behind" role="status">
    <strong>The records shown are behind.</strong> What came since
    {{ timeWords(standing.behindSince) }} is kept, but not counted yet in lists, levels and people;
    what you see is as of {{ timeWords(standing.builtAt) }}. Dipstick is making it ready and says so
    here until it is done.
  </p>
</template>

<style scoped>
.behind {
  margin: 0;
}
</style>
