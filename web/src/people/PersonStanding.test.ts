import { clear, serving, shown } from '@/testing'
import { deskRow } from '@/testing/rows'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import PersonStanding from './PersonStanding.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

const VIEW = { person: deskRow('Marl').person, details: [], criteria: [], records: [], windows: [] }
const STANDINGS = [
  { set: 'hearing', name: 'Hearing', list: 'NO', due: '2027-01-05', why: 'Checked in January.' },
  { set: 'kidney', name: 'Kidney', list: 'YES', due: 'never', why: 'No result.' },
  { set: 'private', name: 'Out of population', due: '', why: 'Recorded as deceased.' },
]
const ACTS = [
  {
    batch: 'b1',
    list: 'Kidney',
    at: '2026-11-20T10:15:00Z',
    by: 'Tam Birchall',
    mine: false,
    kind: 'ATTEMPT',
    outcome: 'No answer',
    words: 'rang twice',
    undone: false,
  },
  {
    batch: 'b2',
    list: '',
    at: '2026-11-19T10:15:00Z',
    by: '',
    mine: false,
    kind: 'JOINED',
    outcome: '',
    words: '',
    undone: true,
  },
]

async function standing(log: object) {
  serving({
    'GET /api/people/Marl/standing': STANDINGS,
    'GET /api/people/Marl/log': log,
    'GET /api/lists/kidney/people/Marl': VIEW,
    'GET /api/lists/hearing/people/Marl': VIEW,
  })
  return shown(PersonStanding, { person: 'Marl', today: '2026-11-26' })
}

const ON_KIDNEY = {
  set: 'kidney',
  name: 'Kidney',
  standing: 'ON',
  state: 'IN_PROGRESS',
  due: '',
  why: '',
  open: true,
}

describe('where somebody stands', () => {
  it('is told by each set, with why and when it is due', async () => {
    const wrapper = await standing({ lists: [ON_KIDNEY], acts: ACTS })
    const lines = wrapper.findAll('.set').map((one) => one.text().replace(/\s+/g, ' '))
    expect(lines[0]).toContain('Hearing')
    expect(lines[0]).toContain('Checked in January.')
    expect(lines[0]).toContain('due 5 Jan 2027')
    expect(lines[1]).toContain('never met')
    expect(wrapper.find('[aria-pressed=true]').text()).toContain('Kidney')
  })

  it('leads to the desk of a list that they are on, and of no other', async () => {
    const wrapper = await standing({ lists: [ON_KIDNEY], acts: ACTS })
    expect(wrapper.find('.desk a').attributes('href')).toBe('/lists/kidney?person=Marl')
    await wrapper.findAll('.set')[0]?.trigger('click')
    await flushPromises()
    expect(wrapper.find('.desk').exists()).toBe(false)
  })

  it('goes to the address of their own number where another one leads to them', async () => {
    serving({
      'GET /api/people/H1/standing': STANDINGS,
      'GET /api/people/H1/log': { lists: [], acts: [] },
      'GET /api/lists/kidney/people/H1': VIEW,
    })
    const wrapper = await shown(PersonStanding, { person: 'H1', today: '2026-11-26' })
    await flushPromises()
    expect(wrapper.vm.$router.currentRoute.value.path).toBe(`/people/${VIEW.person.id}`)
  })

  it('comes with what colleagues did, and what was taken back', async () => {
    const wrapper = await standing({ lists: [ON_KIDNEY], acts: ACTS })
    const log = wrapper.findAll('[aria-label=Log] li').map((one) => one.text())
    expect(log[0]).toContain('No answer: rang twice')
    expect(log[0]).toContain('· Tam Birchall · Kidney')
    expect(log[1]).toContain('Joined')
    expect(log[1]).toContain('· undone')
    const none = await standing({ lists: [], acts: [] })
    expect(none.find('[aria-label=Log]').exists()).toBe(false)
  })

  it('says that it is being read before it is known, and shows the record where no set is saved', async () => {
    serving({
      'GET /api/people/Marl/standing': [],
      'GET /api/people/Marl/log': { lists: [], acts: [] },
      'GET /api/people/Marl': {
        ...VIEW,
        list: undefined,
        criteria: [],
        details: [{ field: 'language', value: 'pt' }],
      },
    })
    const wrapper = await shown(PersonStanding, { person: 'Marl', today: '2026-11-26' })
    expect(wrapper.text()).toContain('No criteria set is saved yet')
    expect(wrapper.text()).toContain('language')
    expect(wrapper.text()).not.toContain('Not in the population')
  })
})
