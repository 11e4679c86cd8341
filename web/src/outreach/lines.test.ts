import { describe, expect, it } from 'vitest'
import { lineOf, linesOf } from './lines'

describe('the lines of the desk', () => {
  it('have a heading above each group, and none without groups', () => {
    expect(linesOf(3, [2, 1])).toEqual([
      { heading: 0, first: 0, people: 2 },
      { at: 0 },
      { at: 1 },
      { heading: 1, first: 2, people: 1 },
      { at: 2 },
    ])
    expect(linesOf(2, [])).toEqual([{ at: 0 }, { at: 1 }])
    expect(linesOf(0, [])).toEqual([])
  })

  it('are counted with the headings above', () => {
    const groups = [2, 1, 3]
    const lines = linesOf(6, groups)
    for (let at = 0; at < 6; at++) {
      expect(lines[lineOf(at, groups)]).toEqual({ at })
      expect(lineOf(at, [])).toBe(at)
    }
  })
})
