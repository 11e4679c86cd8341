import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref, toValue, type MaybeRefOrGetter } from 'vue'
import { send, sentenceOf, type Schemas } from './client'

type PeopleAddress = '/api/people' | '/api/who'

/** Who is found, and by which words. */
type FoundBy = Schemas['Found'] & { by: string }

async function findBy(
  address: PeopleAddress,
  words: string,
  signal: AbortSignal,
): Promise<FoundBy> {
  const found = await send<Schemas['Found']>(`${address}?find=${encodeURIComponent(words)}`, {
    signal,
  })
  return { ...found, by: words }
}

/** Finds people by what is typed, once it stands still for a moment; while others are looked for, those before still stand there. */
export function useFinding(
  address: PeopleAddress,
  key: string[],
  shown: MaybeRefOrGetter<boolean> = true,
) {
  const typed = ref('')
  const words = refDebounced(typed, 150)
  const nothingTyped = computed(() => typed.value.trim() === '')
  const nothingAsked = computed(() => words.value.trim() === '')
  const { data: found, error } = useQuery({
    queryKey: computed(() => [...key, words.value]),
    queryFn: ({ signal }) => findBy(address, words.value, signal),
    placeholderData: keepPreviousData,
    enabled: computed(() => toValue(shown) && !nothingAsked.value),
  })
  return {
    typed,
    nothingTyped,
    people: computed(() =>
      nothingTyped.value || nothingAsked.value ? [] : (found.value?.people ?? []),
    ),
    /** What was found by what is typed; nothing while those that stand there were found by what was typed before. */
    now: computed(() => (found.value?.by === typed.value ? found.value : undefined)),
    problem: computed(() => sentenceOf(error.value)),
  }
}
