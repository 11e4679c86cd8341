import { Problem, send, sentenceOf, type Schemas } from '@/api/client'
import { sendWork, workOf, type WorkFields } from '@/api/work'
import { count } from '@/stick'
import { useQueryClient } from '@tanstack/vue-query'
import { useToast } from 'primevue/usetoast'
import { computed, shallowRef, watch, type Ref } from 'vue'

type Work = Schemas['Work']

/** The server does it about so many at once; what is done about more is still one thing to undo. */
const AT_ONCE = 2000

/** Somebody about whom something is done, as they were seen. */
export interface Target {
  person: string
  revision: number
}

/** What is done at the desk of a list. */
export function useDesk(list: Ref<string>) {
  const queries = useQueryClient()
  const toast = useToast()
  const addressOf = (id: string) => `/api/lists/${encodeURIComponent(id)}/desk` as const
  /** What can be undone, the last one last. */
  const done = shallowRef<{ batch: string; words: string }[]>([])

  function readAgain(id: string): Promise<void> {
    return queries.invalidateQueries({ queryKey: ['lists', id, 'desk'] })
  }

  /** What was done last, in words. */
  const told = shallowRef('')

  // What was done on one list is not undone on another.
  watch(list, () => {
    done.value = []
    told.value = ''
  })

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
    about: readonly Target[],
    words: string,
    fields: WorkFields = {},
  ): Promise<boolean> {
    if (about.length === 0) {
      return false
    }
    const wanted = workOf(kind, fields)
    const at = list.value
    const people = about.map(({ person, revision }) => ({ person, revision }))
    let finished = 0
    const refused: Schemas['Refusal'][] = []
    try {
      for (let from = 0; from < people.length; from += AT_ONCE) {
        const some = people.slice(from, from + AT_ONCE)
        const answer = await sendWork(at, {
          ...wanted,
          part: from / AT_ONCE,
          people: some,
        })
        finished += answer.done.length
        refused.push(...answer.refused)
      }
    } catch (failure) {
      const saved = finished === 0 ? 'Nothing was saved.' : `It was saved of ${count(finished)}.`
      warn(sentenceOf(failure), saved)
    }
    tellRefused(refused)
    const here = at === list.value
    if (here && finished > 0) {
      done.value = [...done.value, { batch: wanted.batch, words }]
      told.value = words
    }
    await readAgain(at)
    return here && finished > 0
  }

  async function undo(): Promise<void> {
    const at = list.value
    const last = done.value.at(-1)
    if (!last) {
      warn('There is nothing to undo.')
      return
    }
    try {
      const answer = await send<Schemas['WorkDone']>(`${addressOf(at)}/work/${last.batch}`, {
        method: 'DELETE',
      })
      tellRefused(answer.refused)
      if (at === list.value && answer.done.length > 0) {
        told.value = `Undone: ${last.words}`
      }
    } catch (failure) {
      warn(sentenceOf(failure))
      if (failure instanceof Problem && failure.type === 'offline') {
        return
      }
    }
    done.value = done.value.filter((one) => one.batch !== last.batch)
    await readAgain(at)
  }

  return { work, warn, undo, told, canUndo: computed(() => done.value.length > 0) }
}
