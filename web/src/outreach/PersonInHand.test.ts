import { button, clear, serving, shown } from '@/testing'
import { deskRow } from '@/testing/rows'
import { afterEach, describe, expect, it, vi } from 'vitest'
import PersonInHand from './PersonInHand.vue'
import type { DeskRow } from './queues'

const OUTCOMES = [
  { id: 'reached', name: 'Reached', effect: 'REACHED', place: 1, inUse: true },
  { id: 'no-answer', name: 'No answer', effect: 'NOT_REACHED', place: 2, inUse: true },
] as const

const LISTS = [
  {
    set: 'kidney',
    name: 'Kidney',
    standing: 'ON',
    state: 'TO_CONTACT',
    due: '',
    why: 'No result since May.',
    open: true,
  },
]
const OTHER = {
  set: 'hearing',
  name: 'Hearing',
  standing: 'ON',
  state: 'TO_CONTACT',
  due: '',
  why: 'Never checked.',
  open: true,
}

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

async function inHand(is: Partial<DeskRow> = {}, { lists = LISTS, mayWork = true } = {}) {
  serving({
    'GET /api/lists/kidney/people/Marl': {
      person: deskRow('Marl').person,
      details: [
        { field: 'phone', value: '01632 960001' },
        { field: 'address', value: '1 Ash Row' },
        { field: 'city', value: 'Otterbrook' },
        { field: 'sex', value: 'female' },
      ],
      criteria: [],
      records: [],
      windows: [],
    },
    'GET /api/lists/kidney/desk/people/Marl': { lists, acts: [] },
  })
  return shown(PersonInHand, {
    list: 'kidney',
    row: deskRow('Marl', is),
    outcomes: OUTCOMES,
    asOf: '2026-11-26',
    mayWork,
    note: '',
    everywhere: true,
  })
}

describe('the person in hand', () => {
  it('shows why they are on the list, what comes next, and the ways to reach them', async () => {
    const wrapper = await inHand({ inHand: { account: 'orla', name: 'me', mine: true, since: '' } })
    expect(wrapper.find('.why').text()).toContain('Late. No result since May. Due 1 Jan 2026.')
    expect(wrapper.text()).toContain('next: Call, 1 Nov 2026')
    const ways = wrapper.findAll('.contacts dd').map((one) => one.text())
    expect(ways).toEqual(['01632 960001', '1 Ash Row, Otterbrook', 'en'])
    expect(button(wrapper, 'Let go (t)').exists()).toBe(true)
  })

  it('has what came of it logged by a click', async () => {
    const wrapper = await inHand()
    await wrapper.find('[data-outcome=no-answer]').trigger('click')
    expect(wrapper.emitted('outcome')).toEqual([['no-answer']])
    await button(wrapper, 'Take (t)').trigger('click')
    expect(wrapper.emitted('take')).toHaveLength(1)
  })

  it('is settled on all lists by one call, unless that is switched off', async () => {
    expect((await inHand()).find('.everywhere').exists()).toBe(false)
    const wrapper = await inHand({}, { lists: [...LISTS, OTHER] })
    expect(wrapper.find('[aria-label="Also on"]').text()).toContain('Hearing: Never checked.')
    await wrapper.find('.everywhere input').setValue(false)
    expect(wrapper.emitted('update:everywhere')).toEqual([[false]])
  })

  it('cannot be worked while a colleague has them', async () => {
    const wrapper = await inHand({
      inHand: { account: 'ines', name: 'Ines Wray', mine: false, since: '' },
    })
    expect(wrapper.text()).toContain('Ines Wray has this person in hand.')
    expect(wrapper.find('[data-outcome=reached]').attributes('disabled')).toBeDefined()
    expect(button(wrapper, 'Excuse… (e)').attributes('disabled')).toBeDefined()
  })

  it('is held back with the reason, but may be looked after', async () => {
    const held = await inHand({ held: true, heldBack: 'Has an appointment on record: 3 Dec 2026.' })
    expect(held.find('.notice').text()).toBe('Held back: Has an appointment on record: 3 Dec 2026.')
    const looked = await inHand({ heldBack: 'Was reached on 20 Nov 2026.', nextStep: 'LOOK' })
    expect(looked.find('.notice').text()).toBe('Was reached on 20 Nov 2026.')
  })

  it('is excused until somebody brings them back', async () => {
    const wrapper = await inHand({ excused: 'until 1 Mar 2027: abroad (Dr Pennifer)' })
    expect(wrapper.text()).toContain('Excused. until 1 Mar 2027: abroad (Dr Pennifer)')
    expect(wrapper.find('.outcomes').exists()).toBe(false)
    await button(wrapper, 'Bring back (b)').trigger('click')
    expect(wrapper.emitted('back')).toHaveLength(1)
  })

  it('says what became of those who are done with', async () => {
    const closed = await inHand({ open: false, state: 'CLOSED', changedOn: '2026-11-20' })
    expect(closed.text()).toContain('closed, 20 Nov 2026')
    await button(closed, 'Open again (b)').trigger('click')
    expect(closed.emitted('reopen')).toHaveLength(1)
    const done = await inHand({ open: false, state: 'DONE', changedOn: '2026-11-21' })
    expect(done.text()).toContain('done, 21 Nov 2026')
    expect(done.find('.outcomes').exists()).toBe(false)
  })

  it('is only looked at by who may not work the list', async () => {
    const wrapper = await inHand({}, { mayWork: false })
    expect(wrapper.find('textarea').exists()).toBe(false)
    expect(wrapper.find('.do').exists()).toBe(false)
    expect(wrapper.find('[data-outcome=reached]').attributes('disabled')).toBeDefined()
  })
})
