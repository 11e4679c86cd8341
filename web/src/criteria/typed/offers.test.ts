import { describe, expect, it } from 'vitest'
import { emptyDocument, putTermSet } from '../document'
import { sortOf, take, termSetOf, type Offer } from './offers'

const OFFER: Offer = {
  from: 3,
  words: 'Hearing check',
  what: 'TERM_SET',
  says: '',
  count: 4,
  members: [],
}
const TERM: Offer = {
  from: 3,
  words: '“Hearing check, yearly”',
  what: 'TERM',
  says: 'code HC1 of local',
  count: 575,
  members: [{ code: 'HC1', system: 'local' }],
}

describe('taking an offer', () => {
  it('puts it in the place of what was begun, with a space after it', () => {
    expect(take({ text: 'no hea', caret: 6 }, OFFER)).toEqual({
      text: 'no Hearing check ',
      caret: 17,
    })
  })

  it('keeps what stands behind the caret', () => {
    expect(take({ text: 'no hea in the last year', caret: 6 }, OFFER)).toEqual({
      text: 'no Hearing check in the last year',
      caret: 17,
    })
  })
})

describe('a term that is in no term set', () => {
  it('becomes a new term set of its name', () => {
    expect(termSetOf(emptyDocument(), TERM)).toEqual({
      id: 'hearing-check-yearly',
      name: 'Hearing check, yearly',
      members: [{ code: 'HC1', system: 'local' }],
    })
  })

  it('joins the term set that has its name', () => {
    const document = putTermSet(emptyDocument(), {
      id: 'hc',
      name: 'hearing check, Yearly',
      members: [{ text: 'x' }],
    })
    expect(termSetOf(document, TERM)).toEqual({
      id: 'hc',
      name: 'hearing check, Yearly',
      members: [{ text: 'x' }, { code: 'HC1', system: 'local' }],
    })
  })

  it('gathers several under what was typed', () => {
    const together = {
      ...TERM,
      words: 'creatinine',
      members: [{ text: 'Creatinine, serum' }, { text: 'Creat' }, { text: 'Creat' }],
    }
    expect(termSetOf(emptyDocument(), together)).toEqual({
      id: 'creatinine',
      name: 'creatinine',
      members: [{ text: 'Creatinine, serum' }, { text: 'Creat' }],
    })
  })

  it('does not take the id of another', () => {
    const document = putTermSet(emptyDocument(), {
      id: 'hearing-check-yearly',
      name: 'Other',
      members: [],
    })
    expect(termSetOf(document, TERM).id).toBe('hearing-check-yearly-2')
  })
})

it('says what an offer is', () => {
  expect(sortOf(OFFER)).toBe('term set')
  expect(sortOf(TERM)).toBe('new term set: code HC1 of local')
})
