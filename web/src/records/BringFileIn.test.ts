import { button, clear, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import BringFileIn from './BringFileIn.vue'

const CHECKED = {
  id: 'i1',
  kind: 'PEOPLE',
  fileName: 'people.csv',
  bytes: 40,
  stage: 'CHECKED',
  read: 40,
  goodRows: 3,
  badLines: 0,
  problems: [] as object[],
  unreadable: false,
  absent: 0,
  erased: 0,
  newRows: 0,
  changedRows: 0,
  unchangedRows: 0,
  goneRows: 0,
  unknownPeople: 0,
  reason: '',
}

/** Sends a file as the browser does, which tells how far it is. */
class Sending {
  upload: { onprogress?: (event: { loaded: number }) => void } = {}
  status = 200
  response: unknown = CHECKED
  onload: () => void = () => undefined
  open(): void {
    // Where it goes is of no matter here.
  }
  setRequestHeader(): void {
    // Neither is what it says of itself.
  }
  send(): void {
    this.upload.onprogress?.({ loaded: 40 })
    this.onload()
  }
}

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

async function sent(checked: Partial<typeof CHECKED>, taken: Partial<typeof CHECKED> = {}) {
  let view = { ...CHECKED, ...checked }
  const asked = serving({
    'GET /api/imports/i1': () => view,
    'POST /api/imports/i1/take': () => {
      view = { ...view, stage: 'TAKEN', ...taken }
      return view
    },
    'DELETE /api/imports/i1': {},
  })
  vi.stubGlobal('XMLHttpRequest', Sending)
  const wrapper = await shown(BringFileIn, {})
  const picker = wrapper.find('input[type=file]')
  const head = { text: () => Promise.resolve('id,family_name\np1,Marl\n') }
  Object.defineProperty(picker.element, 'files', {
    value: [{ name: 'people.csv', size: 40, slice: () => head }],
  })
  await picker.trigger('change')
  await vi.waitFor(() => {
    expect(wrapper.find('.report').text()).not.toContain('Reading')
  })
  return { wrapper, asked }
}

describe('a file on its way in', () => {
  it('is shown before anything is taken, and then what came of it', async () => {
    const { wrapper, asked } = await sent({}, { newRows: 2, changedRows: 1 })
    expect(wrapper.text()).toContain('people.csv holds 3 good lines of people.')
    expect(asked.some((one) => one.method === 'POST')).toBe(false)
    await button(wrapper, 'Take all 3 lines').trigger('click')
    await flushPromises()
    expect(asked.at(-2)?.path).toBe('/api/imports/i1/take?everybody=false')
    expect(wrapper.text()).toContain('2 people were new, 1 changed, 0 unchanged.')
    expect(wrapper.emitted('taken')).toHaveLength(1)
  })

  it('may name everybody, if that is said', async () => {
    const { wrapper, asked } = await sent({ absent: 12 }, { unchangedRows: 3, goneRows: 12 })
    expect(wrapper.find('.everybody').text()).toMatch(
      /This file names everybody: the\s+12 people on file who\s+are not in it\s+go off file\./,
    )
    await wrapper.find('.everybody input').setValue(true)
    await button(wrapper, 'Take all 3 lines, 12 off file').trigger('click')
    await flushPromises()
    expect(asked.at(-2)?.path).toBe('/api/imports/i1/take?everybody=true')
    expect(wrapper.text()).toMatch(/12\s+people are not on file any more/)
  })

  it('cannot name everybody while a line of it is bad', async () => {
    const { wrapper } = await sent({
      absent: 12,
      goodRows: 2,
      badLines: 1,
      problems: [{ line: 3, column: 'birth_date', reason: '“31 Feb” is no date.' }],
    })
    expect(wrapper.find('.everybody').exists()).toBe(false)
    expect(wrapper.text()).toContain('12 people on file are not in this file. They stay;')
    expect(wrapper.find('tbody').text()).toBe('3birth_date“31 Feb” is no date.')
    expect(button(wrapper, 'Take the 2 good lines').exists()).toBe(true)
  })

  it('is told of alone, and says what is still behind it', async () => {
    const { wrapper } = await sent({}, { reason: 'It is shown in a moment.' })
    const take = button(wrapper, 'Take all 3 lines').trigger('click')
    serving({
      'GET /api/imports/i1': { ...CHECKED, stage: 'TAKING' },
      'POST /api/imports/i1/take': { ...CHECKED, stage: 'TAKING' },
    })
    await take
    await flushPromises()
    await wrapper.find('.import').trigger('drop', {
      dataTransfer: { files: [{ name: 'other.csv' }] },
    })
    expect(wrapper.find('[role=alert]').text()).toContain('other.csv was not sent')
    expect(wrapper.find('.report').text()).toContain('Taking people.csv')
    serving({
      'GET /api/imports/i1': { ...CHECKED, stage: 'TAKEN', reason: 'It is shown in a moment.' },
    })
    await vi.waitFor(() => {
      expect(wrapper.find('.report').text()).toContain('It is shown in a moment.')
    })
  })

  it('that cannot be read is not offered', async () => {
    const { wrapper } = await sent({
      unreadable: true,
      goodRows: 0,
      problems: [{ line: 1, column: '', reason: 'There is no column id.' }],
    })
    expect(wrapper.find('.notice').text()).toContain('people.csv cannot be taken.')
    expect(wrapper.findAll('button').map((one) => one.text())).toEqual(['Take none'])
    await button(wrapper, 'Take none').trigger('click')
    await flushPromises()
    expect(wrapper.find('.report').exists()).toBe(false)
  })
})
