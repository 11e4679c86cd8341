import { describe, expect, it } from 'vitest'
import { addBand, bandsOf, moveBand, removeBand } from './bands'
import { emptyDocument } from './document'

const NEVER = { overdue: 'never' }
const OTHERS = { all: [] }

function names(document: ReturnType<typeof emptyDocument>): string {
  return bandsOf(document)
    .map(({ name }) => name)
    .join(', ')
}

describe('the bands of a sheet', () => {
  const three = ['A', 'B', 'C'].reduce((to, name) => addBand(to, name, NEVER), emptyDocument())

  it('stand in the order in which they were added, each by a name of its own', () => {
    expect(names(addBand(three, 'B', NEVER))).toBe('A, B, C, B (2)')
  })

  it('come before that of everybody else, which would hide them', () => {
    const others = addBand(three, 'Others', OTHERS)
    expect(names(addBand(others, 'D', NEVER))).toBe('A, B, C, D, Others')
    expect(names(addBand(others, 'All', OTHERS))).toBe('A, B, C, Others, All')
  })

  it('move to stand before another, and stay where there is no such place', () => {
    expect(names(moveBand(three, 0, 2))).toBe('B, A, C')
    expect(names(moveBand(three, 2, 0))).toBe('C, A, B')
    expect(names(moveBand(three, 0, 3))).toBe('B, C, A')
    expect(moveBand(three, 0, -1)).toBe(three)
    expect(moveBand(three, 2, 4)).toBe(three)
  })

  it('leave no empty list behind', () => {
    expect(removeBand(addBand(emptyDocument(), 'A', NEVER), 0)).toEqual(emptyDocument())
  })
})
