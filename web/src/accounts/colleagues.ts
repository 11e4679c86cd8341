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
    /** The sign-in names of who is in each, by the group’s name. */
    groups: computed(() => data.value?.groups ?? {}),
  }
}
