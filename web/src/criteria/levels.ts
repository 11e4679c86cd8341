import { sendJson, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { computed, readonly, ref, shallowRef, watch, type Ref, type ShallowRef } from 'vue'
import type { CriteriaDocument } from './document'

export interface Draft {
  document: CriteriaDocument
  asOf: string | undefined
  settings: Record<string, string>
}

export interface Levels {
  /** The newest levels that could be computed. */
  levels: Readonly<ShallowRef<Schemas['Levels'] | undefined>>
  /** Those before the last change, for the ghosts. */
  before: Readonly<ShallowRef<Schemas['Levels'] | undefined>>
  /** What is wrong with the draft as it stands. */
  findings: Readonly<Ref<readonly Schemas['Finding'][]>>
  /** What the criteria say in which nothing is wrong, where others are pointed out. */
  said: Readonly<Ref<readonly Schemas['LineSaid'][]>>
  problem: Readonly<Ref<string>>
}

/**
 * Asks for the levels of a draft after every change; only the newest answer counts.
 *
 * @param subject which set is on the bench: another one has neither the levels nor the ghosts of the one before it
 */
export function useLevels(draft: Ref<Draft>, subject: Readonly<Ref<unknown>> = ref()): Levels {
  const levels = shallowRef<Schemas['Levels']>()
  const before = shallowRef<Schemas['Levels']>()
  /** The newest answer. */
  const newest = shallowRef<Schemas['BenchAnswer']>()
  const { ask, forget, problem } = useNewest()

  watch(
    subject,
    () => {
      forget()
      levels.value = undefined
      before.value = undefined
      newest.value = undefined
    },
    { flush: 'sync' },
  )

  watch(
    draft,
    (now) =>
      void ask(
        (signal) => sendJson<Schemas['BenchAnswer']>('POST', '/api/bench', now, { signal }),
        (answer) => {
          newest.value = answer
          if (answer.levels) {
            before.value = levels.value
            levels.value = answer.levels
          }
        },
      ),
    { immediate: true },
  )
  return {
    levels: readonly(levels) as Levels['levels'],
    before: readonly(before) as Levels['before'],
    findings: computed(() => newest.value?.findings ?? []),
    said: computed(() => newest.value?.said ?? []),
    problem,
  }
}
