import { clear, serving, shown } from '@/testing'
import { deskRow } from '@/testing/rows'
import { useVeil } from '@/veil'
import { nextTick } from 'vue'
import { afterEach, describe, expect, it, vi } from 'vitest'
import TodayPage from './TodayPage.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
  sessionStorage.clear()
})

const NOTHING = { followUps: [], joined: [], handedOver: [] }
const DAY = {
  followUps: [
    {
      person: deskRow('Marl').person,
      set: 'kidney',
      list: 'Kidney',
      step: 'CALL',
      on: '2026-11-20',
    },
  ],
  joined: [{ set: 'hearing', list: 'Hearing', people: 1 }],
  handedOver: [
    {
      person: deskRow('Vask').person,
      set: 'kidney',
      list: 'Kidney',
      words: 'from Ines Wray on 25 Nov 2026',
    },
  ],
}
const COMING = [
  {
    person: deskRow('Tove').person,
    on: '2026-11-26',
    provider: 'Nurse Fern',
    site: 'Mill Lane',
    mention: [
      {
        set: 'kidney',
        list: 'Kidney',
        why: 'No result since May.',
        prompt: true,
        say: 'Your kidneys want a look.',
      },
      { set: 'hearing', list: 'Hearing', why: 'Never checked.', prompt: false, say: '' },
    ],
  },
  {
    person: deskRow('Wend').person,
    on: '2026-12-01',
    provider: '',
    site: '',
    mention: [
      {
        set: 'kidney',
        list: 'Kidney',
        why: 'No result.',
        prompt: false,
        say: '',
        not: 'Excused. until 3 Dec 2026: abroad (Ines Wray)',
      },
    ],
  },
]

async function today(day: object, coming: object[] = []) {
  serving({
    'GET /api/today': day,
    'GET /api/coming-in': coming,
    'GET /api/records': {
      people: 6014,
      records: 163570,
      waiting: 0,
      builtAt: '2026-11-26T08:00:00Z',
      kinds: [],
      imports: [],
    },
    'GET /api/lists': [],
    'GET /api/session/calendar': { there: false, address: '' },
    'GET /api/colleagues': { colleagues: [], groups: [] },
  })
  return shown(TodayPage, {})
}

function words(wrapper: Awaited<ReturnType<typeof today>>, section: string): string {
  return wrapper.find(`[aria-label="${section}"]`).text().replace(/\s+/g, ' ')
}

describe('Today', () => {
  it('says what of mine is due, who joined, and who was handed over to me', async () => {
    const wrapper = await today(DAY)
    expect(wrapper.find('h1').text()).toBe('26 Nov 2026')
    expect(wrapper.text()).toContain('6,014 people, 163,570 records')
    const mine = words(wrapper, 'My follow-ups')
    expect(mine).toMatch(/My follow-ups 1 ?Marl, Ada ?call ?Kidney, 20 Nov 2026/)
    expect(mine).toMatch(/Vask, Ada ?from Ines Wray on 25 Nov 2026/)
    expect(mine).toMatch(/Hearing ?1 person/)
    const link = wrapper.find('[aria-label="My follow-ups"] li a')
    expect(link.attributes('href')).toBe('/lists/kidney?person=Marl')
  })

  it('says who comes in this week, with everything to mention at once', async () => {
    const wrapper = await today(DAY, COMING)
    const coming = words(wrapper, 'Coming in')
    expect(coming).toContain('Coming in this week 2')
    expect(coming).toMatch(/today ?Tove, Ada/)
    expect(coming).toContain('Kidney: No result since May.')
    expect(coming).toContain('Hearing: Never checked.')
    expect(coming).toMatch(/1 Dec ?Wend, Ada/)
    expect(coming).toContain('“Your kidneys want a look.”')
    expect(coming).toContain('Excused. until 3 Dec 2026: abroad')
  })

  it('says what to do where there is nothing', async () => {
    const wrapper = await today(NOTHING)
    expect(wrapper.text()).toContain('Nothing of yours is due.')
    expect(wrapper.text()).toContain('Nobody joined a list of yours.')
    expect(wrapper.text()).toContain('Nobody on a list has an appointment on record')
    expect(wrapper.text()).not.toContain('Handed over to me')
  })

  it('says whose people it tells of where others may not be seen', async () => {
    const none = await today({ ...NOTHING, peopleOf: 'Dr Marl' })
    expect(none.text()).toContain('None of Dr Marl’s people joined a list of yours.')
    expect(none.text()).toContain('None of Dr Marl’s people on a list has')
    const some = await today({ ...DAY, peopleOf: 'Dr Marl' })
    expect(some.text()).toContain('Counted are Dr Marl’s people.')
  })

  it('names nobody while the veil is down', async () => {
    const wrapper = await today(DAY, COMING)
    useVeil().turn()
    await nextTick()
    expect(wrapper.html()).not.toMatch(/Marl, Ada|Vask, Ada|Tove, Ada/)
    expect(wrapper.text()).toContain('No result since May.')
    useVeil().turn()
  })
})
