import { send, sendJson, sentenceOf } from '@/api/client'
import { dayWords } from '@/days'
import { useQueryClient } from '@tanstack/vue-query'
import { useToast } from 'primevue/usetoast'

/** Has nobody told of somebody for a while, and told again; what shows prompts is read anew. */
export function useDismissing() {
  const queries = useQueryClient()
  const toast = useToast()
  const addressOf = (list: string) =>
    `/api/lists/${encodeURIComponent(list)}/prompt/dismissals` as const

  async function change(what: () => Promise<unknown>, words: string): Promise<boolean> {
    try {
      await what()
      toast.add({ severity: 'success', summary: words, life: 4000 })
      return true
    } catch (failure) {
      toast.add({ severity: 'warn', summary: sentenceOf(failure), life: 9000 })
      return false
    } finally {
      await queries.invalidateQueries({ queryKey: ['prompts'] })
    }
  }

  function dismiss(list: string, person: string, reason: string, until: string): Promise<boolean> {
    return change(
      () => sendJson('POST', addressOf(list), { person, reason, until }),
      `Not told of until ${dayWords(until)}; they stay on the list.`,
    )
  }

  function tellAgain(list: string, dismissal: number): Promise<boolean> {
    return change(
      () => send(`${addressOf(list)}/${String(dismissal)}`, { method: 'DELETE' }),
      'Told of again.',
    )
  }

  return { dismiss, tellAgain }
}
