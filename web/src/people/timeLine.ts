import type { Schemas } from '@/api/client'
import { dayNumber, isoOf } from '@/days'
import { grouped } from './grouped'

type Line = Schemas['TimelineRecord']
type Bracket = Schemas['Bracket']

const SHORTEST_YEARS = 2
const LONGEST_YEARS = 6

/** The days that a time line shows, as numbers of days. */
export interface Span {
  first: number
  last: number
}

/**
 * From the first window or record of the last years to the last of either, with a little air. What is older is counted,
 * not drawn, so that the windows stay wide enough to be read.
 */
export function spanOf(asOf: string, records: Line[], windows: Bracket[]): Span {
  const today = dayNumber(asOf)
  const oldest = today - LONGEST_YEARS * 366
  const days = [...records, ...windows].flatMap((one) => [one.first, one.last]).filter(isDay)
  const numbers = days.map(dayNumber)
  const first = Math.min(today - SHORTEST_YEARS * 365, ...numbers.filter((day) => day >= oldest))
  const last = Math.max(today + 30, ...numbers.filter((day) => day < today + 3 * 366))
  return { first: first - 15, last: last + 15 }
}

function isDay(day: string | undefined): day is string {
  return day !== undefined
}

/** Where a day stands between 0 and `width`. */
export function place(day: number, span: Span, width: number): number {
  const clamped = Math.min(span.last, Math.max(span.first, day))
  return ((clamped - span.first) / (span.last - span.first)) * width
}

/** The first days of the years in the span, for the marks below; the last one only where its number has room. */
export function years(span: Span): { year: number; day: number }[] {
  const firstYear = Number(isoOf(span.first).slice(0, 4)) + 1
  const room = (span.last - span.first) / 12
  const lastYear = Number(isoOf(Math.floor(span.last - room)).slice(0, 4))
  return Array.from({ length: Math.max(0, lastYear - firstYear + 1) }, (_, i) => ({
    year: firstYear + i,
    day: dayNumber(`${String(firstYear + i).padStart(4, '0')}-01-01`),
  }))
}

/** The kinds in the order of how many records they have, most first. */
export function lanes(records: Line[]): { kind: string; records: Line[] }[] {
  const byKind = grouped(records, (record) => record.kind.toLowerCase())
  return [...byKind]
    .map(([kind, of]) => ({ kind, records: of }))
    .sort((one, other) => other.records.length - one.records.length)
}
