import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { afterFailure, fetchAhead, missing } from './pages'

beforeEach(() => {
  sessionStorage.clear()
  missing.value = false
})
afterEach(() => vi.unstubAllGlobals())

function answering(ok: boolean) {
  vi.stubGlobal(
    'fetch',
    vi.fn(() => (ok ? Promise.resolve({ ok }) : Promise.reject(new Error('gone')))),
  )
}

test('a page that cannot be fetched is loaded anew with all, but not again and again', async () => {
  const go = vi.fn()
  answering(true)
  await afterFailure('/lists/hearing', go, 1_000_000)
  expect(go).toHaveBeenCalledWith('/lists/hearing')
  expect(missing.value).toBe(false)
  await afterFailure('/lists/hearing', go, 1_005_000)
  expect(go).toHaveBeenCalledTimes(1)
  expect(missing.value).toBe(true)
  await afterFailure('/today', go, 1_040_000)
  expect(go).toHaveBeenCalledTimes(2)
})

test('where the server is gone, what is on the screen stays, and it is said', async () => {
  const go = vi.fn()
  answering(false)
  await afterFailure('/practice', go)
  expect(go).not.toHaveBeenCalled()
  expect(missing.value).toBe(true)
})

test('one that fails keeps no other from being fetched ahead', async () => {
  const fetched: string[] = []
  await fetchAhead([
    () => Promise.resolve(fetched.push('today')),
    () => Promise.reject(new Error('gone')),
    () => Promise.resolve(fetched.push('lists')),
  ])
  expect(fetched).toEqual(['today', 'lists'])
})
