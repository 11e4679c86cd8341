import type { JsonObject } from './document'

/** A test to begin with; each can be evaluated at once, so that a new criterion shows its level. */
export interface NewTest {
  name: string
  word: string
  /** Whether it says a lack, which is not how it is said what should be on record. */
  lack?: boolean
  test: () => JsonObject
}

export const NEW_TESTS: NewTest[] = [
  { name: 'An age', word: 'age', test: () => ({ age: { from: 18 } }) },
  {
    name: "A person's field",
    word: 'field',
    test: () => ({ field: 'status', missing: false }),
  },
  {
    name: 'Records of events',
    word: 'records',
    test: () => ({ events: { window: { last: 'P12M' } } }),
  },
  {
    name: 'No record of events',
    word: 'no-record',
    lack: true,
    test: () => ({ events: { window: { last: 'P12M' } }, count: { none: true } }),
  },
  {
    name: 'The latest record',
    word: 'latest',
    test: () => ({ latest: { window: { last: 'P2Y' } }, is: [] }),
  },
  {
    name: 'A record after another',
    word: 'followed',
    test: () => ({ after: { window: { last: 'P2Y' } }, expect: {}, within: 'P90D' }),
  },
  { name: 'Any of several', word: 'any', test: () => ({ any: [{ age: { from: 18 } }] }) },
  { name: 'All of several', word: 'all', test: () => ({ all: [{ age: { from: 18 } }] }) },
]
