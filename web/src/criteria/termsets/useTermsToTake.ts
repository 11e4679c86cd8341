import { send, sentenceOf, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { dayOfInstant, timeWords } from '@/days'
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, shallowRef, watch, type Ref } from 'vue'
import type { Term } from './members'

/** What can be taken into a term set: what looks like it belongs, and what is found in the records. */
export function useTermsToTake(
  visible: Ref<boolean>,
  find: Ref<string>,
  /** The shared one that is changed; nothing for one of this document's own. */
  holds: Ref<{ id: string; version: number } | undefined>,
  /** Whether a term was taken, or left out on purpose. */
  isSettled: (term: Term) => boolean,
) {
  /** Nothing while it is not known. */
  const found = shallowRef<readonly Term[]>()
  const finding = useNewest()
  const wanted = refDebounced(find, 150)

  watch(
    [visible, wanted],
    ([shown, words]) => {
      if (shown) {
        void finding.ask(
          (signal) =>
            send<Term[]>(`/api/records/terms?find=${encodeURIComponent(words)}`, { signal }),
          (terms) => {
            found.value = terms
          },
        )
      }
    },
    { immediate: true },
  )

  const { data: offered, error: notOffered } = useQuery({
    queryKey: computed(() => ['termSets', holds.value?.id, 'offered', holds.value?.version]),
    queryFn: () =>
      send<Schemas['Offered']>(
        `/api/term-sets/${encodeURIComponent(holds.value?.id ?? '')}/offered`,
      ),
    enabled: computed(() => visible.value && holds.value !== undefined),
  })

  const mayBelong = computed(() =>
    holds.value ? (offered.value?.terms ?? []).filter((one) => !isSettled(one)) : [],
  )
  const sinceDay = computed(() => (offered.value ? dayOfInstant(offered.value.since) : ''))
  const newSince = computed(
    () => mayBelong.value.filter((one) => (one.first ?? '') > sinceDay.value).length,
  )

  /** What is offered, where anything is, and what was found. */
  const parts = computed(() => {
    const all = mayBelong.value.length
    const since = newSince.value && offered.value ? timeWords(offered.value.since) : ''
    const inRecords = {
      label: 'Terms in the records',
      title: all ? 'In the records' : '',
      terms: found.value,
    }
    return all
      ? [
          {
            label: 'May belong to it',
            title: `${String(all)} ${all === 1 ? 'wording' : 'wordings'} may belong here${
              since ? `, ${String(newSince.value)} new since ${since}` : ''
            }`,
            terms: mayBelong.value,
          },
          inRecords,
        ]
      : [inRecords]
  })

  return {
    found,
    parts,
    problem: computed(() => finding.problem.value || sentenceOf(notOffered.value)),
  }
}
