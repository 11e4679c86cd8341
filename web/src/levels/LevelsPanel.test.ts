import { clear, later, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import LevelsPanel from './LevelsPanel.vue'

const LEVELS = {
  name: 'Kidney function',
  shouldHave: true,
  levels: [
    { asOf: '2026-11-17', eligible: 10, has: 4, onList: 5, toCheck: 1 },
    { asOf: '2026-11-24', eligible: 10, has: 6, onList: 4, toCheck: 0 },
  ],
  attempts: [
    { month: '2026-10', outcome: 'Reached', attempts: 3 },
    { month: '2026-11', outcome: 'No answer', attempts: 2 },
  ],
  bySite: [
    { name: '', eligible: 1, has: 0, onList: 1, open: 1, done: 0 },
    { name: 'Mill Lane', eligible: 9, has: 6, onList: 3, open: 2, done: 4, medianDays: 21 },
  ],
  byProvider: [{ name: 'Dr Quillon', eligible: 10, has: 6, onList: 4, open: 3, done: 4 }],
}

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

async function panel() {
  const asked = serving({
    'GET /api/lists': [
      { id: 'kidney', name: 'Kidney function' },
      { id: 'hearing', name: 'Hearing check' },
    ],
    'GET /api/lists/kidney/levels': LEVELS,
    'GET /api/lists/hearing/levels': { ...LEVELS, name: 'Hearing check', levels: [] },
  })
  const wrapper = await shown(LevelsPanel, {})
  await flushPromises()
  return { wrapper, asked }
}

function rows(wrapper: Awaited<ReturnType<typeof panel>>['wrapper'], table: number): string[] {
  const found = wrapper.findAll('.ledger')[table]
  return (found?.findAll('tbody tr') ?? []).map((row) =>
    row
      .findAll('td')
      .map((cell) => cell.text())
      .join(' | '),
  )
}

describe('levels over time', () => {
  it('are drawn for each day on which the list was read', async () => {
    const { wrapper } = await panel()
    const data = wrapper.findComponent({ name: 'Chart' }).props('data') as {
      labels: string[]
      datasets: { label: string; data: number[] }[]
    }
    expect(data.labels).toEqual(['17 Nov 2026', '24 Nov 2026'])
    expect(data.datasets.map((one) => [one.label, one.data])).toEqual([
      ['on the list', [5, 4]],
      ['coverage, %', [40, 60]],
    ])
  })

  it('are told in figures too, the newest first', async () => {
    const { wrapper } = await panel()
    expect(rows(wrapper, 0)).toEqual([
      '24 Nov 2026 | 4 | 0 | 6 of 10, 60%',
      '17 Nov 2026 | 5 | 1 | 4 of 10, 40%',
    ])
  })

  it('of everybody do not stand under a part while its own are read', async () => {
    const { wrapper } = await panel()
    const answer = later<Response>()
    vi.stubGlobal('fetch', () => answer.promise)
    await wrapper.find('[aria-label="Of whom"]').setValue('site Mill Lane')
    await flushPromises()
    expect(wrapper.find('.ledger').exists()).toBe(false)
    expect(wrapper.text()).toContain('The levels are being read.')
    expect(wrapper.find('[aria-label="Of whom"]').exists()).toBe(true)
    answer.resolve(new Response(JSON.stringify(LEVELS)))
    await flushPromises()
    expect(wrapper.find('.ledger').exists()).toBe(true)
  })

  it('stand beside what came of attempts, by month', async () => {
    const { wrapper } = await panel()
    expect(wrapper.text()).toContain('OutcomeOct 2026Nov 2026')
    expect(rows(wrapper, 1)).toEqual(['Reached | 3 | 0', 'No answer | 0 | 2'])
  })

  it('are told by site and by provider, with those who have none', async () => {
    const { wrapper } = await panel()
    expect(rows(wrapper, 2)).toEqual([
      'none |  | 0 of 1, 0% | 1 | 1 | 0 | ',
      'Mill Lane |  | 6 of 9, 67% | 3 | 2 | 4 | 21 (median)',
    ])
    expect(rows(wrapper, 3)[0]).toContain('Dr Quillon')
  })

  it('are looked at of one site or provider alone', async () => {
    const { wrapper, asked } = await panel()
    const whom = wrapper.find('[aria-label="Of whom"]')
    expect(whom.findAll('option').map((one) => one.text())).toEqual([
      'everybody',
      'site: none',
      'site: Mill Lane',
      'provider: Dr Quillon',
    ])
    await whom.setValue('provider Dr Quillon')
    await flushPromises()
    expect(asked.at(-1)?.path).toBe('/api/lists/kidney/levels?field=provider&part=Dr+Quillon')
    await whom.setValue('site ')
    await flushPromises()
    expect(asked.at(-1)?.path).toBe('/api/lists/kidney/levels?field=site&part=')
  })

  it('of another list begin with everybody', async () => {
    const { wrapper, asked } = await panel()
    await wrapper.find('[aria-label="Of whom"]').setValue('site Mill Lane')
    await flushPromises()
    await wrapper.find('[aria-label=List]').setValue('hearing')
    await flushPromises()
    expect(asked.at(-1)?.path).toBe('/api/lists/hearing/levels?field=&part=')
    expect(wrapper.text()).toContain('so far there is none')
  })
})
