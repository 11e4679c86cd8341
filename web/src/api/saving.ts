import {
  computed,
  readonly,
  ref,
  shallowRef,
  toValue,
  type ComputedRef,
  type MaybeRefOrGetter,
  type Ref,
} from 'vue'
import { Problem, sentenceOf } from './client'

export interface Saving {
  /**
   * Sends a change. What comes of it is handed over only while what it was about is still on the page; a second change of
   * it waits until the first is answered.
   *
   * @param done takes the answer over
   * @returns whether it was saved and is still on the page
   */
  save: <T>(send: () => Promise<T>, done?: (answer: T) => void) => Promise<boolean>
  saving: ComputedRef<boolean>
  /** What went wrong, as a sentence with what is wrong at each spot; else empty. */
  problem: Readonly<Ref<string>>
  /** What was thrown, for what is to be said of it in other words. */
  failure: Readonly<Ref<unknown>>
  /** Says a sentence of the page's own in place of a problem; an empty one takes it away. */
  say: (words: string) => void
  /** Whether somebody else changed it meanwhile. */
  conflict: ComputedRef<boolean>
}

/** The words that a person is told of whatever was thrown: those of each spot too. */
function told(failure: unknown): string {
  const spots = failure instanceof Problem ? failure.errors.map((one) => one.message) : []
  return [sentenceOf(failure), ...spots].join(' ')
}

/**
 * Saves what is on a page or in a dialog.
 *
 * @param subject what it is about, such as an id; compared by its JSON
 * @param elsewhere is told when a change failed that is not on the page any more, so that nobody takes it for saved
 */
export function useSaving(
  subject: MaybeRefOrGetter<unknown>,
  elsewhere: (words: string) => void = () => undefined,
): Saving {
  const about = computed(() => JSON.stringify(toValue(subject) ?? null))
  /** What is being saved; one thing may be while another is on the page. */
  const underWay = ref<string[]>([])
  const problem = ref('')
  const failure = shallowRef<unknown>()

  async function save<T>(
    send: () => Promise<T>,
    done: (answer: T) => void = () => undefined,
  ): Promise<boolean> {
    const mine = about.value
    if (underWay.value.includes(mine)) {
      return false
    }
    underWay.value = [...underWay.value, mine]
    say('')
    try {
      const answer = await send()
      const here = mine === about.value
      if (here) {
        done(answer)
      }
      return here
    } catch (thrown) {
      if (mine === about.value) {
        problem.value = told(thrown)
        failure.value = thrown
      } else {
        elsewhere(told(thrown))
      }
      return false
    } finally {
      underWay.value = underWay.value.filter((one) => one !== mine)
    }
  }

  function say(words: string): void {
    problem.value = words
    failure.value = undefined
  }

  return {
    save,
    say,
    saving: computed(() => underWay.value.includes(about.value)),
    problem: readonly(problem),
    failure,
    conflict: computed(
      () => failure.value instanceof Problem && failure.value.type === 'changed-meanwhile',
    ),
  }
}
