import { button, clear, later, Refusal, serving, shown, type Asked } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import SamePersonPage from './SamePersonPage.vue'

const PAIR = {
  one: { id: 'A-1', name: 'Quillfeather, Odalys', records: 2, lastRecord: '4 May 2020' },
  other: { id: 'B-2', name: 'Quilfeather, Odalys', records: 0, lastRecord: '' },
  why: ['Born on the same day, with nearly the same name.'],
  fields: [
    { field: 'birth date', one: '1950-02-03', other: '1950-02-03', agrees: true },
    { field: 'e-mail', one: '', other: 'odalys@example.org', agrees: false },
  ],
}
const NONE = { total: 0, pairs: [], joined: [], apart: [] }
const JOINED = {
  id: 7,
  person: 'A-1',
  other: 'B-2',
  name: 'Quillfeather, Odalys',
  at: '2026-11-27T09:00:00Z',
  by: 'orla',
}

afterEach(clear)

it('says that it looks for pairs, and only then that there is none', async () => {
  const answer = later<typeof NONE>()
  vi.stubGlobal('fetch', () => answer.promise.then((body) => new Response(JSON.stringify(body))))
  const page = await shown(SamePersonPage, {})
  expect(page.text()).toContain('Looking for pairs …')
  expect(page.text()).not.toContain('No pairs')
  answer.resolve(NONE)
  await flushPromises()
  expect(page.text()).toContain('No pairs to decide')
})

it('shows what differs before what agrees, and how many records either has', async () => {
  serving({ 'GET /api/same-person': { ...NONE, total: 31, pairs: [PAIR] } })
  const page = await shown(SamePersonPage, {})
  await flushPromises()
  expect(page.text()).toContain('31 pairs to decide, the first 1 of them here')
  const rows = page.findAll('.pair tbody tr').map((row) => row.text())
  expect(rows[0]).toContain('odalys@example.org')
  expect(rows[1]).toMatch(/^in both\s*birth date\s*1950-02-03$/)
  expect(rows[2]).toContain('2 records, the last of 4 May 2020')
  expect(rows[2]).toContain('0 records')
})

it('joins two under the number that is chosen, and undoes it', async () => {
  let state: unknown = { ...NONE, total: 1, pairs: [PAIR] }
  const sent: unknown[] = []
  serving({
    'GET /api/same-person': () => state,
    'POST /api/same-person/joined': ({ body }: Asked) => {
      sent.push(body)
      state = { ...NONE, joined: [JOINED] }
      return {}
    },
    'DELETE /api/same-person/joined/7': () => {
      state = { ...NONE, total: 1, pairs: [PAIR] }
      return {}
    },
  })
  const page = await shown(SamePersonPage, {})
  await flushPromises()
  await button(page, 'The same, goes on as B-2').trigger('click')
  await flushPromises()
  expect(sent).toEqual([{ person: 'B-2', other: 'A-1' }])
  expect(page.text()).toContain('A-1 and B-2 are one person now, who goes on as B-2.')
  expect(page.text()).toContain('No pairs to decide')

  await page.get('[aria-label="Undo: B-2 goes on as A-1"]').trigger('click')
  await flushPromises()
  expect(page.text()).toContain('A-1 and B-2 are two again.')
  expect(page.text()).toContain('1 pair to decide')
})

it('keeps a pair that could not be joined, with the reason, until it can', async () => {
  let full = true
  let state: unknown = { ...NONE, total: 1, pairs: [PAIR] }
  serving({
    'GET /api/same-person': () => state,
    'POST /api/same-person/joined': () => {
      if (full) {
        return new Refusal(409, 'A file is being taken just now.')
      }
      state = { ...NONE, joined: [JOINED] }
      return {}
    },
  })
  const page = await shown(SamePersonPage, {})
  await flushPromises()
  await button(page, 'The same, goes on as A-1').trigger('click')
  await flushPromises()
  expect(page.get('[role=alert]').text()).toBe('A file is being taken just now.')
  expect(page.find('.pair').exists()).toBe(true)
  full = false
  await button(page, 'The same, goes on as A-1').trigger('click')
  await flushPromises()
  expect(page.find('[role=alert]').exists()).toBe(false)
  expect(page.find('.pair').exists()).toBe(false)
})

it('lays any two side by side, and says where one is not there', async () => {
  serving({
    'GET /api/same-person': NONE,
    'GET /api/same-person/pair': ({ path }: Asked) =>
      path.endsWith('?one=A-1&other=B%202')
        ? { ...PAIR, why: [] }
        : new Refusal(404, 'This person is not there.'),
  })
  const page = await shown(SamePersonPage, {})
  await flushPromises()
  await page.get('[aria-label="Number of one of them"]').setValue('A-1')
  await page.get('[aria-label="Number of the other"]').setValue('B 2')
  await page.get('form').trigger('submit')
  await flushPromises()
  expect(page.find('.pair').exists()).toBe(true)
  await page.get('[aria-label="Number of the other"]').setValue('Z')
  await page.get('form').trigger('submit')
  await flushPromises()
  expect(page.get('[role=alert]').text()).toBe('This person is not there.')
  expect(page.find('.pair').exists()).toBe(false)
})
