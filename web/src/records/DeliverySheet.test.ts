import { ReadAs } from '@/files'
import { button, clear, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it } from 'vitest'
import DeliverySheet from './DeliverySheet.vue'
import NeverSeen from './NeverSeen.vue'

import type { DeliveryView } from './deliveries'

const none = { added: 0, changed: 0, unchanged: 0 }
const TRIAL = {
  rows: 2,
  leftOut: 1,
  badRows: 1,
  troubles: [
    {
      reason: 'NO_DATE' as const,
      count: 1,
      first: [{ line: 4, column: 'DOB', cell: '31/02', said: '“31/02” is not a date.' }],
    },
  ],
  brought: {
    people: { ...none, added: 2 },
    events: none,
    gone: 0,
    goneEvents: 0,
    unknownPeople: 0,
    erased: 0,
    changedFields: [],
    firstChanges: [],
    otherwise: 0,
    firstOtherwise: [],
  },
  first: [{ '': 'person', family_name: 'Marl' }],
  neverSeen: [{ ofPeople: true, field: 'sex', words: ['W'], onFile: ['female', 'male'] }],
  strange: ['The column “Tel” is missing.'],
  effects: [{ id: 'x', name: 'Hearing check due', joined: 3, left: 1 }],
  good: true,
}
const TRIED: DeliveryView = {
  id: 'd1',
  fileName: 'patients.csv',
  stage: 'TRIED',
  rowsRead: 2,

  reason: '',
  intake: {
    id: 'patients',
    name: 'patients',
    whose: { number: { column: 'No' } },
    people: { fields: { family_name: { column: 'Name' } } },
  } as never,
  found: {
    format: 'text in UTF-8, cells parted by commas',
    headerLine: 3,
    rows: 2,
    known: false,
    readAs: { sheets: [], sheet: '', encoding: 'UTF-8', separator: ',' },
    questions: [{ what: 'DATE_ORDER', said: 'Does the day or the month come first?' }],
    choices: [
      {
        column: 'No',
        becomes: [],
        certainty: 'CERTAIN',
        holds: 'TEXT',
        values: 2,
        blanks: 0,
        examples: ['1'],
      },
      {
        column: 'Name',
        becomes: [],
        certainty: 'LIKELY',
        holds: 'TEXT',
        values: 2,
        blanks: 0,
        examples: [],
      },
      {
        column: 'Loyalty',
        becomes: [],
        certainty: 'LEFT_OUT',
        holds: 'TEXT',
        values: 2,
        blanks: 0,
        examples: [],
      },
    ],
  },
  trial: TRIAL,
}

afterEach(clear)

it('says what taking the file does, what is wrong and what is left out', async () => {
  serving({ 'GET /api/deliveries/d1': () => TRIED })
  const page = await shown(DeliverySheet, { delivery: TRIED })
  await flushPromises()
  expect(page.text()).toContain('People: 2 new, 0 changed, 0 unchanged')
  expect(page.text()).toContain('Hearing check due: 3 join, 1 leave')
  expect(page.text()).toContain('The column “Tel” is missing.')
  expect(page.text()).toContain('“31/02” is not a date.')
  expect(page.find('select[aria-label="What Loyalty becomes"]').element).toHaveProperty('value', '')
  expect(page.text()).toContain('Say first what is open above.')
  expect(page.text()).not.toContain('Take it')
})

it('asks what is open, and tries the file anew by the answer', async () => {
  let sent: unknown
  serving({
    'GET /api/deliveries/d1': () => TRIED,
    'PUT /api/deliveries/d1/intake': (asked: { body: unknown }) => {
      sent = asked.body
      return TRIED
    },
  })
  const page = await shown(DeliverySheet, { delivery: TRIED })
  await flushPromises()
  await button(page, 'Day first: 31/12/2026').trigger('click')
  await flushPromises()
  expect(JSON.stringify(sent)).toContain('day-first')
  expect(page.text()).not.toContain('Does the day or the month come first?')
  expect(button(page, 'Take it: 2 people')).toBeDefined()
})

it('never offers to take what would come in empty, and says what was refused', async () => {
  serving({ 'GET /api/deliveries/d1': () => ({ ...TRIED, trial: { ...TRIAL, good: false } }) })
  const page = await shown(DeliverySheet, { delivery: TRIED })
  await flushPromises()
  expect(page.text()).toContain('Nothing would come in')
  expect(page.text()).not.toContain('Take it')
})

it('is read anew in another encoding, and a word is taken for one on file', async () => {
  let now: unknown = TRIED
  const asked = serving({
    'GET /api/deliveries/d1': () => now,
    'PUT /api/deliveries/d1/reading': () => now,
    'PUT /api/deliveries/d1/intake': () => now,
  })
  const page = await shown(DeliverySheet, { delivery: TRIED })
  await flushPromises()
  expect(page.text()).toContain('Never seen before as sex:')
  now = { ...TRIED, intake: { ...TRIED.intake, people: { fields: { sex: { column: 'Sex' } } } } }
  page.getComponent(ReadAs).vm.$emit('change', { encoding: 'IBM850', separator: ';', sheet: '' })
  await flushPromises()
  expect(asked.at(-2)?.body).toEqual({ encoding: 'IBM850', separator: ';', sheet: '' })
  page.getComponent(NeverSeen).vm.$emit('translate', true, 'sex', 'W', 'female')
  await flushPromises()
  expect(asked.at(-2)?.body).toMatchObject({
    people: { fields: { sex: { column: 'Sex', values: { W: 'female' } } } },
  })
})

it('says whose rows they are, and what another source said otherwise stays', async () => {
  const trial = {
    ...TRIAL,
    rows: 20,
    troubles: [
      {
        reason: 'PERSON_FOUND_TWICE' as const,
        count: 7,
        first: [{ line: 4, column: '', cell: '', said: 'Several people on file fit: 1, 2.' }],
      },
    ],
    brought: {
      ...TRIAL.brought,
      otherwise: 1,
      firstOtherwise: [
        {
          person: '1',
          field: 'phone',
          kept: '01632 960001',
          owner: 'clinic',
          said: '01632 960009',
        },
      ],
    },
  }
  serving({ 'GET /api/deliveries/d1': () => ({ ...TRIED, trial }) })
  const page = await shown(DeliverySheet, { delivery: TRIED })
  await flushPromises()
  const whose = page.get('section[aria-label="Whose rows"]')
  expect(whose.text()).toContain('13 rows of one person each')
  await button(page, '7 rows fit several people').trigger('click')
  expect(whose.text()).toContain('Line 4: Several people on file fit: 1, 2.')
  expect(whose.text()).toContain('and 6 more')
  const otherwise = page.get('section[aria-label="Said otherwise"]').text().replaceAll(/\s+/g, ' ')
  expect(otherwise).toContain('1 value stays as the source said that brought it')
  expect(otherwise).toContain('01632 960001 of clinic stays, not 01632 960009')
})

it('is told what it means: that it names everybody, and whose word goes first', async () => {
  const asked = serving({
    'GET /api/deliveries/d1': () => TRIED,
    'PUT /api/deliveries/d1/intake': () => TRIED,
  })
  const page = await shown(DeliverySheet, { delivery: TRIED })
  await flushPromises()
  await page.get('section[aria-label="What it means"] select').setValue('names-everybody')
  await flushPromises()
  expect(asked.at(-2)?.body).toMatchObject({ people: { meaning: 'names-everybody' } })
  expect(page.emitted('working')?.at(-1)).toEqual([false])
})

it('says which fields it changes, and from what to what', async () => {
  const brought = {
    ...TRIAL.brought,
    changedFields: [
      { ofPeople: true, field: 'family_name', count: 1 },
      { ofPeople: false, field: 'status', count: 2 },
    ],
    firstChanges: [
      { person: '10001', ofPerson: true, field: 'family_name', before: 'Marl', after: '' },
    ],
  }
  serving({ 'GET /api/deliveries/d1': () => ({ ...TRIED, trial: { ...TRIAL, brought } }) })
  const page = await shown(DeliverySheet, { delivery: TRIED })
  await flushPromises()
  expect(page.text()).toContain('Changed: family name of 1 person, status of 2 records.')
  await button(page, 'See some').trigger('click')
  expect(page.text()).toContain('10001family nameMarlblank')
})

it('names the typed field of its own that a column of a plain file becomes', async () => {
  const intake = {
    ...TRIED.intake,
    people: { fields: { 'Loyalty:flag': { column: 'Loyalty' } } },
  } as never
  serving({ 'GET /api/deliveries/d1': () => ({ ...TRIED, intake }) })
  const page = await shown(DeliverySheet, { delivery: TRIED })
  await flushPromises()
  const select = page.get('select[aria-label="What Loyalty becomes"]')
  expect(select.element).toHaveProperty('value', 'person:Loyalty:flag')
})
