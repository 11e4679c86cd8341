import { sendJson, sentenceOf, type Schemas } from '@/api/client'
import { readonly, shallowRef, watch, type Ref, type ShallowRef } from 'vue'
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
  problem: Readonly<Ref<string>>
}

/** Asks for the levels of a draft after every change; only the newest answer counts. */
export function useLevels(draft: Ref<Draft>): Levels {
  const levels = shallowRef<Schemas['Levels']>()
  const before = shallowRef<Schemas['Levels']>()
  const findings = shallowRef<readonly Schemas['Finding'][]>([])
  const problem = shallowRef('')
  let asking: AbortController | undefined
  let of: string | undefined

  async function ask(): Promise<void> {
    asking?.abort()
    const mine = new AbortController()
    asking = mine
    try {
      const answer = await sendJson<Schemas['BenchAnswer']>('POST', '/api/bench', draft.value, {
        signal: mine.signal,
      })
      if (asking !== mine) {
        return
      }
      problem.value = ''
      findings.value = answer.findings
      if (answer.levels) {
        // Another set has no ghosts of the one before it.
        before.value = of === draft.value.document.id ? levels.value : undefined
        of = draft.value.document.id
        levels.value = answer.levels
      }
    } catch (failure) {
      if (asking === mine) {
        problem.value = sentenceOf(failure)
      }
    }
  }

  watch(draft, () => void ask(), { immediate: true })
  return {
    levels: readonly(levels) as Levels['levels'],
    before: readonly(before) as Levels['before'],
    findings: readonly(findings) as Levels['findings'],
    problem,
  }
}
