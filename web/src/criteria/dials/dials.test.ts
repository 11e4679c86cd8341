import { expect, it } from 'vitest'
import { emptyDocument, type CriteriaDocument } from '../document'
import { dialsOf, fixDial, newDial, putDial, settingOf, settingsFor, valueOf } from './dials'

const DIAL = { name: 'every', label: 'Check every', type: 'period' as const, default: 'P12M' }
const DOCUMENT: CriteriaDocument = {
  ...emptyDocument(),
  include: [
    { id: 'seen', test: { events: { window: { last: { dial: 'every' } } } } },
    { id: 'other', test: { not: { events: { window: { last: { dial: 'other' } } } } } },
  ],
  dials: [DIAL],
}

it('stands in the document once, under a name of its own', () => {
  const second = newDial(new Set(['every', 'how-long']), 'period', 'How long', 'P6M')
  expect(second).toEqual({ name: 'how-long-2', label: 'How long', type: 'period', default: 'P6M' })
  expect(newDial(new Set(), 'texts', 'Site', ['Mill Lane'], 'site').choicesFrom).toBe('site')
  const both = putDial(putDial(DOCUMENT, second), { ...DIAL, default: 'P6M' })
  expect(dialsOf(both).map((one) => `${one.name} ${String(one.default)}`)).toEqual([
    'every P6M',
    'how-long-2 P6M',
  ])
})

it('leaves its default wherever it stood when it is taken out', () => {
  expect(fixDial(DOCUMENT, DIAL)).toEqual({
    ...emptyDocument(),
    include: [
      { id: 'seen', test: { events: { window: { last: 'P12M' } } } },
      { id: 'other', test: { not: { events: { window: { last: { dial: 'other' } } } } } },
    ],
  })
})

it('goes to the server and back as a text', () => {
  expect(valueOf('texts', settingOf(['Mill Lane', 'Harbour Row']))).toEqual([
    'Mill Lane',
    'Harbour Row',
  ])
  expect(valueOf('number', settingOf(2.5))).toBe(2.5)
  expect(valueOf('period', settingOf('P6M'))).toBe('P6M')
  expect(settingsFor(DOCUMENT, { every: 'P6M', gone: '1' })).toEqual({ every: 'P6M' })
})
