import type { Schemas } from '@/api/client'
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
  return wordsOf(one).toLowerCase() === wordsOf(other).toLowerCase()
}

/** Whether a member means a term, also where it is not just that term (criteria.md, section 4, term sets). */
export function means(member: Member, term: Term): boolean {
  const given = term.term.toLowerCase()
  if ('code' in member) {
    const system =
      member.system === undefined || text(member.system).toLowerCase() === term.system.toLowerCase()
    return term.sort === 'CODE' && system && text(member.code).toLowerCase() === given
  }
  if ('keyword' in member) {
    return term.sort === 'KEYWORD' && text(member.keyword).toLowerCase() === given
  }
  const wanted = text(member.text).toLowerCase()
  if (term.sort !== 'TEXT') {
    return false
  }
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
