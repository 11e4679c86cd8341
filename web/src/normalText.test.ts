import { expect, it } from 'vitest'
import { normalText } from './normalText'
import cases from './normalText.cases.json'

it.each(cases)('compares “$given” as the server does', ({ given, compared }) => {
  expect(normalText(given)).toBe(compared)
})
