import { describe, expect, it } from 'vitest'
import { fits, likelyCompared, likelyKey, likeness, plain, type Side } from './sidebyside'

function side(columns: Record<string, boolean>): Side {
  return {
    id: 'x',
    kind: 'FILE',
    ref: '',
    name: 'x.csv',
    said: '',
    rows: 2,
    columns: Object.entries(columns).map(([name, tellsApart]) => ({
      name,
      field: name.startsWith('No') ? 'id' : '',
      tellsApart,
      blanks: 0,
      examples: [],
    })),
    openDates: false,
    unreadable: 0,
    troubles: [],
  }
}

describe('two lists', () => {
  const here = side({ Name: true, 'Person No.': true, 'Birth date': false })
  const there = side({ birth_date: false, 'PERSON NO': true, name: false, Note: false })

  it('are paired by the names of their columns, whatever stands between letters', () => {
    expect(plain(' Birth_date.')).toBe('birth date')
    expect(likelyKey(here, there)).toEqual([{ here: 'Person No.', there: 'PERSON NO' }])
    expect(likelyCompared(here, there, likelyKey(here, there))).toEqual([
      { here: 'Name', there: 'name', split: '' },
      { here: 'Birth date', there: 'birth_date', split: '' },
    ])
  })

  it('are paired by what their columns are, where their names differ', () => {
    expect(likelyKey(side({ 'No.': true }), side({ Nr: true, Nos: true }))).toEqual([
      { here: 'No.', there: 'Nos' },
    ])
  })

  it('without a column in common have no key', () => {
    expect(likelyKey(here, side({ other: true }))).toEqual([])
  })

  it('are known again by most of their columns', () => {
    expect(likeness(here, ['name', 'person no', 'birth date'])).toBe(1)
    expect(likeness(here, ['name', 'x', 'y'])).toBeCloseTo(1 / 3)
    expect(likeness(side({}), [])).toBe(0)
    expect(fits(here, ['Name'])).toBe(true)
    expect(fits(here, ['Name', 'Note'])).toBe(false)
  })
})
