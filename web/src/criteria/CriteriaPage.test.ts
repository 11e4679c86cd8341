import { button, clear, Refusal, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import CriteriaPage from './CriteriaPage.vue'

function set(id: string, more: object = {}) {
  return {
    id,
    name: `The ${id}`,
    purpose: `About ${id}.`,
    version: 2,
    draft: false,
    retired: false,
    mine: true,
    owner: 'Orla Fenwick',
    sharing: 'shared with everybody',
    right: 'CHANGE',
    changedBy: 'Orla Fenwick',
    changedAt: '2026-11-20T09:00:00Z',
    revision: 7,
    ...more,
  }
}

let answers: Parameters<typeof serving>[0]

beforeEach(() => {
  answers = {
    'GET /api/criteria': [
      set('retired', { retired: true }),
      set('hearing'),
      set('café', { name: 'Café visits', purpose: 'Résumé.' }),
      set('draft', { version: 0, draft: true }),
      set('theirs', { mine: false, owner: 'Dr Pennifer', right: 'VIEW' }),
    ],
    'GET /api/lists': [
      { id: 'hearing', on: 84, toCheck: 127, has: 153, eligible: 238, shouldHave: true },
      { id: 'theirs', problem: 'Its set names one that is gone.' },
    ],
    'PUT /api/criteria/hearing/retired': {},
    'DELETE /api/criteria/draft': {},
  }
  localStorage.clear()
})
afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

async function page() {
  const asked = serving(answers)
  const wrapper = await shown(CriteriaPage, {})
  await flushPromises()
  const rows = () =>
    wrapper.findAll('tbody tr').map((row) => row.findAll('td').map((cell) => cell.text()))
  return { wrapper, asked, rows }
}

describe('the sets', () => {
  it('stand with their lists, or with why there is none, the retired last', async () => {
    const { rows } = await page()
    const told = rows().map(([what = '', ...cells]) => [what.split('About')[0]?.trim(), ...cells])
    expect(told[0]?.slice(0, 4)).toEqual(['The hearing', '84', '127', '64%'])
    expect(told[2]?.slice(0, 2)).toEqual(['The draft', 'no list'])
    expect(told[3]?.slice(0, 2)).toEqual(['The theirs', 'Its set names one that is gone.'])
    expect(told[4]?.slice(0, 3)).toEqual([
      'The retired',
      'no list',
      expect.stringContaining('retired, version 2'),
    ])
  })

  it('have no numbers and no lack of them while the lists are not known', async () => {
    answers['GET /api/lists'] = new Refusal(500, 'The disk is full.')
    const { wrapper, rows } = await page()
    expect(rows()[0]?.[1]).toBe('…')
    expect(wrapper.find('[role=alert]').text()).toBe('The disk is full.')
  })

  it('are found by name and purpose, however they are written', async () => {
    const { wrapper, rows } = await page()
    const find = wrapper.find('[aria-label="Find a set"]')
    await find.setValue('CAFE\u0301')
    expect(rows()).toHaveLength(1)
    await find.setValue('zebra')
    expect(wrapper.text()).toContain('No set’s name or purpose holds “zebra”.')
  })

  it('are retired as they were seen, and only looked at by who may not change them', async () => {
    const { wrapper, asked, rows } = await page()
    expect(rows()[3]?.at(-1)).toBe('to look at')
    await button(wrapper, 'Retire').trigger('click')
    await flushPromises()
    const put = asked.find((one) => one.method === 'PUT')
    expect([put?.path, put?.ifMatch, put?.body]).toEqual([
      '/api/criteria/hearing/retired',
      '"7"',
      { retired: true },
    ])
  })

  it('are removed only where they were never published, and only when that is meant', async () => {
    const { wrapper, asked } = await page()
    expect(wrapper.findAll('button').filter((one) => one.text() === 'Remove')).toHaveLength(1)
    vi.stubGlobal('confirm', () => false)
    await button(wrapper, 'Remove').trigger('click')
    expect(asked.some((one) => one.method === 'DELETE')).toBe(false)
    vi.stubGlobal('confirm', () => true)
    await button(wrapper, 'Remove').trigger('click')
    await flushPromises()
    expect(asked.find((one) => one.method === 'DELETE')?.ifMatch).toBe('"7"')
  })

  it('say what was refused', async () => {
    answers['PUT /api/criteria/hearing/retired'] = new Refusal(409, 'Another set names it.')
    const { wrapper } = await page()
    await button(wrapper, 'Retire').trigger('click')
    await flushPromises()
    expect(wrapper.find('[role=alert]').text()).toBe('Another set names it.')
  })
})
