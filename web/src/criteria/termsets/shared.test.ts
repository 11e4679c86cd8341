import { describe, expect, it } from 'vitest'
import { emptyDocument, type CriteriaDocument } from '../document'
import { namedIn, replaceTermSet, says, withShared, type SharedTermSet } from './shared'

const SHARED: SharedTermSet = {
  id: 'hc',
  name: 'hearing check',
  members: [{ system: 'local', code: 'HC1' }],
  leftOut: [],
  version: 2,
  changedAt: '',
  changedBy: '',
  usedBy: [],
}
const COPY = { id: 'hc', name: 'hearing check', members: [{ code: 'HC1', system: 'local' }] }

const DOCUMENT: CriteriaDocument = {
  ...emptyDocument(),
  termSets: [COPY],
  include: [
    {
      id: 'a',
      test: {
        any: [{ events: { terms: ['hc', 'other'] } }, { latest: { terms: ['hc'] }, is: [] }],
      },
    },
  ],
}

describe('a shared term set', () => {
  it('says the same as a copy, however its members are written', () => {
    expect(says(SHARED, COPY)).toBe(true)
    expect(says(SHARED, { ...COPY, name: 'Hearing' })).toBe(false)
    expect(says(SHARED, { ...COPY, members: [{ code: 'HC1' }] })).toBe(false)
  })

  it('can be chosen in a document that does not hold it, and does not replace one that it holds', () => {
    expect(withShared(emptyDocument(), [SHARED]).termSets).toEqual([
      { id: 'hc', name: 'hearing check', members: SHARED.members },
    ])
    expect(withShared(DOCUMENT, [{ ...SHARED, name: 'Other' }])).toBe(DOCUMENT)
  })

  it('is named in tests of any depth', () => {
    expect(namedIn(DOCUMENT.include as never)).toEqual(new Set(['hc', 'other']))
    expect(namedIn({ age: { from: 18 } })).toEqual(new Set())
  })

  it('is replaced wherever it stands', () => {
    const own = { id: 'hc-2', name: 'own', members: [] }
    const next = replaceTermSet(DOCUMENT, 'hc', own)
    expect(next.termSets).toEqual([own])
    expect(namedIn(next.include as never)).toEqual(new Set(['hc-2', 'other']))
    expect(namedIn(DOCUMENT.include as never)).toEqual(new Set(['hc', 'other']))
  })
})
