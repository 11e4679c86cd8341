import type { Schemas } from '@/api/client'
import { count, percent } from '@/stick'

export type Beside = Schemas['BesideRegion']
type Portion = Schemas['Portion']

export function shareWords(portion: Portion | undefined): string {
  return portion ? percent(portion.part, portion.of) : 'not told'
}

function reach(portion: Portion): number {
  return portion.part / portion.of
}

/** Where a share lies on a line of some width, whose end stands for `top`. */
export function placeOf(portion: Portion, top: number, width: number): number {
  return Math.min(1, reach(portion) / top) * width
}

/** What the end of a line stands for: all, or somewhat more than the largest share where all of them are small. */
export function topOf(beside: Beside): number {
  const shares = [beside.here, beside.everywhere, beside.quarterFrom].flatMap((one) =>
    one ? [reach(one)] : [],
  )
  const largest = Math.max(0, ...shares)
  return [0.02, 0.05, 0.1, 0.25, 0.5].find((end) => largest <= end * 0.9) ?? 1
}

/** What a quarter of the practices has, and which practices that is about. */
export function quarterWords(beside: Beside): string {
  const told = beside.practices - beside.untold
  const of = `${count(told)} ${told === 1 ? 'practice tells' : 'practices tell'} a share`
  const untold = beside.untold
    ? `; of ${count(beside.untold)} it is too small to be told, or nobody is meant`
    : ''
  const quarters =
    beside.quarterFrom && beside.quarterUpTo
      ? `A quarter of them is at ${shareWords(beside.quarterFrom)} or above, a quarter at ${shareWords(beside.quarterUpTo)} or below. `
      : ''
  return `${quarters}${of}${untold}.`
}
