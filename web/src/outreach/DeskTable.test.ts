import { clear, shown } from '@/testing'
import { deskRow } from '@/testing/rows'
import { useVeil } from '@/veil'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { USUAL_VIEW } from './columns'
import DeskTable from './DeskTable.vue'
import type { DeskRow } from './queues'

const ROWS = [
  deskRow('Marl', { inHand: { account: 'ines', name: 'Ines Wray', mine: false, since: '' } }),
  deskRow('Vask', { lastAttempt: { outcome: 'No answer', on: '2026-11-20', by: 'Ines Wray' } }),
  deskRow('Tove', { due: 'never', band: '' }),
]

beforeEach(() => {
  // Without a layout everything would be out of sight.
  Object.defineProperty(HTMLElement.prototype, 'clientHeight', { configurable: true, value: 600 })
})
afterEach(() => {
  clear()
  sessionStorage.clear()
})

function placed(rows: readonly DeskRow[], from = 0): Map<number, DeskRow> {
  return new Map(rows.map((row, i) => [from + i, row]))
}

async function table(props: Record<string, unknown> = {}) {
  const wrapper = await shown(DeskTable, {
    rows: placed(ROWS),
    total: 3,
    groups: [],
    inSight: [0, 0],
    view: USUAL_VIEW,
    current: 'Vask',
    today: '2026-11-26',
    marked: new Set(),
    empty: 'Nobody is here.',
    ...props,
  })
  await nextTick()
  return wrapper
}

describe('the people of a queue', () => {
  it('stand one to a line with what is to be known of them', async () => {
    const wrapper = await table()
    const lines = wrapper.findAll('[data-row]').map((line) => line.text().replace(/\s+/g, ' '))
    expect(lines).toEqual([
      'Marl, Ada761 Jan 2026Latecall, 1 NovInes Wray',
      'Vask, Ada761 Jan 2026Latecall, 1 NovNo answer, 20 Nov',
      'Tove, Ada76never metcall, 1 Nov',
    ])
    expect(wrapper.find('[data-row=Vask]').classes()).toContain('current')
    expect(wrapper.find('[data-row=Marl]').classes()).toContain('away')
    expect(wrapper.find('[role=table]').attributes('aria-rowcount')).toBe('3')
  })

  it('are opened by a click, and sorted by a heading', async () => {
    const wrapper = await table()
    await wrapper.find('[data-row=Tove]').trigger('click')
    expect(wrapper.emitted('open')?.[0]).toEqual([ROWS[2]])
    const heading = wrapper.findAll('.sort').find((one) => one.text().startsWith('Band'))
    await heading?.trigger('click')
    expect(wrapper.emitted('sort')?.[0]).toEqual(['band'])
  })

  it('are marked one by one, or all', async () => {
    const wrapper = await table()
    await wrapper.find('[aria-label="Mark Tove, Ada"]').trigger('change')
    expect(wrapper.emitted('mark')).toEqual([[ROWS[2]]])
    await wrapper.find('.head input').trigger('change')
    expect(wrapper.emitted('markAll')).toHaveLength(1)
  })

  it('have one whom the tabulator comes to, whoever is open', async () => {
    const reachable = (wrapper: Awaited<ReturnType<typeof table>>) =>
      wrapper.findAll('.name[tabindex="0"]').map((one) => one.text())
    expect(reachable(await table())).toEqual(['Vask, Ada'])
    expect(reachable(await table({ current: 'somebody of another queue' }))).toEqual(['Marl, Ada'])
  })

  it('have headings where they are grouped', async () => {
    const wrapper = await table({ view: { ...USUAL_VIEW, groupBy: 'band' }, groups: [2, 1] })
    expect(wrapper.findAll('.heading').map((one) => one.text().replace(/\s+/g, ' '))).toEqual([
      'Late 2',
      'none 1',
    ])
  })

  it('are not named in the page while the veil is down', async () => {
    const wrapper = await table({ view: { ...USUAL_VIEW, columns: ['name', 'phone', 'why'] } })
    expect(wrapper.html()).toContain('Vask, Ada')
    useVeil().turn()
    await nextTick()
    expect(wrapper.find('[role=rowgroup]').text()).not.toMatch(/Vask|01632/)
    expect(wrapper.find('[role=rowgroup]').html()).not.toContain('title="01632')
    expect(wrapper.text()).toContain('No check on record.')
    useVeil().turn()
  })

  it('all stand on paper, not only those who are in sight', async () => {
    const many = Array.from({ length: 200 }, (_, i) => deskRow(`p${String(i)}`))
    const wrapper = await table({ rows: placed(many), total: 200 })
    expect(wrapper.findAll('[data-row]').length).toBeLessThan(60)
    window.dispatchEvent(new Event('beforeprint'))
    await nextTick()
    expect(wrapper.findAll('[data-row]')).toHaveLength(200)
    window.dispatchEvent(new Event('afterprint'))
    await nextTick()
    expect(wrapper.findAll('[data-row]').length).toBeLessThan(60)
  })

  it('are asked for as they come in sight, and stand for themselves until they come', async () => {
    const wrapper = await table({ rows: placed(ROWS, 2), total: 500 })
    expect(wrapper.findAll('[data-row]').map((one) => one.attributes('data-row'))).toEqual([
      'Marl',
      'Vask',
      'Tove',
    ])
    expect(wrapper.findAll('.coming').length).toBeGreaterThan(10)
    const [first, last] = wrapper.emitted('update:inSight')?.at(-1)?.[0] as [number, number]
    expect(first).toBe(0)
    expect(last).toBeGreaterThan(20)
    expect(last).toBeLessThan(100)
  })

  it('are not said to be none while they are fetched', async () => {
    const text = (await table({ rows: placed([]), total: undefined })).text()
    expect(text).toContain('They are being fetched.')
    expect(text).not.toContain('Nobody is here.')
  })

  it('may be none, which is said', async () => {
    expect((await table({ rows: placed([]), total: 0 })).text()).toContain('Nobody is here.')
  })
})
