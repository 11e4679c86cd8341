import { expect, it } from 'vitest'
import { copyOf, firstKey, ofKey, onlyIn } from './shared'

const read = {
  format: 'text',
  fields: ['family_name', 'birth_date', 'phone'],
  rows: [
    { cells: ['Marl', '1950-02-03', '1'], until: '2026-12-01' },
    { cells: ['Marl', '1950-02-03', '2'], until: '' },
    { cells: ['Ardle', '', '3'], until: '' },
    { cells: ['Ardle', '1961-01-01', '3'], until: '2026-12-01' },
    { cells: ['Ardle', '1961-01-01', '3'], until: '2027-01-01' },
  ],
  days: [],
  until: '',
  openDates: false,
  readAs: { sheets: [], sheet: '', encoding: 'UTF-8', separator: ',' },
  leftOut: 0,
  troubles: [],
  intake: {},
}

it('takes each row once, with the later end, and none that lacks a field of the key', () => {
  expect(ofKey(read, ['birth_date', 'family_name'])).toEqual({
    rows: [
      { cells: ['1950-02-03', 'Marl'], until: '' },
      { cells: ['1961-01-01', 'Ardle'], until: '2027-01-01' },
    ],
    incomplete: 1,
  })
})

it('copies into a set what holds today, to the last day', () => {
  const view = {
    summary: {
      id: 'away',
      name: 'Away',
      key: ['id'],
      rows: 2,
      ended: 1,
      until: '2026-12-31',
      fromFile: true,
      version: 3,
      changedAt: '',
      changedBy: '',
      usedBy: [],
    },
    rows: [
      { cells: ['1'], until: '2026-11-26', people: 1 },
      { cells: ['2'], until: '2026-11-27', people: 1 },
    ],
  }
  expect(copyOf(view, '2026-11-27')).toEqual({
    id: 'away',
    name: 'Away',
    key: ['id'],
    rows: [['2']],
  })
  expect(copyOf(view, '2026-12-31').rows).toEqual([])
  expect(copyOf(view, '2027-01-01').rows).toEqual([])
})

it('counts rows that are new by all their cells, and knows what to begin with', () => {
  expect(onlyIn([{ cells: ['a', 'b'] }, { cells: ['ab', ''] }], [{ cells: ['a', 'b'] }])).toBe(1)
  expect(firstKey(['family_name', 'id', 'phone'])).toEqual(['id'])
  expect(firstKey(['family_name', 'birth_date', 'phone'])).toEqual(['family_name', 'birth_date'])
  expect(firstKey(['badge'])).toEqual(['badge'])
})
