import { later } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { effectScope } from 'vue'
import { describe, expect, it } from 'vitest'
import { useNewest } from './newest'

describe('the newest question', () => {
  it('is the only one whose answer is taken, in whatever order they come', async () => {
    const { ask, asking } = useNewest()
    const taken: string[] = []
    const [first, second] = [later<string>(), later<string>()]
    void ask(
      () => first.promise,
      (answer) => taken.push(answer),
    )
    void ask(
      () => second.promise,
      (answer) => taken.push(answer),
    )
    second.resolve('second')
    await flushPromises()
    first.resolve('first')
    await flushPromises()
    expect(taken).toEqual(['second'])
    expect(asking.value).toBe(false)
  })

  it('is not disturbed by a late failure of an older one', async () => {
    const { ask, problem } = useNewest()
    const [first, second] = [later<string>(), later<string>()]
    void ask(
      () => first.promise,
      () => undefined,
    )
    void ask(
      () => second.promise,
      () => undefined,
    )
    second.resolve('second')
    await flushPromises()
    first.reject(new Error('The older one failed.'))
    await flushPromises()
    expect(problem.value).toBe('')
  })

  it('tells why it failed until the next one is answered', async () => {
    const { ask, problem } = useNewest()
    await ask(
      () => Promise.reject(new Error('Not now.')),
      () => undefined,
    )
    expect(problem.value).toBe('Not now.')
    await ask(
      () => Promise.resolve(1),
      () => undefined,
    )
    expect(problem.value).toBe('')
  })

  it('is given up when it is forgotten, or its page is left', async () => {
    const scope = effectScope()
    const taken: string[] = []
    const signals: AbortSignal[] = []
    const answer = later<string>()
    scope.run(() => {
      const { ask } = useNewest()
      void ask(
        (signal) => {
          signals.push(signal)
          return answer.promise
        },
        (one) => taken.push(one),
      )
    })
    scope.stop()
    answer.resolve('late')
    await flushPromises()
    expect(taken).toEqual([])
    expect(signals[0]?.aborted).toBe(true)
  })
})
