/**
 * The criteria document (criteria.md, section 4) as the bench changes it. Everything here makes a new document and
 * leaves the old one as it was, so that undo is a matter of keeping them.
 */

export type Json = null | boolean | number | string | Json[] | { [key: string]: Json }
export type JsonObject = Record<string, Json>

export interface Criterion extends JsonObject {
  id: string
  test: JsonObject
}

export type Section = 'INCLUDE' | 'EXCLUDE' | 'SHOULD_HAVE'

export interface Place {
  section: Section
  index: number
}

export interface TermSet extends JsonObject {
  id: string
  name: string
  members: JsonObject[]
}

export type CriteriaDocument = JsonObject & { id: string; name: string }

export const SECTIONS: Section[] = ['INCLUDE', 'EXCLUDE', 'SHOULD_HAVE']

export function emptyDocument(): CriteriaDocument {
  return { format: 'dipstick-criteria/1', id: '', name: '', include: [], exclude: [] }
}

/** As it can be evaluated: a set that has no name yet gets a stand-in. */
export function evaluable(document: CriteriaDocument): CriteriaDocument {
  return { ...document, id: document.id || 'new-set', name: document.name || 'New set' }
}

export function criteriaOf(document: CriteriaDocument, section: Section): Criterion[] {
  const list =
    section === 'SHOULD_HAVE'
      ? ((document.shouldHave as JsonObject | undefined)?.of ?? [])
      : (document[section === 'INCLUDE' ? 'include' : 'exclude'] ?? [])
  return list as Criterion[]
}

function withCriteria(
  document: CriteriaDocument,
  section: Section,
  criteria: Criterion[],
): CriteriaDocument {
  if (section !== 'SHOULD_HAVE') {
    return { ...document, [section === 'INCLUDE' ? 'include' : 'exclude']: criteria }
  }
  const { shouldHave, ...rest } = document
  if (criteria.length === 0) {
    return rest as CriteriaDocument
  }
  const rule = (shouldHave as JsonObject | undefined)?.rule ?? 'any'
  return { ...document, shouldHave: { rule, of: criteria } }
}

/** An id that no criterion has yet, made from a word. */
export function freshId(document: CriteriaDocument, word: string): string {
  const taken = new Set(SECTIONS.flatMap((s) => criteriaOf(document, s).map((one) => one.id)))
  return firstFree(slug(word) || 'criterion', taken)
}

export function firstFree(word: string, taken: Set<string>): string {
  let id = word
  for (let n = 2; taken.has(id); n++) {
    id = `${word}-${String(n)}`
  }
  return id
}

/** A name as an id: lower case letters, digits and hyphens. */
export function slug(name: string): string {
  return name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/\p{M}/gu, '')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 80)
}

export function addCriterion(
  document: CriteriaDocument,
  section: Section,
  test: JsonObject,
  word: string,
): CriteriaDocument {
  const criterion: Criterion = { id: freshId(document, word), test }
  return withCriteria(document, section, [...criteriaOf(document, section), criterion])
}

export function removeCriterion(document: CriteriaDocument, at: Place): CriteriaDocument {
  return withCriteria(
    document,
    at.section,
    criteriaOf(document, at.section).filter((_, index) => index !== at.index),
  )
}

export function changeCriterion(
  document: CriteriaDocument,
  at: Place,
  change: (criterion: Criterion) => Criterion,
): CriteriaDocument {
  const criteria = criteriaOf(document, at.section).map((criterion, index) =>
    index === at.index ? change(criterion) : criterion,
  )
  return withCriteria(document, at.section, criteria)
}

/** Moves a criterion to another place, in its own section or another. */
export function moveCriterion(
  document: CriteriaDocument,
  from: Place,
  to: Place,
): CriteriaDocument {
  const moved = criteriaOf(document, from.section)[from.index]
  if (!moved) {
    return document
  }
  const without = removeCriterion(document, from)
  const target = [...criteriaOf(without, to.section)]
  target.splice(to.index, 0, moved)
  const kept = withCriteria(without, to.section, target)
  const rule = (document.shouldHave as JsonObject | undefined)?.rule
  return kept.shouldHave && rule
    ? { ...kept, shouldHave: { ...(kept.shouldHave as JsonObject), rule } }
    : kept
}

/** The place one step up or down, over the edge into the neighbouring section; nothing beyond the last. */
export function neighbour(document: CriteriaDocument, at: Place, step: 1 | -1): Place | undefined {
  const index = at.index + step
  if (index >= 0 && index < criteriaOf(document, at.section).length) {
    return { section: at.section, index }
  }
  const section = SECTIONS[SECTIONS.indexOf(at.section) + step]
  return section && { section, index: step > 0 ? 0 : criteriaOf(document, section).length }
}

/** Leaves out the key where the value is undefined. */
export function withKey(object: JsonObject, key: string, value: Json | undefined): JsonObject {
  const rest = Object.fromEntries(Object.entries(object).filter(([one]) => one !== key))
  return value === undefined ? rest : { ...rest, [key]: value }
}

export function termSetsOf(document: CriteriaDocument): TermSet[] {
  return (document.termSets ?? []) as TermSet[]
}

/** The list with one more, or with one in the place of that which is the same thing. */
export function withOne<T>(list: T[], one: T, same: (other: T) => boolean): T[] {
  return list.some(same) ? list.map((other) => (same(other) ? one : other)) : [...list, one]
}

/** Adds a term set, or replaces the one of the same id. */
export function putTermSet(document: CriteriaDocument, termSet: TermSet): CriteriaDocument {
  const termSets = withOne(termSetsOf(document), termSet, ({ id }) => id === termSet.id)
  return { ...document, termSets }
}
