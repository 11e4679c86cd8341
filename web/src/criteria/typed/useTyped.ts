import { sendJson, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { readonly, ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import { evaluable, type CriteriaDocument } from '../document'
import type { Typing } from './offers'

/** Where on the sheet it is typed; among the criteria of include and exclude where it is neither. */
export interface TypedPlace {
  shouldHave: boolean
  band: boolean
}

export interface TypedReading {
  answer: Readonly<ShallowRef<Schemas['TypedAnswer'] | undefined>>
  /** What was typed when it was given. */
  answered: Readonly<Ref<string>>
  problem: Readonly<Ref<string>>
  /** Reads what is typed; resolves when it was read, or something newer is. */
  read: (typing: Typing, document: CriteriaDocument, asOf: string, of: TypedPlace) => Promise<void>
}

/** Has the server read what is typed; only the newest answer counts. */
export function useTyped(): TypedReading {
  const answer = shallowRef<Schemas['TypedAnswer']>()
  const answered = ref('')
  const { ask, problem } = useNewest()

  function read(
    typing: Typing,
    document: CriteriaDocument,
    asOf: string,
    of: TypedPlace,
  ): Promise<void> {
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
            ...of,
          },
          { signal },
        ),
      (read) => {
        answer.value = read
        answered.value = typing.text
      },
    )
  }

  return { answer: readonly(answer) as TypedReading['answer'], answered, problem, read }
}
