import { send, type Schemas } from '@/api/client'
import { queryOptions, useQuery } from '@tanstack/vue-query'

/** The fields and values that occur in the records. */
export const vocabularyQuery = queryOptions({
  queryKey: ['vocabulary'],
  queryFn: () => send<Schemas['Vocabulary']>('/api/records/vocabulary'),
  staleTime: 60_000,
})

export function useVocabulary() {
  return useQuery(vocabularyQuery)
}
