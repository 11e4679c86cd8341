import { sendJson, sentenceOf, type Schemas } from '@/api/client'
import { readonly, ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import { evaluable, type CriteriaDocument } from '../document'
import type { Typing } from './offers'

export interface TypedReading {
  answer: Readonly<ShallowRef<Schemas['TypedAnswer'] | undefined>>
  problem: Readonly<Ref<string>>
  /** Reads what is typed; resolves when the newest has been read. */
  read: (typing: Typing, document: CriteriaDocument, asOf: string) => Promise<void>
}

/** Has the server read what is typed; only the newest answer counts. */
export function useTyped(): TypedReading {
  const answer = shallowRef<Schemas['TypedAnswer']>()
  const problem = ref('')
  let asking: AbortController | undefined

  async function read(typing: Typing, document: CriteriaDocument, asOf: string): Promise<void> {
    asking?.abort()
    const mine = new AbortController()
    asking = mine
    try {
      const read = await sendJson<Schemas['TypedAnswer']>(
        'POST',
        '/api/bench/typed',
        {
          document: evaluable(document),
          asOf: asOf || undefined,
          typed: typing.text,
          caret: typing.caret,
        },
        { signal: mine.signal },
      )
      if (asking === mine) {
        answer.value = read
        problem.value = ''
      }
    } catch (failure) {
      if (asking === mine) {
        problem.value = sentenceOf(failure)
      }
    }
  }

  return { answer: readonly(answer) as TypedReading['answer'], problem: readonly(problem), read }
}
