import { sentenceOf } from '@/api/client'
import type { WorkFields } from '@/api/work'
import { dayWords } from '@/days'
import { useVeil } from '@/veil'
import { ref, watch, type Ref } from 'vue'
import type { DeskRow } from './queues'
import type { useDesk } from './useDesk'
import type { DeskView, useDeskPages } from './useDeskPages'
import type { useMarks } from './useMarks'
import { STEPS, type Step } from './words'

interface At {
  desk: ReturnType<typeof useDesk>
  pages: Pick<ReturnType<typeof useDeskPages>, 'row' | 'wholeList'>
  marks: Pick<ReturnType<typeof useMarks>, 'targets' | 'rowOf' | 'clear'>
  current: Ref<string>
  outcomes: Ref<DeskView['outcomes']>
  mayWork: Ref<boolean>
}

/** What is done at a desk about whoever is marked or in hand, with the note that goes with it. */
export function useDeskActs({
  desk: { work, warn },
  pages,
  marks,
  current,
  outcomes,
  mayWork,
}: At) {
  const { row, wholeList } = pages
  const { targets, rowOf, clear } = marks
  const veil = useVeil()
  const note = ref('')
  /** Whether one call settles all lists that somebody is on. */
  const everywhere = ref(true)
  watch(current, () => {
    note.value = ''
    everywhere.value = true
  })

  async function about(
    kind: Parameters<typeof work>[0],
    words: string,
    fields: WorkFields = {},
  ): Promise<void> {
    const whom = targets.value
    const one = whom[0] && (rowOf(whom[0].person) ?? row.value)
    const several =
      whom.length > 1 ? `${String(whom.length)} people` : veil.isDown ? '' : one?.person.name
    if (await work(kind, whom, several ? `${words}: ${several}` : words, fields)) {
      clear()
    }
  }

  async function take({ person, revision }: DeskRow): Promise<void> {
    const words = veil.isDown ? 'Taken' : `Taken: ${person.name}`
    await work('TAKE', [{ person: person.id, revision }], words)
  }

  function takeMarked(): void {
    void about('TAKE', 'Taken')
  }

  async function takeOrLetGo(): Promise<void> {
    const mine = targets.value.every((one) => one.mine)
    await (mine ? about('LET_GO', 'Let go') : about('TAKE', 'Taken'))
  }

  async function log(outcome: string | undefined): Promise<void> {
    const known = outcomes.value.find((one) => one.id === outcome)
    if (known && mayWork.value) {
      const fields = { outcome: known.id, words: note.value.trim(), everywhere: everywhere.value }
      await about('ATTEMPT', known.name, fields)
      note.value = ''
    }
  }

  /** What was written to many, logged for each of them. */
  async function logWritten(people: string[], outcome: string): Promise<void> {
    const written = new Set(people)
    const name = outcomes.value.find((one) => one.id === outcome)?.name ?? outcome
    try {
      const now = (await wholeList()).filter((one) => written.has(one.person))
      await work('ATTEMPT', now, `${name}: ${String(now.length)} people`, { outcome })
    } catch (failure) {
      warn(`What was sent is not logged yet. ${sentenceOf(failure)}`)
    }
  }

  async function keepNote(): Promise<void> {
    const words = note.value.trim()
    if (words && (await work('NOTE', targets.value, 'Note kept', { words }))) {
      note.value = ''
    }
  }

  function plan(next: Step, day: string): void {
    const name = STEPS.find((one) => one.step === next)?.name ?? ''
    void about('PLAN', `${name} on ${dayWords(day)}`, { step: next, day, words: note.value.trim() })
  }

  function excuse(reason: string, until: string, all: boolean): void {
    void about('EXCUSE', 'Excused', { words: reason, day: until, everywhere: all })
  }

  function close(reason: string): void {
    void about('CLOSE', 'Closed', { words: reason })
  }

  function give(to: string, name: string): void {
    void about('GIVE', `Given to ${name}`, { to })
  }

  function bringBack(): void {
    void (row.value?.state === 'CLOSED'
      ? about('REOPEN', 'Opened again')
      : about('BRING_BACK', 'Brought back'))
  }

  return {
    note,
    everywhere,
    take,
    takeMarked,
    takeOrLetGo,
    log,
    logWritten,
    keepNote,
    plan,
    excuse,
    close,
    give,
    bringBack,
  }
}
