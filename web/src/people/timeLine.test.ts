import type { Schemas } from '@/api/client'
import { describe, expect, it } from 'vitest'
import { dayNumber } from '@/days'
import { lanes, place, spanOf, years } from './timeLine'

function record(kind: string, first?: string, last = first): Schemas['TimelineRecord'] {
  return {
    number: 1,
    kind,
    what: '',
    code: '',
    system: '',
    text: '',
    status: '',
    when: '',
    more: [],
    first,
    last,
  }
}

describe('a time line', () => {
  it('reaches from the first window or record of the last years to the last, with air', () => {
    const span = spanOf(
      '2026-11-23',
      [record('visit', '2010-01-01'), record('visit', '2023-05-01'), record('visit')],
      [{ criterion: 'a', first: '2022-11-23', last: '2027-05-23' }],
    )
    expect(span.first).toBe(dayNumber('2022-11-23') - 15)
    expect(span.last).toBe(dayNumber('2027-05-23') + 15)
  })

  it('is never shorter than two years back', () => {
    expect(spanOf('2026-11-23', [], []).first).toBe(dayNumber('2026-11-23') - 730 - 15)
  })

  it('places days between its ends and keeps what is outside at them', () => {
    const span = { first: 0, last: 100 }
    expect([place(50, span, 200), place(-9, span, 200), place(999, span, 200)]).toEqual([
      100, 0, 200,
    ])
  })

  it('marks the first days of its years', () => {
    const span = { first: dayNumber('2024-06-01'), last: dayNumber('2026-06-01') }
    expect(years(span).map((mark) => mark.year)).toEqual([2025, 2026])
    const close = { ...span, last: dayNumber('2026-01-20') }
    expect(years(close).map((mark) => mark.year)).toEqual([2025])
  })

  it('has a lane for each kind however it is written, fullest first', () => {
    const found = lanes([record('result'), record('Visit'), record('visit')])
    expect(found.map((lane) => [lane.kind, lane.records.length])).toEqual([
      ['visit', 2],
      ['result', 1],
    ])
  })
})
