import { serving } from '@/testing'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { restWords, together, untilSettled } from './deliveries'

describe('several files at once', () => {
  const file = (name: string, text: string) => new File([text], name)

  it('are one where they are of one export', () => {
    const one = together([file('Patient.ndjson', '{"a":1}'), file('Visit.json', '{"b":2}')])
    expect(one?.name).toBe('Patient.ndjson')
    expect(one?.size).toBe('{"a":1}\n\n{"b":2}\n\n'.length)
  })

  it('are not where they are tables, or of several formats', () => {
    expect(together([file('a.csv', 'x'), file('b.csv', 'y')])).toBeUndefined()
    expect(together([file('a.hl7', 'x'), file('b.json', 'y')])).toBeUndefined()
    expect(together([file('a.csv', 'x')])?.name).toBe('a.csv')
    expect(together([])).toBeUndefined()
  })
})

describe('a file that is being read', () => {
  afterEach(() => {
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })

  it('is asked after until it is through, and no more once nobody watches', async () => {
    vi.useFakeTimers()
    const asked = serving({
      'GET /api/deliveries/d': () => ({ stage: asked.length < 3 ? 'READING' : 'TRIED' }),
    })
    const stages: string[] = []
    const tell = (view: { stage: string }) => stages.push(view.stage)
    const through = untilSettled('/api/deliveries/d', tell, () => true)
    await vi.runAllTimersAsync()
    await through
    expect(stages).toEqual(['READING', 'READING', 'TRIED'])

    asked.length = 0
    let watched = true
    const left = untilSettled('/api/deliveries/d', tell, () => watched)
    await vi.advanceTimersByTimeAsync(1)
    watched = false
    await vi.runAllTimersAsync()
    await left
    expect(asked).toHaveLength(1)
  })
})

describe('the time that is left', () => {
  it('is told once it can be known, in words', () => {
    expect(restWords(0, 100, 5000)).toBe('')
    expect(restWords(10, 100, 500)).toBe('')
    expect(restWords(50, 100, 4000)).toBe('about 4 seconds left')
    expect(restWords(1, 100, 60_000)).toBe('about 99 minutes left')
    expect(restWords(99, 100, 4000)).toBe('about 1 second left')
    expect(restWords(100, 100, 4000)).toBe('')
  })
})
