import { send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { useToast } from 'primevue/usetoast'
import { computed, shallowRef, type Ref } from 'vue'
import type { DeskRow } from './queues'

type Work = Schemas['Work']

/** What is said of some work besides whom it is about. */
export type WorkFields = Partial<Omit<Work, 'kind' | 'batch' | 'people'>>

/** The desk of a list as the server has it, and what is done at it. */
export function useDesk(list: Ref<string>) {
  const queries = useQueryClient()
  const toast = useToast()
  const address = computed(() => `/api/lists/${encodeURIComponent(list.value)}/desk`)
  /** What can be undone, the last one last. */
  const done = shallowRef<{ batch: string; words: string }[]>([])

  const { data: desk, error } = useQuery({
    queryKey: computed(() => ['lists', list.value, 'desk']),
    queryFn: () => send<Schemas['DeskView']>(address.value),
  })

  function readAgain(): Promise<void> {
    return queries.invalidateQueries({ queryKey: ['lists', list.value, 'desk'] })
  }

  /** What was done last, in words. */
  const told = shallowRef('')

  function warn(summary: string, detail = ''): void {
    toast.add({ severity: 'warn', summary, detail, life: 9000 })
  }

  function tellRefused(refused: readonly Schemas['Refusal'][]): void {
    const first = refused[0]
    if (first) {
      const others = refused.length > 1 ? ` And ${String(refused.length - 1)} more.` : ''
      warn(first.why + others)
    }
  }

  /** Does it about these people; says what was refused. Gives whether it was done about anybody. */
  async function work(
    kind: Work['kind'],
    rows: readonly DeskRow[],
    words: string,
    fields: WorkFields = {},
  ): Promise<boolean> {
    if (rows.length === 0) {
      return false
    }
    const wanted: Work = {
      kind,
      batch: crypto.randomUUID(),
      people: rows.map((row) => ({ person: row.person.id, revision: row.revision })),
      outcome: '',
      words: '',
      step: 'NONE',
      day: '',
      to: '',
      everywhere: false,
      ...fields,
    }
    try {
      const answer = await sendJson<Schemas['WorkDone']>('POST', `${address.value}/work`, wanted)
      tellRefused(answer.refused)
      if (answer.done.length > 0) {
        done.value = [...done.value, { batch: wanted.batch, words }]
        told.value = words
      }
      await readAgain()
      return answer.done.length > 0
    } catch (failure) {
      warn(sentenceOf(failure), 'Nothing was saved.')
      return false
    }
  }

  async function undo(): Promise<void> {
    const last = done.value.at(-1)
    if (!last) {
      warn('There is nothing to undo.')
      return
    }
    try {
      const answer = await send<Schemas['WorkDone']>(`${address.value}/work/${last.batch}`, {
        method: 'DELETE',
      })
      tellRefused(answer.refused)
      if (answer.done.length > 0) {
        told.value = `Undone: ${last.words}`
      }
    } catch (failure) {
      warn(sentenceOf(failure))
    }
    done.value = done.value.slice(0, -1)
    await readAgain()
  }

  return { desk, error, work, undo, told, canUndo: computed(() => done.value.length > 0) }
}
