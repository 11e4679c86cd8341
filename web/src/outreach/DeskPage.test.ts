import { type Asked, button, clear, serving, shown } from '@/testing'
import { deskServer, type Placed } from '@/testing/desk'
import { deskRow } from '@/testing/rows'
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import DeskPage from './DeskPage.vue'

type Work = { kind: string; people: { person: string }[]; outcome: string; words: string }

const THEIRS = { account: 'ines', name: 'Ines Wray', mine: false, since: '' }
const PLACED: Placed[] = [
  { row: deskRow('Ardle', { due: 'never', inHand: THEIRS }), queues: ['OPEN'] },
  { row: deskRow('Marl', { due: '2026-01-01' }), queues: ['OPEN', 'NOBODYS'] },
  { row: deskRow('Quill', { heldBack: 'Asked not to be contacted.' }), queues: ['HELD'] },
  {
    row: deskRow('Tove', { person: { ...deskRow('Tove').person, site: 'Harbour Row' } }),
    queues: ['OPEN', 'NOBODYS'],
  },
  { row: deskRow('Vask', { nextOn: '2026-12-24' }), queues: ['WAITING'] },
  { row: deskRow('Wend', { state: 'DONE', open: false }), queues: ['DONE'] },
]
const DESK = {
  name: 'Kidney',
  purpose: '',
  readOn: '2026-11-25',
  right: 'WORK',
  outcomes: [
    { id: 'reached', name: 'Reached', effect: 'REACHED', place: 1, inUse: true },
    { id: 'old', name: 'Sent pigeon', effect: 'SENT', place: 2, inUse: false },
    { id: 'no-answer', name: 'No answer', effect: 'NOT_REACHED', place: 3, inUse: true },
  ],
  manner: {
    plan: { steps: [{ step: 'CALL', afterDays: 0 }], afterReached: 14, afterBooked: 7 },
    hold: { appointmentDays: 60, reachedDays: 14, doNotContact: true, noWay: true },
    parts: [] as object[],
  },
  mannerRevision: 0,
  dials: [],
  show: [],
  all: 0,
  told: 0,
}

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  Object.defineProperty(HTMLElement.prototype, 'clientHeight', { configurable: true, value: 600 })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
  clear()
})

async function desk(is: Partial<typeof DESK> = {}, placed: readonly Placed[] = PLACED) {
  const server = deskServer(placed, { ...DESK, ...is })
  const people = Object.fromEntries(
    placed.flatMap(({ row }) => [
      [
        `GET /api/lists/kidney/people/${row.person.id}`,
        { person: row.person, details: [], criteria: [], records: [], windows: [] },
      ],
      [`GET /api/lists/kidney/desk/people/${row.person.id}`, { lists: [], acts: [] }],
    ]),
  )
  const asked = serving({
    'GET /api/lists/kidney/desk': server.view,
    'GET /api/lists/kidney/desk/everybody': server.everybody,
    'GET /api/lists/kidney/desk/next': server.next,
    'GET /api/lists/kidney/desk/views': { views: [], revision: 0 },
    'GET /api/colleagues': { colleagues: [], groups: [] },
    'POST /api/lists/kidney/desk/work': (one: Asked) => ({
      done: (one.body as Work).people.map((person) => person.person),
      refused: [],
    }),
    ...people,
  })
  const wrapper = await shown(DeskPage, { id: 'kidney' }, { name: 'tam', roles: ['CALLER'] })
  await flushPromises()
  const works = () => asked.filter((one) => one.method === 'POST').map((one) => one.body as Work)
  return { wrapper, works, asked }
}

async function press(key: string, target: EventTarget = document.body) {
  target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
  await flushPromises()
}

/** Until what was typed is looked for. */
async function paused() {
  await vi.advanceTimersByTimeAsync(200)
  await flushPromises()
}

function inHand(wrapper: VueWrapper): string {
  return wrapper.find('.in-hand h2').text()
}

function people(wrapper: VueWrapper): string[] {
  return wrapper.findAll('[data-row]').map((one) => one.attributes('data-row') ?? '')
}

describe('the desk', () => {
  it('opens on those who are to be tried today, most urgent first', async () => {
    const { wrapper } = await desk()
    expect(people(wrapper)).toEqual(['Ardle', 'Marl', 'Tove'])
    const counts = Object.fromEntries(
      wrapper
        .findAll('[data-queue]')
        .map((one) => [one.attributes('data-queue'), one.find('strong').text()]),
    )
    expect(counts).toMatchObject({ open: '3', nobodys: '2', held: '1', waiting: '1', done: '1' })
  })

  it('takes the next who is free, and passes over whom a colleague has', async () => {
    const { wrapper, works } = await desk()
    expect(inHand(wrapper)).toBe('Ardle, Ada')
    await press('+')
    expect(works()).toMatchObject([{ kind: 'TAKE', people: [{ person: 'Marl' }] }])
    expect(inHand(wrapper)).toBe('Marl, Ada')
    expect(wrapper.find('.told').text()).toContain('Taken: Marl, Ada')
  })

  it('logs an outcome by its digit, with the note that was written', async () => {
    const { wrapper, works } = await desk()
    await press('ArrowDown')
    await wrapper.find('textarea').setValue(' rang twice ')
    await press('2')
    expect(works()).toMatchObject([
      { kind: 'ATTEMPT', people: [{ person: 'Marl' }], outcome: 'no-answer', words: 'rang twice' },
    ])
    await press('9')
    expect(works()).toHaveLength(1)
  })

  it('does nothing by letters that are typed', async () => {
    const { wrapper, works } = await desk()
    const field = wrapper.find('#find-on-desk')
    await press('+', field.element)
    await press('1', wrapper.find('textarea').element)
    expect(works()).toEqual([])
    await field.setValue('tove')
    await paused()
    expect(people(wrapper)).toEqual(['Tove'])
    await field.setValue('mar')
    await field.trigger('keydown', { key: 'Enter' })
    await paused()
    expect(inHand(wrapper)).toBe('Marl, Ada')
    await field.setValue('nobody of this name')
    await paused()
    expect(wrapper.text()).toContain('Nobody here matches “nobody of this name”.')
  })

  it('does things about all that are marked', async () => {
    const { wrapper, works } = await desk()
    await press('ArrowDown')
    await press('*')
    await press('ArrowDown')
    await press('*')
    expect(wrapper.find('.bulk').text()).toContain('2 marked')
    await button(wrapper, 'Take').trigger('click')
    await flushPromises()
    expect(works()).toMatchObject([
      { kind: 'TAKE', people: [{ person: 'Marl' }, { person: 'Tove' }] },
    ])
    expect(wrapper.find('.bulk').exists()).toBe(false)
  })

  it('excuses with a reason, and closes with one', async () => {
    const { wrapper, works } = await desk()
    await press('ArrowDown')
    await press('e')
    await wrapper.find('#reason').setValue('abroad')
    await wrapper.find('[role=dialog] form').trigger('submit')
    await flushPromises()
    await press('d')
    await wrapper.find('[role=dialog] form').trigger('submit')
    await flushPromises()
    expect(works()).toMatchObject([
      { kind: 'EXCUSE', words: 'abroad' },
      { kind: 'CLOSE', words: 'No response' },
    ])
  })

  it('opens on the part that is given to whoever sits down', async () => {
    const parts = [
      { name: 'Harbour', sites: ['Harbour Row'], providers: [], colleagues: ['tam'] },
      { name: 'Mill', sites: ['mill lane'], providers: [], colleagues: ['ines'] },
    ]
    const { wrapper } = await desk({ manner: { ...DESK.manner, parts } })
    expect(people(wrapper)).toEqual(['Tove'])
    await wrapper.find('[aria-label="Part of the list"]').setValue('Mill')
    await flushPromises()
    expect(people(wrapper)).toEqual(['Ardle', 'Marl'])
  })

  it('does things about all of a pile, also those who are not in sight', async () => {
    const many = Array.from({ length: 250 }, (_, i): Placed => {
      return { row: deskRow(`p${String(i).padStart(3, '0')}`), queues: ['OPEN'] }
    })
    const { wrapper, works, asked } = await desk({}, many)
    expect(asked.filter((one) => one.path.includes('from=50'))).toEqual([])
    await wrapper.find('[aria-label="Mark all"]').trigger('change')
    await flushPromises()
    expect(wrapper.find('.bulk').text()).toContain('250 marked')
    await button(wrapper, 'Take').trigger('click')
    await flushPromises()
    expect(works()[0]?.people).toHaveLength(250)
  })

  it('prints everybody of a pile', async () => {
    const many = Array.from({ length: 120 }, (_, i): Placed => {
      return { row: deskRow(`p${String(i)}`), queues: ['OPEN'] }
    })
    const { wrapper } = await desk({}, many)
    const printed: number[] = []
    vi.stubGlobal('print', () => printed.push(people(wrapper).length))
    window.dispatchEvent(new KeyboardEvent('keydown', { key: 'p', ctrlKey: true }))
    await flushPromises()
    await flushPromises()
    expect(printed).toEqual([120])
  })

  it('keeps whoever is open in hand when they leave the pile', async () => {
    const gone = PLACED.map((one) => ({ ...one, queues: [...one.queues] }))
    const { wrapper } = await desk({}, gone)
    await press('ArrowDown')
    await wrapper.find('textarea').setValue('half a sentence')
    gone.filter(({ row }) => row.person.id === 'Marl').forEach((one) => (one.queues = ['WAITING']))
    await press('t')
    expect(people(wrapper)).toEqual(['Ardle', 'Tove'])
    expect(inHand(wrapper)).toBe('Marl, Ada')
    expect(wrapper.find('textarea').element.value).toBe('half a sentence')
  })

  it('is only looked at by who may not work it', async () => {
    const { wrapper, works } = await desk({ right: 'VIEW' })
    for (const key of ['+', 't', '1', 'e', 'd', 'g', '-', '0']) {
      await press(key)
    }
    expect(works()).toEqual([])
    expect(wrapper.find('[role=dialog]').exists()).toBe(false)
    await press('ArrowDown')
    expect(inHand(wrapper)).toBe('Marl, Ada')
    expect(wrapper.text()).not.toContain('How it is worked')
  })
})
