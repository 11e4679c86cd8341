import { afterEach, describe, expect, it } from 'vitest'
import {
  dayNumber,
  dayOfInstant,
  dayWords,
  dueWords,
  fromIso,
  isoOf,
  keepZone,
  lapseWords,
  monthWords,
  timeWords,
  toIso,
} from './days'

afterEach(() => {
  keepZone('Europe/London')
})

describe('days', () => {
  it.each(['0001-01-01', '0045-03-02', '0099-12-31', '0100-02-28', '1970-01-01', '2026-02-28'])(
    'keep their year, such as %s',
    (iso) => {
      expect(toIso(fromIso(iso) ?? new Date())).toBe(iso)
      expect(isoOf(dayNumber(iso))).toBe(iso)
      expect(dayWords(iso)).toContain(iso.slice(0, 4))
    },
  )

  it('are written with four digits of the year', () => {
    expect(dayWords('0045-03-02')).toBe('2 Mar 0045')
    expect(dayWords('2026-09-01')).toBe('1 Sep 2026')
    expect(monthWords('2026-09')).toBe('Sep 2026')
  })
})

describe('due dates', () => {
  it.each([
    ['2026-09-01', '1 Sep 2026', 'due 1 Sep 2026'],
    ['never', 'never met', 'never met'],
    ['', '', ''],
  ])('such as “%s” are told by themselves and in a sentence', (due, alone, inSentence) => {
    expect(lapseWords(due)).toBe(alone)
    expect(dueWords(due)).toBe(inSentence)
  })
})

describe('instants', () => {
  it('are told by the practice’s clock, wherever the browser is', () => {
    keepZone('Pacific/Auckland')
    expect(timeWords('2026-11-26T12:30:00Z')).toBe('27 Nov 2026, 01:30')
    expect(dayOfInstant('2026-11-26T12:30:00Z')).toBe('2026-11-27')
    keepZone('America/Lima')
    expect(timeWords('2026-11-26T03:30:00Z')).toBe('25 Nov 2026, 22:30')
    expect(dayOfInstant('2026-11-26T03:30:00Z')).toBe('2026-11-25')
  })
})
