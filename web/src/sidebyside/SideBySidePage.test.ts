import { button, clear, Refusal, serving, shown, type Asked } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it } from 'vitest'
import SideBySidePage from './SideBySidePage.vue'

const LAID = {
  id: 'l',
  onlyHere: 1,
  onlyThere: 0,
  differing: 2,
  same: 3,
  several: 0,
  unknownHere: 0,
  unknownThere: 0,
}
const SAVED = {
  id: 'wishes',
  version: 4,
  changedAt: '2026-11-27T09:00:00Z',
  changedBy: 'Orla Fenwick',
  name: 'Wishes',
  document: {
    here: { kind: 'FILE', ref: '', name: 'old.csv', columns: ['Number', 'Wish'] },
    there: { kind: 'FILE', ref: '', name: 'new.csv', columns: ['Person', 'Wish', 'Day'] },
    key: [{ here: 'Number', there: 'Person' }],
    compared: [{ here: 'Wish', there: 'Wish', split: ',' }],
  },
}

const COLUMNS: Record<string, string[]> = {
  'a.csv': ['Number', 'Wish'],
  'b.csv': ['Person', 'Wish', 'Day'],
}

function side({ path }: Asked) {
  const name = new URLSearchParams(path.split('?')[1]).get('name') ?? ''
  const columns = (COLUMNS[name] ?? ['Number']).map((column) => ({
    name: column,
    field: '',
    tellsApart: true,
    blanks: 0,
    examples: [],
  }))
  return {
    id: name,
    kind: 'FILE',
    ref: '',
    name,
    said: 'text',
    rows: 6,
    columns,
    openDates: false,
    unreadable: 0,
    troubles: [],
  }
}

const ANSWERS = {
  'GET /api/comparisons': [SAVED],
  'GET /api/rosters': [],
  'GET /api/lists': [],
  'POST /api/comparisons/files': side,
  'POST /api/comparisons/laid': LAID,
  'GET /api/comparisons/laid/l/ONLY_HERE': { header: ['Number'], all: 1, rows: [['7']] },
  'GET /api/comparisons/laid/l/DIFFERING': { header: ['Number'], all: 2, rows: [['8'], ['9']] },
}

function drop(page: Awaited<ReturnType<typeof shown>>, at: number, ...names: string[]) {
  const files = names.map((name) => new File(['x'], name))
  return page.findAll('.side')[at]?.trigger('drop', { dataTransfer: { files } })
}

afterEach(clear)

it('lays two files side by side as soon as both are there, and shows each pile', async () => {
  const asked = serving(ANSWERS)
  const page = await shown(SideBySidePage, {})
  await drop(page, 0, 'c.csv')
  await flushPromises()
  expect(page.text()).not.toContain('In both')
  await drop(page, 1, 'd.csv')
  await flushPromises()
  expect(asked.find(({ path }) => path === '/api/comparisons/laid')?.body).toEqual({
    here: 'c.csv',
    there: 'd.csv',
    key: [{ here: 'Number', there: 'Number' }],
    compared: [],
  })
  expect(page.text()).toContain('1 Only in c.csv')
  expect(page.text()).toContain('Rows 1 to 1 of 1')
  await button(page, '2 In both, not the same').trigger('click')
  await flushPromises()
  expect(page.findAll('.wide tbody tr').map((row) => row.text())).toEqual(['8', '9'])
})

it('lays a saved one again with the next files, each where one with such columns stood', async () => {
  const asked = serving(ANSWERS)
  const page = await shown(SideBySidePage, {})
  await flushPromises()
  await button(page, 'Wishes').trigger('click')
  await flushPromises()
  expect(page.text()).toContain('Bring the file that stands where old.csv stood.')
  await drop(page, 0, 'b.csv', 'a.csv')
  await flushPromises()
  const last = asked.filter(({ path }) => path === '/api/comparisons/laid').at(-1)
  expect(last?.body).toEqual({
    here: 'a.csv',
    there: 'b.csv',
    key: SAVED.document.key,
    compared: SAVED.document.compared,
  })
})

it('says what cannot be read, and that no more than two files are laid', async () => {
  serving({
    ...ANSWERS,
    'POST /api/comparisons/files': new Refusal(422, '“x.csv” cannot be read.'),
  })
  const page = await shown(SideBySidePage, {})
  await drop(page, 0, 'x.csv')
  await flushPromises()
  expect(page.text()).toContain('“x.csv” cannot be read.')
  await drop(page, 0, 'x.csv', 'y.csv', 'z.csv')
  await flushPromises()
  expect(page.text()).toContain('Bring no more than two at once; none was read.')
})
