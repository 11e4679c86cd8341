import { Problem, sendJson, type Schemas } from './client'

type Work = Schemas['Work']

/** What is said of some work besides whom it is about. */
export type WorkFields = Partial<Omit<Work, 'kind' | 'batch' | 'part' | 'people'>>

/** Work as it is sent, under a name of its own, before it says about whom it is. */
export function workOf(kind: Work['kind'], fields: WorkFields): Omit<Work, 'people' | 'part'> {
  return {
    kind,
    batch: crypto.randomUUID(),
    outcome: '',
    words: '',
    step: 'NONE',
    day: '',
    to: '',
    everywhere: false,
    ...fields,
  }
}

/**
 * Sends work, and sends it again under the same name where no answer came: the server does it once, and answers as at
 * first.
 */
export async function sendWork(list: string, work: Work): Promise<Schemas['WorkDone']> {
  const address = `/api/lists/${encodeURIComponent(list)}/desk/work` as const
  try {
    return await sendJson('POST', address, work)
  } catch (failure) {
    if (failure instanceof Problem && failure.type === 'offline') {
      return await sendJson('POST', address, work)
    }
    throw failure
  }
}
