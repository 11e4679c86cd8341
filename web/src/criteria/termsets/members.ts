import type { Schemas } from '@/api/client'
import { normalText, sameText } from '@/normalText'
import type { JsonObject } from '../document'

/** A member of a term set, as it stands in a document (criteria.md, section 4). */
export type Member = JsonObject
export type Term = Schemas['TermView']

/** The member that means just this term. */
export function memberOf(term: Term): Member {
  switch (term.sort) {
    case 'CODE':
      return term.system ? { system: term.system, code: term.term } : { code: term.term }
    case 'TEXT':
      return { text: term.term }
    case 'KEYWORD':
      return { keyword: term.term }
  }
}

function text(value: unknown): string {
  return typeof value === 'string' ? value : '…'
}

export function wordsOf(member: Member): string {
  if ('code' in member) {
    return `code ${text(member.code)}${member.system ? ` of ${text(member.system)}` : ''}`
  }
  if ('keyword' in member) {
    return `keyword ${text(member.keyword)}`
  }
  const how = { startsWith: 'starts with ', contains: 'contains ' }[text(member.match)] ?? ''
  return `wording ${how}“${text(member.text)}”`
}

export function isSame(one: Member, other: Member): boolean {
  return sameText(wordsOf(one), wordsOf(other))
}

/** Whether a member means a term, also where it is not just that term (criteria.md, section 4, term sets). */
export function means(member: Member, term: Term): boolean {
  if ('code' in member) {
    return (
      term.sort === 'CODE' &&
      (member.system === undefined || sameText(text(member.system), term.system)) &&
      sameText(text(member.code), term.term)
    )
  }
  if ('keyword' in member) {
    return term.sort === 'KEYWORD' && sameText(text(member.keyword), term.term)
  }
  if (term.sort !== 'TEXT') {
    return false
  }
  const wanted = normalText(text(member.text))
  const given = normalText(term.term)
  switch (member.match) {
    case 'startsWith':
      return given.startsWith(wanted)
    case 'contains':
      return given.includes(wanted)
    default:
      return given === wanted
  }
}

/** The members of one that the other has not, in words. */
export function onlyIn(some: readonly Member[], others: readonly Member[]): string[] {
  return some.filter((member) => !others.some((other) => isSame(member, other))).map(wordsOf)
}

export function without(members: Member[], member: Member): Member[] {
  return members.filter((one) => !isSame(one, member))
}

export function withMember(members: Member[], member: Member): Member[] {
  return members.some((one) => isSame(one, member)) ? members : [...members, member]
}
