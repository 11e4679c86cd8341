import { send, type Schemas } from '@/api/client'
import { queryOptions } from '@tanstack/vue-query'
import {
  termSetsOf,
  type CriteriaDocument,
  type Json,
  type JsonObject,
  type TermSet,
} from '../document'

import { memberOf, type Member, type Term } from './members'

export type SharedTermSet = Schemas['TermSetView']

/** The term sets that criteria sets share, by name. */
export const sharedQuery = queryOptions({
  queryKey: ['termSets'],
  queryFn: () => send<SharedTermSet[]>('/api/term-sets'),
})

/** A shared term set, or a new one, to which a term of the records is added. */
export function gatheredIn(
  shared: readonly SharedTermSet[],
  id: string,
  term: Term,
): { termSet: TermSet | undefined; member: Member } {
  const one = shared.find((set) => set.id === id)
  return { termSet: one && copyOf(one), member: memberOf(term) }
}

/** As it stands in a document. */
export function copyOf(shared: SharedTermSet): TermSet {
  return { id: shared.id, name: shared.name, members: shared.members as JsonObject[] }
}

/** Whether a document's copy says what is shared. */
export function says(shared: SharedTermSet, copy: TermSet): boolean {
  const same = (one: JsonObject) => JSON.stringify(Object.entries(one).sort())
  return (
    shared.name === copy.name &&
    shared.members.map((one) => same(one as JsonObject)).join() === copy.members.map(same).join()
  )
}

/** The document with the shared term sets besides its own, to choose from. */
export function withShared(
  document: CriteriaDocument,
  shared: readonly SharedTermSet[],
): CriteriaDocument {
  const own = new Set(termSetsOf(document).map((one) => one.id))
  const others = shared.filter((one) => !own.has(one.id)).map(copyOf)
  return others.length ? { ...document, termSets: [...termSetsOf(document), ...others] } : document
}

/** The ids of the term sets that a test names. */
export function namedIn(test: Json): Set<string> {
  if (Array.isArray(test)) {
    return new Set(test.flatMap((one) => [...namedIn(one)]))
  }
  if (test === null || typeof test !== 'object') {
    return new Set()
  }
  const own = (test.terms as string[] | undefined) ?? []
  return new Set([...own, ...Object.values(test).flatMap((one) => [...namedIn(one)])])
}

/** The document in which another term set stands wherever one stood. */
export function replaceTermSet(
  document: CriteriaDocument,
  id: string,
  termSet: TermSet,
): CriteriaDocument {
  const termSets = termSetsOf(document).map((one) => (one.id === id ? termSet : one))
  return { ...(renamed(document, id, termSet.id) as CriteriaDocument), termSets }
}

function renamed(json: Json, from: string, to: string): Json {
  if (Array.isArray(json)) {
    return json.map((one) => renamed(one, from, to))
  }
  if (json === null || typeof json !== 'object') {
    return json
  }
  return Object.fromEntries(
    Object.entries(json).map(([key, value]) => [
      key,
      key === 'terms' && Array.isArray(value)
        ? value.map((id) => (id === from ? to : id))
        : renamed(value, from, to),
    ]),
  )
}
