import { send, type Schemas } from '@/api/client'
import { has, type Duty } from '@/session'
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
  const colleagues = computed<readonly Colleague[]>(() => data.value?.colleagues ?? [])
  return {
    colleagues,
    /** Who has a duty, and whoever was chosen before their roles changed, to be taken out. */
    withDuty: (duty: Duty, chosen: readonly string[]) =>
      colleagues.value.filter((one) => has(one.roles, duty) || chosen.includes(one.name)),
    /** Who can have people in hand, and be given them. */
    working: computed(() => colleagues.value.filter((one) => has(one.roles, 'WORK_LISTS'))),
    /** By name, with the sign-in names of who is in each. */
    groups: computed<readonly Group[]>(() => data.value?.groups ?? []),
  }
}
