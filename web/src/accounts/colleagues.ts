import { send, sentenceOf, type Schemas } from '@/api/client'
import { has, type Duty } from '@/session'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

export type Colleague = Schemas['ColleagueName']
export type Group = Schemas['GroupView']

/** The colleagues whose accounts are open, and their groups. */
export function useColleagues() {
  const { data, error } = useQuery({
    queryKey: ['colleagues'],
    queryFn: () => send<Schemas['Colleagues']>('/api/colleagues'),
    staleTime: 30_000,
  })
  const colleagues = computed<readonly Colleague[]>(() => data.value?.colleagues ?? [])

  /** @param chosen by name, before their roles changed: to be taken out */
  function withDuty(duty: Duty, chosen: readonly string[] = []): Colleague[] {
    return colleagues.value.filter((one) => has(one.roles, duty) || chosen.includes(one.name))
  }

  return {
    /** None while they are not fetched. */
    colleagues,
    fetched: computed(() => data.value !== undefined),
    /** Why they could not be fetched, as a sentence; else empty. */
    problem: computed(() => sentenceOf(error.value)),
    withDuty,
    /** Who can have people in hand, and be given them. */
    working: computed(() => withDuty('WORK_LISTS')),
    /** By name, with the sign-in names of who is in each. */
    groups: computed<readonly Group[]>(() => data.value?.groups ?? []),
  }
}
