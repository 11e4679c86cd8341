import type { Address } from '@/api/address'
import { serving, shown, type Asked } from '@/testing'
import { useQuery } from '@tanstack/vue-query'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { send } from '@/api/client'
import { useTogether } from './together'

/** The stream as a browser would hear it. */
class Stream extends EventTarget {
  static last: Stream
  readyState = 1
  onopen: (() => void) | null = null
  onerror: (() => void) | null = null
  onmessage: (() => void) | null = null
  constructor() {
    super()
    Stream.last = this
  }
  close(): void {
    this.readyState = 2
  }
  tell(name: string, data: unknown, lastEventId = ''): void {
    this.dispatchEvent(new MessageEvent(name, { data: JSON.stringify(data), lastEventId }))
  }
}

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  vi.stubGlobal('EventSource', Stream)
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

/** A page that shows a desk, what was done about two people, the rack and Today. */
async function page(): Promise<{ asked: () => string[]; desk: { told: number } }> {
  const desk = { told: 5 }
  const all: Asked[] = serving({
    'GET /api/lists/kidney/desk': () => desk,
    'GET /api/lists/kidney/desk/people/ada': {},
    'GET /api/lists/kidney/desk/people/bo': {},
    'GET /api/lists': {},
    'GET /api/today': {},
  })
  const shows = (queryKey: unknown[], path: Address) =>
    useQuery({ queryKey, queryFn: () => send(path) })
  await shown(
    defineComponent(() => {
      useTogether()
      shows(['lists', 'kidney', 'desk', 'page', '', 0], '/api/lists/kidney/desk')
      shows(['lists', 'kidney', 'desk', 'log', 'ada'], '/api/lists/kidney/desk/people/ada')
      shows(['lists', 'kidney', 'desk', 'log', 'bo'], '/api/lists/kidney/desk/people/bo')
      shows(['lists'], '/api/lists')
      shows(['today'], '/api/today')
      return () => h('div')
    }),
    {},
  )
  await flushPromises()
  Stream.last.tell('hello', { told: 5 })
  await later()
  all.length = 0
  return {
    desk,
    asked: () => {
      const paths = all.map((one) => one.path).sort()
      all.length = 0
      return paths
    },
  }
}

async function later(): Promise<void> {
  await vi.advanceTimersByTimeAsync(300)
  await flushPromises()
}

const NOTED = { list: 'kidney', people: ['ada'], whole: false, mine: false, open: false }

describe('what colleagues do', () => {
  it('about somebody has the desk read again, and what was done about them alone', async () => {
    const { asked } = await page()
    Stream.last.tell('lists', [NOTED], '6')
    await later()
    expect(asked()).toEqual(['/api/lists/kidney/desk', '/api/lists/kidney/desk/people/ada'])
  })

  it('that the desk holds already has nothing read again', async () => {
    const { asked, desk } = await page()
    desk.told = 6
    Stream.last.tell('lists', [NOTED], '6')
    await later()
    asked()
    Stream.last.tell('lists', [{ ...NOTED, people: [], whole: true }], '6')
    await later()
    expect(asked()).not.toContain('/api/lists/kidney/desk')
  })

  it('at once is read once', async () => {
    const { asked } = await page()
    Stream.last.tell('lists', [NOTED], '6')
    Stream.last.tell('lists', [{ ...NOTED, people: ['bo'] }], '7')
    await later()
    expect(asked()).toEqual([
      '/api/lists/kidney/desk',
      '/api/lists/kidney/desk/people/ada',
      '/api/lists/kidney/desk/people/bo',
    ])
  })

  it('about people in my hand, or about who is to be contacted, is told by Today', async () => {
    const { asked } = await page()
    Stream.last.tell('lists', [{ ...NOTED, mine: true }], '6')
    await later()
    expect(asked()).toContain('/api/today')
    Stream.last.tell('lists', [{ ...NOTED, open: true }], '7')
    await later()
    expect(asked()).toContain('/api/today')
  })

  it('about somebody is told at the rack a little later, once', async () => {
    const { asked } = await page()
    Stream.last.tell('lists', [NOTED], '6')
    await later()
    Stream.last.tell('lists', [NOTED], '7')
    await later()
    expect(asked()).not.toContain('/api/lists')
    await vi.advanceTimersByTimeAsync(5000)
    await flushPromises()
    expect(asked()).toEqual(['/api/lists'])
  })

  it('about a list has the rack read again', async () => {
    const { asked } = await page()
    Stream.last.tell('lists', [{ ...NOTED, people: [], whole: true }], '6')
    await later()
    expect(asked()).toEqual([
      '/api/lists',
      '/api/lists/kidney/desk',
      '/api/lists/kidney/desk/people/ada',
      '/api/lists/kidney/desk/people/bo',
    ])
  })

  it('while the stream was broken is read when it is back, and nothing is where nothing was done', async () => {
    const { asked } = await page()
    Stream.last.tell('lists', [NOTED], '6')
    await later()
    asked()
    Stream.last.tell('hello', { told: 6 })
    await later()
    expect(asked()).toEqual([])
    Stream.last.tell('hello', { told: 9 })
    await later()
    expect(asked()).toEqual([
      '/api/lists',
      '/api/lists/kidney/desk',
      '/api/lists/kidney/desk/people/ada',
      '/api/lists/kidney/desk/people/bo',
      '/api/today',
    ])
  })

  it('to the records has everything read again, each time', async () => {
    const { asked } = await page()
    Stream.last.tell('records', { behind: true })
    await later()
    expect(asked()).toContain('/api/lists')
    Stream.last.tell('records', { behind: false })
    await later()
    expect(asked()).toContain('/api/lists')
  })
})
