import { expect, it } from 'vitest'
import { nameOf } from './days'

it('names a day of a date picker in full', () => {
  expect(nameOf({ day: 29, month: 10, year: 2026 })).toBe('Sunday 29 November 2026')
  expect(nameOf({ day: 1, month: 0, year: 2027 })).toBe('Friday 1 January 2027')
})
