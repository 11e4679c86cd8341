import { clear, later, Refusal, serving, shown, type Asked } from '@/testing'
import { deskRow } from '@/testing/rows'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { emptyDocument } from './document'
import type { Draft } from './levels'
import { HAS, nearBehind, ON_LIST, type Behind } from './who'
import WhoPanel from './WhoPanel.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

const draft = (name: string): Draft => ({
  document: { ...emptyDocument(), name },
  asOf: undefined,
  settings: {},
})
const levels = (yes: number) => ({ list: { yes, unsure: 2 }, has: { yes: 3, unsure: 0 } })

function page(total: number, after: string | undefined, ...ids: string[]) {
  const people = ids.map((id) => ({ person: deskRow(id).person, why: 'No check.', shown: [] }))
  return { people, total, show: [], after }
}

function view(id: string) {
  return { person: deskRow(id).person, details: [], criteria: [], records: [], windows: [] }
}

/** What was asked of a page of people, and by which draft. */
function nameOf(asked: Asked): string {
  return (asked.body as { draft: Draft }).draft.document.name
}

async function panel(answers: Parameters<typeof serving>[0], props: object = {}, at = '/') {
  const asked = serving(answers)
  const wrapper = await shown(
    WhoPanel,
    {
      draft: draft('first'),
      behind: ON_LIST,
      levels: levels(60),
      stuck: false,
      asOf: '2026-11-26',
      ...props,
    },
    undefined,
    { at },
  )
  await flushPromises()
  const names = () => wrapper.findAll('[data-person]').map((one) => one.attributes('data-person'))
  return { wrapper, asked, names }
}

describe('who is behind a number', () => {
  it('comes page by page, as many as are wanted', async () => {
    const { wrapper, asked, names } = await panel({
      'POST /api/bench/who': ({ body }: Asked) =>
        (body as { after?: string }).after
          ? page(3, undefined, 'Vask')
          : page(3, 'b', 'Marl', 'Tove'),
    })
    expect(wrapper.find('h2').text()).toBe('On the list: 3')
    await wrapper.find('.more').trigger('click')
    await flushPromises()
    expect(names()).toEqual(['Marl', 'Tove', 'Vask'])
    expect((asked.at(-1)?.body as { after: string }).after).toBe('b')
    expect(wrapper.find('.more').exists()).toBe(false)
  })

  it('is never partly of the criteria of before', async () => {
    const { wrapper, asked, names } = await panel({
      'POST /api/bench/who': (one: Asked) =>
        nameOf(one) === 'first' ? page(3, 'b', 'Marl', 'Tove') : page(1, undefined, 'Vask'),
    })
    await wrapper.setProps({ draft: draft('second') })
    expect(wrapper.find('.more').exists(), 'while the levels are on their way').toBe(false)
    expect(wrapper.find('.why').text(), 'there are others still').toContain('2 or more')
    await wrapper.setProps({ levels: levels(1) })
    await flushPromises()
    expect(names()).toEqual(['Vask'])
    expect(asked.map(nameOf)).toEqual(['first', 'second'])
  })

  it('is not known while another number is looked up, and nobody only once that is known', async () => {
    const answer = later<Response>()
    const { wrapper, names } = await panel({ 'POST /api/bench/who': page(1, undefined, 'Marl') })
    vi.stubGlobal('fetch', () => answer.promise)
    await wrapper.setProps({ behind: HAS })
    expect(names()).toEqual([])
    expect(wrapper.find('h2').text()).toBe('Have it')
    expect(wrapper.text()).toContain('Looking …')
    answer.resolve(new Response(JSON.stringify(page(0, undefined))))
    await flushPromises()
    expect(wrapper.text()).toContain('Nobody.')
  })

  it('says what went wrong, which is not nobody', async () => {
    const { wrapper } = await panel({
      'POST /api/bench/who': new Refusal(500, 'The disk is full.'),
    })
    expect(wrapper.find('[role=alert]').text()).toBe('The disk is full.')
    expect(wrapper.text()).not.toContain('Nobody')
    expect(wrapper.text()).not.toContain('Looking')
  })

  it('is not looked for while a mistake is to be mended', async () => {
    const { wrapper, asked } = await panel({}, { levels: undefined, stuck: true })
    expect(asked).toEqual([])
    expect(wrapper.text()).toContain('once the mistake that is pointed out is mended')
  })

  it('near the line of a criterion is asked of that criterion', async () => {
    const behind: Behind = nearBehind('aged')
    const { wrapper, asked } = await panel(
      { 'POST /api/bench/near': { crossings: [], total: 0 } },
      { behind },
    )
    expect(asked[0]?.body).toMatchObject({ criterion: 'aged' })
    expect(wrapper.find('h2').text()).toBe('Near this line: 0')
  })
})

describe('somebody opened beside the sheet', () => {
  const ANSWERS = {
    'POST /api/bench/who': page(3, undefined, 'Marl', 'Tove', 'Vask'),
    'POST /api/bench/person': ({ body }: Asked) => view((body as { person: string }).person),
  }

  it('is gone on from by arrow keys, and left by Esc for their line', async () => {
    vi.stubGlobal('CSS', { escape: (id: string) => id })
    const { wrapper } = await panel(ANSWERS)
    await wrapper.find('[data-person=Marl]').trigger('click')
    await flushPromises()
    expect(wrapper.find('.steps').text()).toContain('1 of 3')
    await wrapper.find('.opened').trigger('keydown', { key: 'ArrowDown' })
    await flushPromises()
    expect(wrapper.find('.opened').text()).toContain('Tove, Ada')
    await wrapper.find('.opened').trigger('keydown', { key: 'ArrowUp' })
    await wrapper.find('.opened').trigger('keydown', { key: 'ArrowUp' })
    await flushPromises()
    expect(wrapper.find('.opened').text()).toContain('Marl, Ada')
    await wrapper.find('.opened').trigger('keydown', { key: 'Escape' })
    await flushPromises()
    expect(document.activeElement?.getAttribute('data-person')).toBe('Marl')
  })

  it('by the address stays open, and is said not to be among the others where they are not', async () => {
    const { wrapper } = await panel(ANSWERS, {}, '/?person=Ard')
    expect(wrapper.find('.opened').text()).toContain('Ard, Ada')
    expect(wrapper.find('.steps').text()).toContain('not among the 3 listed here')
  })

  it('is read anew by each change, and whoever was asked for last is shown', async () => {
    const { wrapper, asked } = await panel(ANSWERS)
    await wrapper.find('[data-person=Marl]').trigger('click')
    await flushPromises()
    await wrapper.setProps({ draft: draft('second'), levels: levels(2) })
    await flushPromises()
    const read = asked.filter((one) => one.path === '/api/bench/person')
    expect(read.map(nameOf)).toEqual(['first', 'second'])

    const answers = { Tove: later<Response>(), Vask: later<Response>() }
    vi.stubGlobal('fetch', (_: string, { body }: { body: string }) => {
      const { person } = JSON.parse(body) as { person: 'Tove' | 'Vask' }
      return answers[person].promise
    })
    await wrapper.find('[aria-label="Next person"]').trigger('click')
    await wrapper.find('[aria-label="Next person"]').trigger('click')
    answers.Vask.resolve(new Response(JSON.stringify(view('Vask'))))
    answers.Tove.resolve(new Response(JSON.stringify(view('Tove'))))
    await flushPromises()
    expect(wrapper.find('.opened').text()).toContain('Vask, Ada')
  })
})
