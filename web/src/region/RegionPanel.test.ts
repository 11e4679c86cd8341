import { button, clear, later, Refusal, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { placeOf, quarterWords, topOf, type Beside } from './beside'
import RegionPanel from './RegionPanel.vue'

const BESIDE: Beside = {
  asOf: '2026-11-20',
  sameQuestion: true,
  here: { part: 63, of: 100 },
  everywhere: { part: 710, of: 1000 },
  quarterFrom: { part: 80, of: 100 },
  quarterUpTo: { part: 58, of: 100 },
  practices: 400,
  untold: 12,
  broughtInAt: '2026-11-25T09:00:00Z',
  broughtInBy: 'Orla Finch',
}

const KIDNEY = { id: 'kidney', name: 'Kidney function', shouldHave: true }

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

function panel(answers: Parameters<typeof serving>[0], roles = ['COORDINATOR']) {
  const asked = serving(answers)
  return shown(RegionPanel, {}, { name: 'orla', roles }).then((wrapper) => ({ wrapper, asked }))
}

function words(wrapper: Awaited<ReturnType<typeof shown>>): string {
  return wrapper.text().replace(/\s+/g, ' ')
}

/** Chooses a file, as a person does. */
async function choose(wrapper: Awaited<ReturnType<typeof shown>>, text: string) {
  const picker = wrapper.find('input[type=file]')
  Object.defineProperty(picker.element, 'files', {
    configurable: true,
    value: [{ text: () => Promise.resolve(text) }],
  })
  Object.defineProperty(picker.element, 'value', { configurable: true, writable: true, value: '' })
  await picker.trigger('change')
  await flushPromises()
}

describe('a list beside the region', () => {
  it('says where it stands, and what a quarter has', async () => {
    const { wrapper } = await panel({ 'GET /api/region': [{ ...KIDNEY, beside: BESIDE }] })
    expect(words(wrapper)).toContain(
      'Here 63% (63 of 100), all practices 71% have it. A quarter of them is at 80% or above, a quarter at 58% or below. 388 practices tell a share; of 12 it is too small to be told, or nobody is meant.',
    )
    expect(words(wrapper)).not.toContain('something else')
  })

  it('says of another question that it is one', async () => {
    const other = { ...BESIDE, sameQuestion: false }
    const { wrapper } = await panel({ 'GET /api/region': [{ ...KIDNEY, beside: other }] })
    expect(words(wrapper)).toContain('asked something else than this list asks now')
  })

  it('does not say nobody of what is not told', async () => {
    const hidden = { ...BESIDE, here: undefined, everywhere: undefined, quarterFrom: undefined }
    const { wrapper } = await panel({ 'GET /api/region': [{ ...KIDNEY, beside: hidden }] })
    expect(words(wrapper)).toContain('Here not told, all practices not told')
    expect(wrapper.find('.here').element.tagName).toBe('STRONG')
    expect(wrapper.findAll('path.here, line.all, rect.band')).toEqual([])
  })

  it('is not empty while it is read, nor when that fails', async () => {
    const answer = later<object[]>()
    vi.stubGlobal('fetch', () => answer.promise.then((rows) => new Response(JSON.stringify(rows))))
    const wrapper = await shown(RegionPanel, {})
    expect(words(wrapper)).toContain('The lists are being read.')
    answer.resolve([])
    await flushPromises()
    expect(words(wrapper)).toContain('There is no list yet.')
    const failing = await panel({ 'GET /api/region': new Refusal(503, 'Come back later.') })
    expect(words(failing.wrapper)).toContain('Come back later.')
    expect(words(failing.wrapper)).not.toContain('no list yet')
  })

  it('is only looked at by a manager', async () => {
    const lists = [{ ...KIDNEY, beside: BESIDE }]
    const { wrapper } = await panel({ 'GET /api/region': lists }, ['MANAGER'])
    expect(words(wrapper)).toContain('all practices 71%')
    expect(wrapper.findAll('button, input')).toEqual([])
  })
})

describe('the file of the region', () => {
  it('is kept, after one that was refused', async () => {
    let good = false
    const { wrapper, asked } = await panel({
      'GET /api/region': () => [good ? { ...KIDNEY, beside: BESIDE } : KIDNEY],
      'POST /api/region/answers': () =>
        good
          ? { id: 'kidney', name: 'Kidney function', asOf: '2026-11-20', practices: 400 }
          : new Refusal(422, 'These are no levels of a region. Nothing was changed.'),
    })
    expect(words(wrapper)).toContain('The region has not answered for this list.')
    await choose(wrapper, '{}')
    expect(wrapper.find('[role=alert]').text()).toContain('Nothing was changed.')
    good = true
    await choose(wrapper, '{"practices": []}')
    expect(asked.filter((one) => one.method === 'POST').map((one) => one.body)).toEqual([
      {},
      { practices: [] },
    ])
    expect(wrapper.find('[role=alert]').exists()).toBe(false)
    expect(wrapper.find('[role=status]').text()).toContain('What 400 practices say of “Kidney')
    expect(words(wrapper)).toContain('all practices 71%')
  })

  it('is let go of only when that is meant', async () => {
    const { wrapper, asked } = await panel({
      'GET /api/region': [{ ...KIDNEY, beside: BESIDE }],
      'DELETE /api/region/kidney/answers/2026-11-20': {},
    })
    const removed = () => asked.filter((one) => one.method === 'DELETE').length
    vi.stubGlobal('confirm', () => false)
    await button(wrapper, 'Let go of the answer').trigger('click')
    expect(removed()).toBe(0)
    vi.stubGlobal('confirm', () => true)
    await button(wrapper, 'Let go of the answer').trigger('click')
    await flushPromises()
    expect(removed()).toBe(1)
  })
})

describe('the line', () => {
  it('ends where the shares can be told apart', () => {
    expect(topOf(BESIDE)).toBe(1)
    const few: Beside = { ...BESIDE, here: { part: 1, of: 100 }, everywhere: { part: 2, of: 100 } }
    expect(topOf({ ...few, quarterFrom: { part: 4, of: 100 } })).toBe(0.05)
    expect(placeOf({ part: 4, of: 100 }, 0.05, 200)).toBe(160)
    expect(placeOf({ part: 1, of: 2 }, 0.05, 200)).toBe(200)
  })

  it('tells of one practice as of one', () => {
    const one = { ...BESIDE, practices: 1, untold: 0, quarterFrom: undefined }
    expect(quarterWords(one)).toBe('1 practice tells a share.')
  })
})
