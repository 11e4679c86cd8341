import { describe, expect, it } from 'vitest'
import { isSame, means, memberOf, wordsOf, type Term } from './members'
import { useMembers } from './useMembers'

function term(sort: Term['sort'], words: string, system = ''): Term {
  return {
    sort,
    term: words,
    system,
    says: words,
    records: 1,
    people: 1,
    besides: 0,
    kinds: [],
    sources: [],
  }
}

describe('a member of a term set', () => {
  it('is said in words', () => {
    expect(wordsOf({ code: 'HC1', system: 'local' })).toBe('code HC1 of local')
    expect(wordsOf({ code: { dial: 'x' } })).toBe('code …')
    expect(wordsOf({ text: 'hearing', match: 'startsWith' })).toBe('wording starts with “hearing”')
    expect(wordsOf({ keyword: 'audiogram' })).toBe('keyword audiogram')
  })

  it('is the same whatever its capitals', () => {
    expect(isSame({ text: 'A' }, { text: 'a' })).toBe(true)
    expect(isSame({ text: 'a' }, { text: 'a', match: 'contains' })).toBe(false)
  })

  it.each([
    [{ code: 'hc1' }, term('CODE', 'HC1', 'mill'), true],
    [{ code: 'HC1', system: 'local' }, term('CODE', 'HC1', 'mill'), false],
    [{ text: 'hearing', match: 'startsWith' }, term('TEXT', 'Hearing check'), true],
    [{ text: 'check', match: 'contains' }, term('TEXT', 'Hearing check'), true],
    [{ text: 'hearing' }, term('TEXT', 'Hearing check'), false],
    [{ keyword: 'ear' }, term('TEXT', 'ear'), false],
    [{ keyword: 'ear' }, term('KEYWORD', 'Ear'), true],
  ])('%o means %o: %s', (member, of, meant) => {
    expect(means(member, of)).toBe(meant)
  })
})

describe('gathering members', () => {
  const hearing = term('TEXT', 'Hearing check')

  it('ticks and unticks a term', () => {
    const { members, isIn, tick } = useMembers()
    tick(hearing)
    expect(members.value).toEqual([memberOf(hearing)])
    expect(isIn(hearing)).toBe(true)
    tick(hearing)
    expect(members.value).toEqual([])
  })

  it('cannot untick what a wider member means', () => {
    const { isIn, isTicked, add } = useMembers()
    add({ text: 'hearing', match: 'startsWith' })
    expect(isIn(hearing)).toBe(true)
    expect(isTicked(hearing)).toBe(false)
  })

  it('leaves a term out on purpose, which takes it out, and takes that back', () => {
    const { members, leftOut, isLeftOut, tick, leave } = useMembers()
    tick(hearing)
    leave(hearing)
    expect(members.value).toEqual([])
    expect(isLeftOut(hearing)).toBe(true)
    tick(hearing)
    expect(leftOut.value).toEqual([])
  })
})
