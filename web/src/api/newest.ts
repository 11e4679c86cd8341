import { tryOnScopeDispose } from '@vueuse/core'
import { readonly, ref, type Ref } from 'vue'
import { sentenceOf } from './client'

export interface Newest {
  /**
   * Asks, and hands over the answer; what was asked before and is not answered yet is given up. An answer that is not the
   * newest one's, or comes after `forget`, is handed to nobody, as is its failure.
   */
  ask: <T>(request: (signal: AbortSignal) => Promise<T>, take: (answer: T) => void) => Promise<void>
  /** Gives up what was asked: what it was about is not on the page any more. */
  forget: () => void
  /** Whether an answer is awaited. */
  asking: Readonly<Ref<boolean>>
  /** What went wrong with the newest one, as a sentence; else empty. */
  problem: Readonly<Ref<string>>
}

/** One question at a time, of which only the newest answer counts. */
export function useNewest(): Newest {
  const asking = ref(false)
  const problem = ref('')
  let current: AbortController | undefined

  function forget(): void {
    current?.abort()
    current = undefined
    asking.value = false
    problem.value = ''
  }

  async function ask<T>(
    request: (signal: AbortSignal) => Promise<T>,
    take: (answer: T) => void,
  ): Promise<void> {
    current?.abort()
    const mine = new AbortController()
    current = mine
    asking.value = true
    try {
      const answer = await request(mine.signal)
      if (current === mine) {
        problem.value = ''
        take(answer)
      }
    } catch (failure) {
      if (current === mine) {
        problem.value = sentenceOf(failure)
      }
    } finally {
      if (current === mine) {
        asking.value = false
      }
    }
  }

  tryOnScopeDispose(forget)
  return { ask, forget, asking: readonly(asking), problem: readonly(problem) }
}
