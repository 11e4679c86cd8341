import { send, type Schemas } from '@/api/client'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

export type Colleague = Schemas['ColleagueName']

/** The colleagues whose accounts are open, and their groups. */
export function useColleagues() {
  const { data } = useQuery({
    queryKey: ['colleagues'],
    queryFn: () => send<Schemas['Colleagues']>('/api/colleagues'),
    staleTime: 30_000,
  })
  return {
    colleagues: computed<readonly Colleague[]>(() => data.value?.colleagues ?? []),
    groups: computed<readonly string[]>(() => Object.keys(data.value?.groups ?? {})),
  }
}
