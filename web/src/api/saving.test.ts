import { later } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { ref } from 'vue'
import { describe, expect, it } from 'vitest'
import { Problem } from './client'
import { useSaving } from './saving'

describe('saving', () => {
  it('hands over what came of it while it is still on the page', async () => {
    const { save, saving } = useSaving('lithium')
    const answer = later<number>()
    const taken: number[] = []
    const done = save(
      () => answer.promise,
      (one) => taken.push(one),
    )
    expect(saving.value).toBe(true)
    answer.resolve(2)
    expect(await done).toBe(true)
    expect(taken).toEqual([2])
    expect(saving.value).toBe(false)
  })

  it('changes nothing of what is on the page by now, and tells where it failed', async () => {
    const id = ref('lithium')
    const elsewhere: string[] = []
    const { save, saving, problem } = useSaving(id, (words) => elsewhere.push(words))
    const [good, bad] = [later<number>(), later<number>()]
    const taken: number[] = []
    const first = save(
      () => good.promise,
      (one) => taken.push(one),
    )
    id.value = 'hearing'
    expect(saving.value).toBe(false)
    const second = save(() => bad.promise)
    id.value = 'shingles'
    good.resolve(1)
    bad.reject(new Error('Somebody changed it.'))
    expect(await first).toBe(false)
    expect(await second).toBe(false)
    await flushPromises()
    expect(taken).toEqual([])
    expect(problem.value).toBe('')
    expect(elsewhere).toEqual(['Somebody changed it.'])
  })

  it('is sent once, however often it is pressed', async () => {
    const { save } = useSaving('lithium')
    let sent = 0
    const answer = later<number>()
    const first = save(() => {
      sent += 1
      return answer.promise
    })
    expect(await save(() => Promise.resolve((sent += 1)))).toBe(false)
    answer.resolve(1)
    await first
    expect(sent).toBe(1)
  })

  it('tells a conflict from what is wrong at a spot, and takes both back at the next try', async () => {
    const { save, problem, conflict, say } = useSaving('lithium')
    await save(() => Promise.reject(new Problem(412, 'changed-meanwhile', 'Orla changed it.')))
    expect([problem.value, conflict.value]).toEqual(['Orla changed it.', true])
    const spots = [{ pointer: '/name', message: 'The name is too long.' }]
    await save(() => Promise.reject(new Problem(422, 'incomplete', 'Does not fit.', spots)))
    expect([problem.value, conflict.value]).toEqual(['Does not fit. The name is too long.', false])
    say('Give it a name.')
    expect(problem.value).toBe('Give it a name.')
    await save(() => Promise.resolve(1))
    expect(problem.value).toBe('')
  })
})
