import { clear, serving, shown, type Asked } from '@/testing'
import { deskRow } from '@/testing/rows'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import ComparedDialog from './ComparedDialog.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

const LISTS = ['hearing', 'kidney', 'lithium'].map((id) => ({ id, name: `The ${id}` }))

function on(name: string, one: string, other: string, more: object = {}) {
  const same = { dueOne: '', dueOther: '', bandOne: '', bandOther: '', differing: [] }
  return { ...same, person: deskRow(name).person, one, other, ...more }
}

const COMPARED = {
  one: 'The hearing',
  other: 'The kidney',
  oneOn: '2026-11-23',
  otherOn: '2026-11-24',
  people: [
    on('Vask', 'ON', 'ON', {
      dueOne: 'never',
      dueOther: '2026-01-05',
      bandOther: 'Late',
      differing: ['due', 'band'],
    }),
    on('Tove', 'ON', 'OFF'),
    on('Marl', 'OFF', 'CHECK'),
    on('Ard', 'CHECK', 'ON', { differing: ['state'] }),
  ],
}

async function dialog() {
  const asked = serving({
    'GET /api/lists-compared': ({ path }: Asked) =>
      path.includes('other=lithium') ? { ...COMPARED, other: 'The lithium', people: [] } : COMPARED,
  })
  const wrapper = await shown(ComparedDialog, { visible: true, lists: LISTS })
  await flushPromises()
  const piles = () => wrapper.findAll('summary').map((one) => one.text())
  return { wrapper, asked, piles }
}

describe('two lists beside each other', () => {
  it('tell who is on both, and who on one alone', async () => {
    const { wrapper, piles } = await dialog()
    expect(piles()).toEqual(['On both: 2', 'Only on The hearing: 1', 'Only on The kidney: 1'])
    expect(wrapper.findAll('li').map((one) => one.text().split(',')[0])).toEqual([
      'Ard',
      'Vask',
      'Tove',
      'Marl',
    ])
  })

  it('say what differs of whoever is on both', async () => {
    const { wrapper } = await dialog()
    const differing = wrapper.findAll('.differs').map((one) => one.text())
    expect(differing.slice(0, 2)).toEqual([
      'to check / on the list',
      'never met / due 5 Jan 2026; no band / Late',
    ])
  })

  it('are others at once when others are chosen, and none of before stands there meanwhile', async () => {
    const { wrapper, asked, piles } = await dialog()
    await wrapper.find('[aria-label="The other list"]').setValue('lithium')
    expect(piles()).toEqual([])
    await flushPromises()
    expect(piles()[2]).toBe('Only on The lithium: 0')
    await wrapper.find('[aria-label="The other list"]').setValue('hearing')
    await flushPromises()
    expect(wrapper.text()).toContain('Choose two different lists.')
    expect(asked).toHaveLength(2)
  })
})
