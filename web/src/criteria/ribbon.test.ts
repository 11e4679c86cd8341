import { expect, it } from 'vitest'
import { dayAt, placeOf, stepped } from './ribbon'

const YEARS = { first: '2025-11-23', last: '2027-11-23' }

it('finds each day again where it lies', () => {
  for (const day of ['2025-11-23', '2026-02-28', '2026-11-23', '2027-03-28', '2027-11-23']) {
    expect(dayAt(placeOf(day, YEARS), YEARS)).toBe(day)
  }
  expect(placeOf('2020-01-01', YEARS)).toBe(0)
  expect(placeOf('2040-01-01', YEARS)).toBe(1)
  expect(dayAt(1.7, YEARS)).toBe('2027-11-23')
})

it('steps by days and months over their ends', () => {
  expect(stepped('2026-12-31', { days: 1 })).toBe('2027-01-01')
  expect(stepped('2028-02-28', { days: 1 })).toBe('2028-02-29')
  expect(stepped('2026-01-31', { months: 1 })).toBe('2026-02-28')
  expect(stepped('2026-01-31', { months: -2 })).toBe('2025-11-30')
})
