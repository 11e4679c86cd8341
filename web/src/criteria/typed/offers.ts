import { sameText } from '@/normalText'
import type { Schemas } from '@/api/client'
import {
  firstFree,
  putTermSet,
  slug,
  termSetsOf,
  type CriteriaDocument,
  type JsonObject,
  type TermSet,
} from '../document'
import { withMember } from '../termsets/members'

export type Offer = Schemas['Offer']
/** Something that what is typed may mean. */
export type Said = Schemas['Said']

export interface Typing {
  text: string
  caret: number
}

/** What is typed once an offer is taken: it stands in the place of what was begun, and a space after it. */
export function take({ text, caret }: Typing, offer: Offer): Typing {
  const before = text.slice(0, offer.from) + offer.words
  const rest = text.slice(caret)
  const space = rest.startsWith(' ') ? '' : ' '
  return { text: before + space + rest, caret: before.length + 1 }
}

/** The name that quotation marks stand around, if they do. */
function bare(words: string): string {
  return words.replace(/^“(.*)”$/, '$1').replaceAll('””', '”')
}

/** The term set that members go into: the one that is called so, or a new one. */
export function termSetWith(
  document: CriteriaDocument,
  name: string,
  members: readonly JsonObject[],
): TermSet {
  const known = termSetsOf(document).find((one) => sameText(one.name, name))
  const taken = new Set(termSetsOf(document).map((one) => one.id))
  const begun = known ?? { id: firstFree(slug(name) || 'terms', taken), name, members: [] }
  return { ...begun, members: members.reduce(withMember, begun.members) }
}

/** The term set of offered terms that are in none so far. */
export function termSetOf(document: CriteriaDocument, offer: Offer): TermSet {
  return termSetWith(document, bare(offer.words), offer.members as JsonObject[])
}

/** The document with the term sets that offers brought along. */
export function withTermSets(document: CriteriaDocument, termSets: TermSet[]): CriteriaDocument {
  return termSets.reduce(putTermSet, document)
}

const SORTS: Record<Offer['what'], string> = {
  WORDS: '',
  KIND: 'kind',
  TERM_SET: 'term set',
  TERM: 'new term set:',
  PERSON_FIELD: 'field',
  EVENT_FIELD: 'field',
  PERSON_VALUE: '',
  EVENT_VALUE: '',
  SET: 'set',
  ROSTER: 'roster',
  DIAL: 'dial',
  NUMBER: '',
  DATE: '',
  PERIOD: '',
}

/** What an offer is, in a word or two. */
export function sortOf(offer: Offer): string {
  return [SORTS[offer.what], offer.says].filter(Boolean).join(' ')
}
