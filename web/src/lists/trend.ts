import { dayNumber } from '@/days'

/** A share on a day; from 0 to 1. */
export interface Point {
  day: string
  share: number
}

/** Shares are never drawn steeper than this: a few people more or less are no cliff. */
const LEAST_SPAN = 0.2

/**
 * A line through shares, across a box of 100 by 100.
 *
 * @param points in the order of their days
 * @return its points as SVG writes them; nothing for less than two days
 */
export function lineOf(points: readonly Point[]): string {
  const first = points[0]
  const last = points.at(-1)
  if (!first || !last || first.day === last.day) {
    return ''
  }
  const shares = points.map((point) => point.share)
  const [low, high] = spanOf(Math.min(...shares), Math.max(...shares))
  const days = dayNumber(last.day) - dayNumber(first.day)
  return points
    .map(({ day, share }) => {
      const x = (100 * (dayNumber(day) - dayNumber(first.day))) / days
      const y = (100 * (high - share)) / (high - low)
      return `${x.toFixed(1)},${y.toFixed(1)}`
    })
    .join(' ')
}

function spanOf(low: number, high: number): [number, number] {
  const missing = Math.max(0, LEAST_SPAN - (high - low)) / 2
  const from = Math.max(0, Math.min(low - missing, 1 - LEAST_SPAN))
  return [from, Math.max(high + missing, from + LEAST_SPAN)]
}
