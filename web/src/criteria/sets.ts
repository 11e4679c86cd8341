import { send, type Schemas } from '@/api/client'
import { queryOptions } from '@tanstack/vue-query'

/** All saved sets, by name. */
export const setsQuery = queryOptions({
  queryKey: ['criteria'],
  queryFn: () => send<Schemas['SetSummary'][]>('/api/criteria'),
})
