import { clear, later, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, ref, shallowRef } from 'vue'
import { emptyDocument } from './document'
import type { Draft } from './levels'
import { dayAt, placeOf, stepped, useRibbon, type ShownRibbon } from './ribbon'

const YEARS = { first: '2025-11-23', last: '2027-11-23' }

it('finds each day again where it lies', () => {
  for (const day of ['2025-11-23', '2026-02-28', '2026-11-23', '2027-03-28', '2027-11-23']) {
    expect(dayAt(placeOf(day, YEARS), YEARS)).toBe(day)
  }
  expect(placeOf('2020-01-01', YEARS)).toBe(0)
  expect(placeOf('2040-01-01', YEARS)).toBe(1)
  expect(dayAt(1.7, YEARS)).toBe('2027-11-23')
})

it('steps by days and months over their ends', () => {
  expect(stepped('2026-12-31', { days: 1 })).toBe('2027-01-01')
  expect(stepped('2028-02-28', { days: 1 })).toBe('2028-02-29')
  expect(stepped('2026-01-31', { months: 1 })).toBe('2026-02-28')
  expect(stepped('2026-01-31', { months: -2 })).toBe('2025-11-30')
})

describe('the ribbon of what is on the bench', () => {
  const draft = (name: string): Draft => ({
    document: { ...emptyDocument(), name },
    asOf: undefined,
    settings: {},
  })
  const answer = (today: string) => new Response(JSON.stringify({ today, months: [] }))

  beforeEach(() => vi.useFakeTimers())
  afterEach(() => {
    vi.useRealTimers()
    vi.unstubAllGlobals()
    clear()
  })

  async function onBench() {
    const source = shallowRef(draft('hearing'))
    const subject = ref('hearing')
    let shownRibbon: ShownRibbon | undefined
    await shown(
      defineComponent({
        setup() {
          shownRibbon = useRibbon(source, subject)
          return () => undefined
        },
      }),
      {},
    )
    return { source, subject, of: shownRibbon as unknown as ShownRibbon }
  }

  async function pause() {
    await vi.advanceTimersByTimeAsync(250)
    await flushPromises()
  }

  it('is behind from a change until that is counted, and stays where it cannot be', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(answer('2026-11-23')))
    const { source, of } = await onBench()
    expect([of.ribbon.value?.today, of.behind.value]).toEqual(['2026-11-23', false])

    const next = later<Response>()
    vi.stubGlobal('fetch', () => next.promise)
    source.value = draft('hearing, again')
    await flushPromises()
    expect([of.ribbon.value?.today, of.behind.value]).toEqual(['2026-11-23', true])
    await pause()
    expect([of.ribbon.value?.today, of.behind.value]).toEqual(['2026-11-23', true])
    next.reject(new TypeError('offline'))
    await pause()
    expect([of.ribbon.value?.today, of.behind.value]).toEqual(['2026-11-23', true])
    expect(of.problem.value).not.toBe('')

    vi.stubGlobal('fetch', () => Promise.resolve(answer('2026-11-24')))
    source.value = draft('hearing, once more')
    await pause()
    expect([of.ribbon.value?.today, of.behind.value]).toEqual(['2026-11-24', false])
    expect(of.problem.value).toBe('')
  })

  it('is never that of the set that was there before', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(answer('2026-11-23')))
    const { source, subject, of } = await onBench()
    const asked: string[] = []
    vi.stubGlobal('fetch', (_: string, { body }: { body: string }) => {
      asked.push((JSON.parse(body) as Draft).document.name)
      return Promise.resolve(answer('2026-11-24'))
    })
    subject.value = 'kidney'
    source.value = draft('kidney')
    await flushPromises()
    expect(of.ribbon.value).toBeUndefined()
    await pause()
    expect(of.ribbon.value?.today).toBe('2026-11-24')
    expect(asked).toEqual(['kidney'])
  })
})
