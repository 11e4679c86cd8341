import { clear, Refusal, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it } from 'vitest'
import { partWords } from './state'
import StatePage from './StatePage.vue'

const STATE = {
  asOf: '2026-11-27',
  feeds: [
    {
      source: 'Harbour lab',
      kind: 'result',
      records: 1400,
      undated: 2,
      first: '2024-01-03',
      last: '2026-02-01',
      usualDays: 7,
      late: true,
      ended: false,
      gap: { from: '2025-05-01', to: '2025-07-01' },
    },
    { source: '', kind: 'visit', records: 1, undated: 1, usualDays: 0, late: false, ended: true },
  ],
  blanks: [
    { kind: '', field: 'birth_date', words: 'birth date', blank: 1, of: 3000 },
    { kind: '', field: 'phone', words: 'phone', blank: 1500, of: 3000 },
    { kind: 'visit', field: 'site', words: 'site', blank: 0, of: 1 },
  ],
  odd: [
    {
      sort: 'FAR_VALUE',
      records: 2,
      people: 1,
      sets: [{ set: 'asks', name: 'Asks for potassium', toCheck: 1 }],
    },
    { sort: 'BORN_AHEAD', records: 0, people: 2, sets: [] },
  ],
  nobody: { people: 1, records: 3 },
  otherwise: { people: 1, values: 2 },
}
const OUTSIDE = { total: 0, terms: [] }

afterEach(clear)

it('says what cannot be so, how many, and which lists ask for it', async () => {
  serving({ 'GET /api/records/state': STATE, 'GET /api/records/terms/outside': OUTSIDE })
  const page = await shown(StatePage, {})
  await flushPromises()
  const text = page.text().replaceAll(/\s+/g, ' ')
  expect(text).toContain('2 records of 1 person')
  expect(text).toContain('Asks for potassium, 1 of these people to check')
  expect(text).toContain('2 people')
  expect(text).toContain('3 records under 1 number')
  expect(text).toContain('2 values of 1 person')
  expect(text).toContain('every 7 days')
  expect(text).toContain('1 Feb 2026 late')
  expect(text).toContain('ended')
  expect(text).toContain('phone 50%, birth date < 1%')
  expect(text).toContain('Every code on record is in a term set.')
})

it('opens to the records, with all of them as a file', async () => {
  serving({
    'GET /api/records/state': STATE,
    'GET /api/records/terms/outside': OUTSIDE,
    'GET /api/records/state/odd/FAR_VALUE': {
      columns: ['person_id', 'family_name', 'value'],
      rows: [['B-2', 'Oak', '4000']],
      total: 201,
    },
  })
  const page = await shown(StatePage, {})
  await flushPromises()
  const opener = page.findAll('button.word')[0]
  await opener?.trigger('click')
  await flushPromises()
  expect(opener?.attributes('aria-expanded')).toBe('true')
  expect(page.text()).toContain('201 in all, the first 1 here')
  expect(page.text()).toContain('4000')
  expect(page.get('a[download]').attributes('href')).toBe('/api/records/state/odd/FAR_VALUE/file')
  await opener?.trigger('click')
  expect(page.text()).not.toContain('4000')
})

it('does not call a failure a state in which nothing is odd', async () => {
  serving({
    'GET /api/records/state': new Refusal(500, 'The records could not be looked through.'),
    'GET /api/records/terms/outside': OUTSIDE,
  })
  const page = await shown(StatePage, {})
  await flushPromises()
  expect(page.text()).toContain('The records could not be looked through.')
  expect(page.text()).not.toContain('Nothing of this kind')
})

it('says none and all only where it is none and all', () => {
  expect([0, 1, 500, 999, 1000].map((part) => partWords(part, 1000))).toEqual([
    '',
    '< 1%',
    '50%',
    '> 99%',
    'all',
  ])
})
