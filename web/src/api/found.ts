import { send, type Schemas } from './client'

/** Who is found, and by which words: while others are typed, those who were found before still stand there. */
export type FoundBy = Schemas['Found'] & { by: string }

export async function findBy(
  address: '/api/people' | '/api/who',
  words: string,
  signal: AbortSignal,
): Promise<FoundBy> {
  const found = await send<Schemas['Found']>(`${address}?find=${encodeURIComponent(words)}`, {
    signal,
  })
  return { ...found, by: words }
}
