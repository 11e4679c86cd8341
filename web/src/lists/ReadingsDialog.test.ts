import { button, clear, Refusal, serving, shown } from '@/testing'
import { deskRow } from '@/testing/rows'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import ReadingsDialog from './ReadingsDialog.vue'

function reading(id: number, asOf: string, is: object = {}) {
  return {
    id,
    version: 1,
    asOf,
    takenAt: `${asOf}T06:00:00Z`,
    takenBy: '',
    occasion: 'SCHEDULED',
    turned: {},
    eligible: 10,
    has: 4,
    onList: 5,
    toCheck: 1,
    joined: 1,
    gone: 2,
    ...is,
  }
}

const READINGS = [
  reading(3, '2026-11-24', { occasion: 'BY_HAND', takenBy: 'Orla Fenwick' }),
  reading(2, '2026-11-17', { toCheck: 0 }),
  reading(1, '2026-11-10', { occasion: 'PUBLISHED' }),
]

function moved(id: string, was: string, nowIs: string, is: object = {}) {
  return {
    person: deskRow(id).person,
    was,
    nowIs,
    words: '',
    dueWas: '',
    dueIs: '',
    bandWas: '',
    bandIs: '',
    ...is,
  }
}

const PEOPLE = [
  moved('Joiner', 'OFF', 'ON', { cause: 'TIME', words: 'Comes of the age on 20 Nov 2026.' }),
  moved('Leaver', 'ON', 'OFF', { cause: 'DONE', words: 'Now on record: Visit on 18 Nov 2026.' }),
  moved('Stayer', 'ON', 'ON', { dueWas: 'never', dueIs: '2026-01-01', bandIs: 'Late' }),
  moved('Excuser', 'ON', 'ON', { excused: 'until 1 Mar 2027: abroad (Tam)' }),
]

const PLAN = {
  every: 'DAY',
  dayOfWeek: 'MONDAY',
  dayOfMonth: 1,
  at: '06:00',
  dials: [],
  turned: {},
  revision: 0,
}

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

async function dialog(answers: Record<string, unknown> = {}, mayChange = true) {
  const asked = serving({
    'GET /api/lists/kidney/readings': READINGS,
    'GET /api/lists/kidney/readings-compared': { from: '', to: '', people: PEOPLE },
    'GET /api/lists/kidney/reading-plan': PLAN,
    'GET /api/lists/kidney/readings/3/levels': {
      levels: {
        people: 100,
        deceased: 2,
        levels: [
          {
            section: 'INCLUDE',
            words: 'aged 50 or over',
            alone: { yes: 40, unsure: 3 },
            remaining: { yes: 40, unsure: 3 },
          },
          { section: 'SHOULD_HAVE', words: 'had a visit', alone: { yes: 30, unsure: 0 } },
        ],
        eligible: { yes: 40, unsure: 3 },
        has: { yes: 30, unsure: 0 },
        list: { yes: 10, unsure: 3 },
      },
    },
    'GET /api/lists/kidney/readings/1/levels': {},
    ...answers,
  })
  const wrapper = await shown(ReadingsDialog, {
    visible: true,
    id: 'kidney',
    name: 'Kidney function',
    mayChange,
  })
  await flushPromises()
  return { wrapper, asked }
}

describe('the readings of a list', () => {
  it('are told with their day, their size, and what they were taken for', async () => {
    const { wrapper } = await dialog()
    const lines = wrapper.findAll('.reading').map((one) => one.text().replace(/\s+/g, ' '))
    expect(lines[0]).toContain('24 Nov 20265 on the list, 1 to check')
    expect(lines[0]).toContain('1 joined, 2 left · version 1 · Orla Fenwick')
    expect(lines[1]).toContain('17 Nov 20265 on the list1 joined')
    expect(lines[2]).toContain('when it was published')
  })

  it('say who joined, left, stayed and was excused since the one before', async () => {
    const { wrapper, asked } = await dialog()
    expect(asked.some((one) => one.path.endsWith('readings-compared?from=2&to=3'))).toBe(true)
    const words = wrapper.find('.changes').text().replace(/\s+/g, ' ')
    expect(words).toContain('Joiner, Ada, 76Comes of the age on 20 Nov 2026.')
    expect(words).toContain('Leaver, Ada, 76Now on record: Visit on 18 Nov 2026.')
    expect(words).toContain('Excused since: 1')
    expect(words).toContain('until 1 Mar 2027: abroad (Tam)')
    expect(words).toContain('Stayed: 2')
    expect(words).toContain('due never met, now 1 Jan 2026; no band, now Late')
  })

  it('are compared with any other', async () => {
    const { wrapper, asked } = await dialog()
    await wrapper.find('#beside').setValue('1')
    await flushPromises()
    expect(asked.at(-1)?.path).toContain('readings-compared?from=1&to=3')
  })

  it('have kept their levels, which are asked for when they are wanted', async () => {
    const { wrapper, asked } = await dialog()
    expect(asked.some((one) => one.path.endsWith('/levels'))).toBe(false)
    const details = wrapper.find('.changes details')
    ;(details.element as HTMLDetailsElement).open = true
    await details.trigger('toggle')
    await flushPromises()
    const rows = wrapper.findAll('.ledger tbody tr').map((one) => one.text().replace(/\s+/g, ' '))
    expect(rows).toEqual([
      'Everybody100',
      'Includeaged 50 or over40, 3 can’t tell40, 3 can’t tell',
      'Should havehad a visit30',
      'Have it30',
      'On the list10, 3 can’t tell',
    ])
  })

  it('of the first have none to be compared with, and may be from before levels were kept', async () => {
    const { wrapper } = await dialog()
    await wrapper.findAll('.reading')[2]?.trigger('click')
    await flushPromises()
    expect(wrapper.find('.changes').text()).toContain('This is the first reading')
    const details = wrapper.find('.changes details')
    ;(details.element as HTMLDetailsElement).open = true
    await details.trigger('toggle')
    await flushPromises()
    expect(wrapper.text()).toContain('This reading was taken before levels were kept.')
  })

  it('are taken by hand by who may change the list', async () => {
    const { wrapper, asked } = await dialog({
      'POST /api/lists/kidney/readings': reading(4, '2026-11-26'),
    })
    await button(wrapper, 'Take a reading now').trigger('click')
    await flushPromises()
    expect(asked.some((one) => one.method === 'POST')).toBe(true)
    expect((await dialog({}, false)).wrapper.text()).not.toContain('Take a reading now')
  })

  it('that cannot be taken say why', async () => {
    const { wrapper } = await dialog({
      'POST /api/lists/kidney/readings': new Refusal(422, 'This set does not fit the records.'),
    })
    await button(wrapper, 'Take a reading now').trigger('click')
    await flushPromises()
    expect(wrapper.find('[role=alert]').text()).toBe('This set does not fit the records.')
  })
})
