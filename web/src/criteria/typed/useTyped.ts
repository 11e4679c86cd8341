import { sendJson, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { readonly, shallowRef, type Ref, type ShallowRef } from 'vue'
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
  const { ask, problem } = useNewest()

  function read(typing: Typing, document: CriteriaDocument, asOf: string): Promise<void> {
    return ask(
      (signal) =>
        sendJson<Schemas['TypedAnswer']>(
          'POST',
          '/api/bench/typed',
          {
            document: evaluable(document),
            asOf: asOf || undefined,
            typed: typing.text,
            caret: typing.caret,
          },
          { signal },
        ),
      (read) => {
        answer.value = read
      },
    )
  }

  return { answer: readonly(answer) as TypedReading['answer'], problem, read }
}
