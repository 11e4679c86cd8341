import { describe, expect, it } from 'vitest'
import { emptyDocument, type CriteriaDocument } from './document'
import { stepped, withoutColumnsOf, wordsOf } from './listColumns'

const FOUND = { criterion: 'a', column: 'latest' }

describe('the columns of a list', () => {
  it('are called by their headings', () => {
    const known = [{ ...FOUND, words: 'Visit: latest' }]
    expect(wordsOf('due_on', known)).toBe('Due on')
    expect(wordsOf(FOUND, known)).toBe('Visit: latest')
    expect(wordsOf({ criterion: 'b', column: 'count' }, known)).toBe('b: count')
  })

  it('go with the criterion that they are of, and leave nothing empty behind', () => {
    const other = { criterion: 'b', column: 'count' }
    const document: CriteriaDocument = {
      ...emptyDocument(),
      show: ['phone', FOUND, other],
      order: [{ by: FOUND }],
    }
    const left = withoutColumnsOf(document, 'a')
    expect(left.show).toEqual(['phone', other])
    expect('order' in left).toBe(false)
    expect(withoutColumnsOf(document, 'c')).toBe(document)
  })

  it('step earlier and later, up to the ends', () => {
    expect(stepped(['a', 'b', 'c'], 1, 1)).toEqual(['a', 'c', 'b'])
    expect(stepped(['a', 'b', 'c'], 1, -1)).toEqual(['b', 'a', 'c'])
    expect(stepped(['a', 'b'], 1, 1)).toEqual(['a', 'b'])
    expect(stepped(['a', 'b'], 0, -1)).toEqual(['a', 'b'])
  })
})
