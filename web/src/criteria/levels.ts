import { sendJson, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { readonly, ref, shallowRef, watch, type Ref, type ShallowRef } from 'vue'
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
  findings: Readonly<ShallowRef<readonly Schemas['Finding'][]>>
  /** What the criteria say in which nothing is wrong, where others are pointed out. */
  said: Readonly<ShallowRef<readonly Schemas['LineSaid'][]>>
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
  const findings = shallowRef<readonly Schemas['Finding'][]>([])
  const said = shallowRef<readonly Schemas['LineSaid'][]>([])
  const { ask, forget, problem } = useNewest()

  watch(
    subject,
    () => {
      forget()
      levels.value = undefined
      before.value = undefined
      findings.value = []
      said.value = []
    },
    { flush: 'sync' },
  )

  watch(
    draft,
    (now) =>
      void ask(
        (signal) => sendJson<Schemas['BenchAnswer']>('POST', '/api/bench', now, { signal }),
        (answer) => {
          findings.value = answer.findings
          said.value = answer.said
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
    findings: readonly(findings) as Levels['findings'],
    said: readonly(said) as Levels['said'],
    problem,
  }
}
