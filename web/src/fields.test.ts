import { expect, it } from 'vitest'
import { fieldWords, headingWords, tellsWho } from './fields'

it('says a field as people do', () => {
  expect(fieldWords('do_not_contact')).toBe('do not contact')
  expect(headingWords('mobile')).toBe('Mobile')
})

it('takes every field for one that tells who somebody is, but for those that cannot', () => {
  expect(['email', 'birth_date', 'Rufname', 'mobile', 'address'].filter(tellsWho)).toHaveLength(5)
  expect(['site', 'sex', 'due_on'].some(tellsWho)).toBe(false)
})
