import { expect, it } from 'vitest'
import { cellWords, fieldWords, headingWords, sortKey, tellsWho } from './fields'

it('says a field as people do', () => {
  expect(fieldWords('do_not_contact')).toBe('do not contact')
  expect(headingWords('mobile')).toBe('Mobile')
})

it('takes every field for one that tells who somebody is, but for those that cannot', () => {
  expect(['email', 'birth_date', 'Rufname', 'mobile', 'address'].filter(tellsWho)).toHaveLength(5)
  expect(['site', 'sex', 'due_on'].some(tellsWho)).toBe(false)
})

it('sorts numbers with their units as numbers, and says days as days', () => {
  const cells = ['10 mm', '2026-03-05', '9.5 mm', '']
  expect(cells.map(sortKey)).toEqual([10, '2026-03-05', 9.5, ''])
  expect(cells.map(cellWords)).toEqual(['10 mm', '5 Mar 2026', '9.5 mm', ''])
})
