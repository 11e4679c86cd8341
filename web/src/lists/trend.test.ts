import { describe, expect, it } from 'vitest'
import { lineOf } from './trend'

describe('the line of a trend', () => {
  it('goes through each share at its day', () => {
    expect(
      lineOf([
        { day: '2026-01-01', share: 0.2 },
        { day: '2026-01-11', share: 0.6 },
        { day: '2026-01-21', share: 0.4 },
      ]),
    ).toBe('0.0,100.0 50.0,0.0 100.0,50.0')
  })

  it('makes no cliff of a few people', () => {
    const line = lineOf([
      { day: '2026-01-01', share: 0.5 },
      { day: '2026-01-11', share: 0.52 },
    ])
    expect(line).toBe('0.0,55.0 100.0,45.0')
  })

  it('stays in its box beside nobody and everybody', () => {
    for (const share of [0, 0.03, 0.97, 1]) {
      const line = lineOf([
        { day: '2026-01-01', share },
        { day: '2026-02-01', share },
      ])
      const heights = line.split(' ').map((point) => Number(point.split(',')[1]))
      expect(Math.min(...heights)).toBeGreaterThanOrEqual(0)
      expect(Math.max(...heights)).toBeLessThanOrEqual(100)
    }
  })

  it('is none where there is but one day', () => {
    expect(lineOf([])).toBe('')
    expect(lineOf([{ day: '2026-01-01', share: 1 }])).toBe('')
  })
})
