import { send, type Schemas } from '@/api/client'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

export type Colleague = Schemas['ColleagueName']
export type Group = Schemas['GroupView']

/** The colleagues whose accounts are open, and their groups. */
export function useColleagues() {
  const { data } = useQuery({
    queryKey: ['colleagues'],
    queryFn: () => send<Schemas['Colleagues']>('/api/colleagues'),
    staleTime: 30_000,
  })
  return {
    colleagues: computed<readonly Colleague[]>(() => data.value?.colleagues ?? []),
    /** By name, with the sign-in names of who is in each. */
    groups: computed<readonly Group[]>(() => data.value?.groups ?? []),
  }
}
