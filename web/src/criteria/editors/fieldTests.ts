import type { Schemas } from '@/api/client'
import type { Json, JsonObject } from '../document'

/** An operator as a person chooses it; two bounds are one choice. */
export interface Operator {
  id: string
  name: string
  /** The test's keys besides the field. */
  start: () => JsonObject
  fits: (test: JsonObject) => boolean
}

const has = (key: string) => (test: JsonObject) => key in test
const missing = (value: boolean) => (test: JsonObject) => test.missing === value

const BLANK: Operator[] = [
  { id: 'present', name: 'is on record', start: () => ({ missing: false }), fits: missing(false) },
  { id: 'missing', name: 'is blank', start: () => ({ missing: true }), fits: missing(true) },
]

const LISTED: Operator[] = [
  { id: 'in', name: 'is one of', start: () => ({ in: [] }), fits: has('in') },
  { id: 'notIn', name: 'is none of', start: () => ({ notIn: [] }), fits: has('notIn') },
]

const BY_TYPE: Record<string, Operator[]> = {
  text: [
    ...LISTED,
    {
      id: 'startsWith',
      name: 'starts with',
      start: () => ({ startsWith: 'a' }),
      fits: has('startsWith'),
    },
    { id: 'contains', name: 'contains', start: () => ({ contains: 'a' }), fits: has('contains') },
    ...BLANK,
  ],
  number: [
    { id: 'bounds', name: 'is between', start: () => ({ atLeast: 0 }), fits: isBounds },
    ...LISTED,
    ...BLANK,
  ],
  date: [
    {
      id: 'dates',
      name: 'is from … through',
      start: () => ({ from: '2000-01-01' }),
      fits: isDates,
    },
    {
      id: 'window',
      name: 'is in a window',
      start: () => ({ window: { last: 'P12M' } }),
      fits: has('window'),
    },
    ...LISTED,
    ...BLANK,
  ],
  flag: [
    { id: 'yes', name: 'is yes', start: () => ({ is: true }), fits: (test) => test.is === true },
    { id: 'no', name: 'is no', start: () => ({ is: false }), fits: (test) => test.is === false },
    ...BLANK,
  ],
}

function isBounds(test: JsonObject): boolean {
  return ['above', 'atLeast', 'below', 'atMost'].some((key) => key in test)
}

function isDates(test: JsonObject): boolean {
  return 'from' in test || 'through' in test
}

export function operatorsOf(type: string): Operator[] {
  return BY_TYPE[type] ?? BLANK
}

export function operatorOf(test: JsonObject, type: string): Operator | undefined {
  return operatorsOf(type).find((operator) => operator.fits(test))
}

/** A test to begin with of a field: its most frequent value where there are values to choose from. */
export function startOf(field: Schemas['FieldWords']): JsonObject {
  const first = field.values[0]
  if (field.type === 'text' && first) {
    return { field: field.name, in: [first.value] }
  }
  const start: JsonObject = field.type === 'flag' ? { is: true } : { missing: false }
  return { field: field.name, ...start }
}

/** The written items of a list: texts, or numbers where the field holds numbers. */
export function itemsOf(written: string[], type: string): Json[] {
  const texts = written.map((text) => text.trim()).filter((text) => text !== '')
  if (type !== 'number') {
    return texts
  }
  return texts.map(Number).filter((number) => Number.isFinite(number))
}
