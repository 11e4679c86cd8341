import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { effectScope, shallowRef } from 'vue'
import { emptyDocument } from './document'
import { useLevels, type Draft } from './levels'

const draft = (): Draft => ({ document: emptyDocument(), asOf: undefined, settings: {} })

function answer(people: number) {
  return new Response(
    JSON.stringify({ asOf: '2026-11-23', findings: [], levels: { people, criteria: [] } }),
  )
}

describe('levels', () => {
  afterEach(() => {
    vi.unstubAllGlobals()
  })

  it('are those of the newest draft, even when an older answer comes later', async () => {
    const waiting: ((response: Response) => void)[] = []
    vi.stubGlobal('fetch', () => new Promise<Response>((resolve) => waiting.push(resolve)))
    const source = shallowRef(draft())
    const scope = effectScope()
    const levels = scope.run(() => useLevels(source))
    source.value = draft()
    await flushPromises()
    waiting[1]?.(answer(2))
    await flushPromises()
    waiting[0]?.(answer(1))
    await flushPromises()
    expect(levels?.levels.value?.people).toBe(2)
    scope.stop()
  })

  it('stay as they were, beside the findings, when the draft cannot be evaluated', async () => {
    const answers = [
      answer(7),
      new Response(
        JSON.stringify({
          asOf: '2026-11-23',
          findings: [{ document: '', pointer: '/include/0', message: 'wrong' }],
        }),
      ),
    ]
    vi.stubGlobal('fetch', () => Promise.resolve(answers.shift()))
    const source = shallowRef(draft())
    const scope = effectScope()
    const levels = scope.run(() => useLevels(source))
    await flushPromises()
    source.value = draft()
    await flushPromises()
    expect(levels?.levels.value?.people).toBe(7)
    expect(levels?.findings.value).toHaveLength(1)
    scope.stop()
  })

  it('say what to do when the server cannot be reached', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('offline')))
    const scope = effectScope()
    const levels = scope.run(() => useLevels(shallowRef(draft())))
    await flushPromises()
    expect(levels?.problem.value).toContain('cannot be reached')
    scope.stop()
  })
})
