import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { mayBeGivenUp } from './givenUp'

const sent: string[] = []

beforeEach(() => {
  sent.length = 0
  vi.useFakeTimers({ toFake: ['performance'] })
  vi.stubGlobal('fetch', (path: string) => {
    sent.push(path)
    return Promise.resolve(new Response(null, { status: 204 }))
  })
})

afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

function asked() {
  const headers = new Headers()
  const controller = new AbortController()
  const answered = mayBeGivenUp(headers, controller.signal)
  return { name: headers.get('Question') ?? '', controller, answered }
}

it('gives up what takes long when it is asked no more, by the name that it was sent with', () => {
  const slow = asked()
  vi.advanceTimersByTime(1000)
  slow.controller.abort()
  slow.answered()
  expect(slow.name).not.toBe('')
  expect(sent).toEqual([`/api/given-up/${slow.name}`])
})

it('says nothing of what was answered, or was asked a moment ago', () => {
  const done = asked()
  vi.advanceTimersByTime(1000)
  done.answered()
  done.controller.abort()
  const quick = asked()
  quick.controller.abort()
  quick.answered()
  expect(sent).toEqual([])
})

it('gives up all that is open when the page is left', () => {
  const one = asked()
  const other = asked()
  vi.advanceTimersByTime(1000)
  other.answered()
  dispatchEvent(new Event('pagehide'))
  expect(sent).toEqual([`/api/given-up/${one.name}`])
  one.answered()
})
