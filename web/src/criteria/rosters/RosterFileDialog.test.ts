import { ReadAs } from '@/files'
import { button, clear, Refusal, serving, shown, type Asked } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it } from 'vitest'
import RosterFileDialog from './RosterFileDialog.vue'

const READ = {
  format: 'text in UTF-8',
  fields: ['id', 'family_name'],
  rows: [
    { cells: ['R-1', 'Marl'], until: '' },
    { cells: ['R-2', 'Ardle'], until: '2026-12-31' },
  ],
  days: [],
  until: '',
  openDates: false,
  readAs: { sheets: [], sheet: '', encoding: 'UTF-8', separator: ',' },
  leftOut: 1,
  troubles: ['Line 4: “31/02/2026” is not a date of a day that exists.'],
  intake: { format: 'dipstick-intake/1' },
}
const ROSTER = {
  id: 'away',
  name: 'Away',
  key: ['id'],
  rows: 1,
  ended: 0,
  until: '',
  fromFile: true,
  version: 3,
  changedAt: '2026-11-27T09:00:00Z',
  changedBy: 'Orla Fenwick',
  usedBy: ['Hearing check due'],
}
const FILE = new File(['x'], 'away next week.csv')

afterEach(clear)

it('makes a new roster of a file, known by its number, and tells what is left out', async () => {
  const asked = serving({ 'POST /api/rosters/file': READ, 'PUT /api/rosters/away-next-week': {} })
  const page = await shown(RosterFileDialog, { file: FILE, roster: undefined, taken: new Set() })
  await flushPromises()
  expect(page.text()).toContain('2 rows')
  expect(page.text()).toContain('1 row is left out, since it cannot be read. Line 4')
  await button(page, 'Share this roster').trigger('submit')
  await flushPromises()
  const sent = asked.find(({ method }) => method === 'PUT')
  expect(sent?.ifMatch).toBeNull()
  expect(sent?.body).toEqual({
    name: 'away next week',
    key: ['id'],
    rows: [
      { cells: ['R-1'], until: '' },
      { cells: ['R-2'], until: '2026-12-31' },
    ],
    until: '',
    intake: READ.intake,
  })
  expect(page.emitted('saved')).toEqual([['away next week']])
})

it('replaces one only after it was seen what that does, and says why it could not', async () => {
  serving({
    'POST /api/rosters/file': READ,
    'GET /api/rosters/away': { summary: ROSTER, rows: [{ cells: ['R-1'], until: '', people: 1 }] },
    'POST /api/rosters/away/effects': [
      { id: 'h', name: 'Hearing check due', published: true, on: 7, joined: 0, left: 1 },
    ],
    'PUT /api/rosters/away': new Refusal(412, 'Tam changed the roster meanwhile.'),
  })
  const page = await shown(RosterFileDialog, { file: FILE, roster: ROSTER, taken: new Set() })
  expect(page.text()).not.toContain('No set holds it')
  await flushPromises()
  expect(page.text()).toContain('1 new; 0 of before are gone')
  expect(page.text()).toContain('Hearing check due: 0 join, 1 leave')
  await button(page, 'Replace it in every set').trigger('submit')
  await flushPromises()
  expect(page.text()).toContain('Tam changed the roster meanwhile.')
  expect(page.emitted('saved')).toBeUndefined()
})

it('is read anew as is said, in another encoding', async () => {
  const asked = serving({ 'POST /api/rosters/file': READ })
  const page = await shown(RosterFileDialog, { file: FILE, roster: undefined, taken: new Set() })
  await flushPromises()
  page
    .getComponent(ReadAs)
    .vm.$emit('change', { encoding: 'windows-1250', separator: ',', sheet: '' })
  await flushPromises()
  expect(asked).toHaveLength(2)
  expect(asked[1]?.path).toContain('encoding=windows-1250')
})

it('is not taken as it was read before, where it cannot be read as is said', async () => {
  const refused = new Refusal(422, 'There is no encoding “no such”.')
  serving({
    'POST /api/rosters/file': ({ path }: Asked) => (path.includes('encoding') ? refused : READ),
  })
  const page = await shown(RosterFileDialog, { file: FILE, roster: undefined, taken: new Set() })
  await flushPromises()
  const share = () => button(page, 'Share this roster').attributes('disabled')
  expect(share()).toBeUndefined()
  const readAs = page.getComponent(ReadAs)
  readAs.vm.$emit('change', { encoding: 'no such', separator: ',', sheet: '' })
  await flushPromises()
  expect(page.text()).toContain('There is no encoding')
  expect(share()).toBeDefined()
  readAs.vm.$emit('change', {})
  await flushPromises()
  expect(share()).toBeUndefined()
})
