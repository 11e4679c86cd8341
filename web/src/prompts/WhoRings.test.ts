import { clear, later, Refusal, serving, shown } from '@/testing'
import { deskRow } from '@/testing/rows'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import WhoRings from './WhoRings.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

const MARL = deskRow('Marl').person
const OUTCOMES = [
  { id: 'reached', name: 'Reached', effect: 'REACHED', place: 1, inUse: true },
  { id: 'booked', name: 'Booked', effect: 'BOOKED', place: 2, inUse: true },
]

function place(set: string, more: object = {}) {
  return {
    set,
    name: `The ${set}`,
    toCheck: false,
    due: '2026-05-01',
    since: '2026-05-02',
    why: `Nothing of ${set}.`,
    revision: 3,
    ...more,
  }
}

const RINGS = {
  person: MARL,
  outcomes: OUTCOMES,
  lists: [
    { place: place('kidney'), say: 'Your kidneys want a look.' },
    {
      place: place('hearing', { keptBack: 'Held back: Was reached on 25 Nov 2026.' }),
      say: 'Ears?',
    },
  ],
}

async function typedInto(answers: object, words: string) {
  const asked = serving({ 'GET /api/who': { total: 1, people: [MARL] }, ...answers })
  const wrapper = await shown(WhoRings, { visible: false })
  await wrapper.setProps({ visible: true })
  await wrapper.find('#who-rings').setValue(words)
  // Once the typing pauses.
  await vi.waitFor(() => {
    expect(asked.some(({ path }) => path.startsWith('/api/who?'))).toBe(true)
  })
  await flushPromises()
  return { wrapper, asked }
}

describe('Who is it', () => {
  it('finds somebody, says what is due and what to say, and keeps quiet where it may not', async () => {
    const { wrapper } = await typedInto({ 'GET /api/who/Marl': RINGS }, 'marl')
    expect(wrapper.text()).toContain('1 found')
    await wrapper.find('.person-row').trigger('click')
    await flushPromises()
    expect(wrapper.text()).toContain('“Your kidneys want a look.”')
    expect(wrapper.text()).toContain('Held back: Was reached on 25 Nov 2026.')
    expect(wrapper.text()).not.toContain('Ears?')
  })

  it('says that nobody is found only once it is known', async () => {
    const { wrapper } = await typedInto({ 'GET /api/who': { total: 0, people: [] } }, 'nob')
    expect(wrapper.text()).toContain('Nobody on a list of yours')
    vi.stubGlobal('fetch', () => new Promise(() => undefined))
    const waiting = await shown(WhoRings, { visible: true })
    await waiting.find('#who-rings').setValue('nob')
    await vi.waitFor(() => {
      expect(waiting.text()).toContain('Looking …')
    })
  })

  it('opens on Enter the first found by what is typed, once that is known', async () => {
    const tove = deskRow('Tove').person
    const { wrapper } = await typedInto({}, 't')
    expect(wrapper.text()).toContain('1 found')
    const found = later<Response>()
    vi.stubGlobal('fetch', (path: string) =>
      path.startsWith('/api/who?')
        ? found.promise
        : Promise.resolve(new Response(JSON.stringify({ ...RINGS, person: tove }))),
    )
    await wrapper.find('#who-rings').setValue('tov')
    await wrapper.find('#who-rings').trigger('keydown', { key: 'Enter' })
    await flushPromises()
    expect(wrapper.text()).toContain('Looking …')
    found.resolve(new Response(JSON.stringify({ total: 1, people: [tove] })))
    await vi.waitFor(() => {
      expect(wrapper.find('[aria-label="What is due"] h2').text()).toContain('Tove')
    })
  })

  it('does not open anybody where Enter is pressed and then typed on', async () => {
    const { wrapper } = await typedInto({ 'GET /api/who/Marl': RINGS }, 'm')
    await wrapper.find('#who-rings').setValue('ma')
    await wrapper.find('#who-rings').trigger('keydown', { key: 'Enter' })
    await wrapper.find('#who-rings').setValue('mar')
    await vi.waitFor(() => {
      expect(wrapper.text()).toContain('1 found')
    })
    expect(wrapper.find('[aria-label="What is due"]').exists()).toBe(false)
  })

  it('logs what came of it once, at the revision that was seen', async () => {
    const { wrapper, asked } = await typedInto(
      {
        'GET /api/who/Marl': RINGS,
        'POST /api/lists/kidney/desk/work': { done: ['Marl'], refused: [] },
      },
      'marl',
    )
    await wrapper.find('.person-row').trigger('click')
    await flushPromises()
    await wrapper.find('input[aria-label="Note"]').setValue('comes on Monday')
    const booked = wrapper.findAll('.outcome')[1]
    await booked?.trigger('click')
    await booked?.trigger('click')
    await flushPromises()
    const work = asked.filter((one) => one.method === 'POST')
    expect(work).toHaveLength(1)
    expect(work[0]?.body).toMatchObject({
      kind: 'ATTEMPT',
      outcome: 'booked',
      words: 'comes on Monday',
      everywhere: true,
      people: [{ person: 'Marl', revision: 3 }],
    })
    expect(wrapper.text()).toContain('Logged on The kidney: Booked.')
  })

  it('keeps the note where it could not be logged, and says why', async () => {
    const { wrapper } = await typedInto(
      {
        'GET /api/who/Marl': RINGS,
        'POST /api/lists/kidney/desk/work': new Refusal(403, 'The list is not shared so.'),
      },
      'marl',
    )
    await wrapper.find('.person-row').trigger('click')
    await flushPromises()
    await wrapper.find('input[aria-label="Note"]').setValue('rang')
    await wrapper.findAll('.outcome')[0]?.trigger('click')
    await flushPromises()
    expect(wrapper.text()).toContain('The list is not shared so.')
    const note = wrapper.find('input[aria-label="Note"]').element as HTMLInputElement
    expect(note.value).toBe('rang')
  })
})
