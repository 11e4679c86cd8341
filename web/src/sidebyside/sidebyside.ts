import { normalText } from '@/normalText'
import type { Schemas } from '@/api/client'

export type Side = Schemas['ThingsView']
export type SideKind = Side['kind']
export type Pile =
  'ONLY_HERE' | 'ONLY_THERE' | 'DIFFERING' | 'SAME' | 'SEVERAL' | 'UNKNOWN_HERE' | 'UNKNOWN_THERE'
export type KeyPair = Schemas['KeyColumnWanted']
export type ComparedPair = Schemas['ComparedColumnWanted']
export type Saved = Schemas['ComparisonView']

export const COMPARISONS = '/api/comparisons'

/** Names of columns as they are compared: letters and figures alone, whatever stands between them. */
export function plain(name: string): string {
  return normalText(name)
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
}

/** Columns that both have: of the same name, or of the same field of a person. */
export function pairs(here: Side, there: Side): KeyPair[] {
  return here.columns.flatMap((one) => {
    const other =
      there.columns.find((column) => plain(column.name) === plain(one.name)) ??
      there.columns.find((column) => one.field !== '' && column.field === one.field)
    return other ? [{ here: one.name, there: other.name }] : []
  })
}

function column(side: Side, name: string) {
  return side.columns.find((one) => one.name === name)
}

/** What most likely tells the things of both apart: a column with another value in each row, of both or of one. */
export function likelyKey(here: Side, there: Side): KeyPair[] {
  const both = pairs(here, there)
  const weight = (pair: KeyPair) =>
    Number(column(here, pair.here)?.tellsApart ?? false) +
    Number(column(there, pair.there)?.tellsApart ?? false)
  const best = both.reduce<KeyPair | undefined>(
    (one, other) => (one && weight(one) >= weight(other) ? one : other),
    undefined,
  )
  return best ? [best] : []
}

/** All that both have, besides the key. */
export function likelyCompared(here: Side, there: Side, key: readonly KeyPair[]): ComparedPair[] {
  return pairs(here, there)
    .filter((pair) => !key.some((one) => one.here === pair.here))
    .map((pair) => ({ ...pair, split: '' }))
}

/** Whether a side still has all columns that are paired. */
export function fits(side: Side, names: readonly string[]): boolean {
  return names.every((name) => column(side, name))
}

/** How much a list looks like one that was laid before, from 0 to 1: by the columns that both have. */
export function likeness(side: Pick<Side, 'columns'>, columns: readonly string[]): number {
  const known = new Set(columns.map(plain))
  const common = side.columns.filter((one) => known.has(plain(one.name))).length
  return common / Math.max(side.columns.length, columns.length, 1)
}

export const SPLITS = [
  { split: '', words: 'as it is' },
  { split: ',', words: 'split at each comma' },
  { split: ';', words: 'split at each semicolon' },
  { split: '/', words: 'split at each slash' },
  { split: '|', words: 'split at each bar' },
]
