import { expect, it } from 'vitest'
import { shortened } from './shortened'

it.each([
  ['ears', 4, 'ears'],
  ['ears due', 6, 'ears…'],
  ['👂👂👂', 2, '👂…'],
  ['', 3, ''],
])('“%s” in %i is “%s”', (text, most, told) => {
  expect(shortened(text, most)).toBe(told)
})
