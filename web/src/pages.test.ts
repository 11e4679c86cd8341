import { beforeEach, expect, test, vi } from 'vitest'
import { fetchAhead, loadAnew } from './pages'

beforeEach(() => sessionStorage.clear())

test('a page that cannot be fetched is loaded anew with all, but not again and again', () => {
  const go = vi.fn()
  expect(loadAnew('/lists/hearing', go, 1_000_000)).toBe(true)
  expect(go).toHaveBeenCalledWith('/lists/hearing')
  expect(loadAnew('/lists/hearing', go, 1_005_000)).toBe(false)
  expect(go).toHaveBeenCalledTimes(1)
  expect(loadAnew('/today', go, 1_040_000)).toBe(true)
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
