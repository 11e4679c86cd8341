import { expect, it } from 'vitest'
import { emptyDocument } from '../document'
import { pastedOf, problemOf, putRoster, rostersOf, rowsOf } from './rosters'

it('reads rows as a spreadsheet gives them, and writes them the same', () => {
  const pasted = 'Marl\t1950-02-03\r\n\r\n Ardle \t1961\n'
  expect(rowsOf(pasted)).toEqual([
    ['Marl', '1950-02-03'],
    ['Ardle', '1961'],
  ])
  expect(rowsOf(pastedOf(rowsOf(pasted)))).toEqual(rowsOf(pasted))
  expect(rowsOf('Marl;1950')).toEqual([['Marl', '1950']])
  expect(rowsOf('  \n')).toEqual([])
})

it('points at the first row that does not fit the key', () => {
  expect(problemOf(rowsOf('Marl\t1950\nArdle'), 2)).toContain('Row 2')
  expect(problemOf(rowsOf('Marl\t1950\nArdle\t1961'), 2)).toBe('')
  expect(problemOf([], 2)).toBe('')
})

it('puts a roster into a document once', () => {
  const roster = { id: 'no-letters', name: 'No letters', key: ['id'], rows: [['p1']] }
  const once = putRoster(emptyDocument(), roster)
  const changed = putRoster(once, { ...roster, rows: [['p1'], ['p2']] })
  expect(rostersOf(changed)).toEqual([{ ...roster, rows: [['p1'], ['p2']] }])
  expect(rostersOf(once)[0]?.rows).toEqual([['p1']])
})
