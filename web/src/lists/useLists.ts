import { send, type Schemas } from '@/api/client'
import { useQuery } from '@tanstack/vue-query'

/** The lists that whoever is signed in may see. */
export function useLists() {
  return useQuery({
    queryKey: ['lists'],
    queryFn: () => send<Schemas['ListSummary'][]>('/api/lists'),
  })
}
