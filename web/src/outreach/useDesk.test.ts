import { Refusal, serving, shown, type Asked } from '@/testing'
import { deskRow, markOf } from '@/testing/rows'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import { send } from '@/api/client'
import { useQuery } from '@tanstack/vue-query'
import { useDesk } from './useDesk'

type Work = { kind: string; batch: string; people: { person: string; revision: number }[] }

afterEach(() => {
  vi.unstubAllGlobals()
})

/** The desk of a list whose server answers work so. */
async function desk(answer: (asked: Asked) => unknown) {
  const asked = serving({
    'GET /api/lists/kidney/desk': { rows: [] },
    'POST /api/lists/kidney/desk/work': answer,
  })
  let used: ReturnType<typeof useDesk> | undefined
  await shown(
    defineComponent(() => {
      used = useDesk(ref('kidney'))
      useQuery({
        queryKey: ['lists', 'kidney', 'desk', 'page'],
        queryFn: () => send('/api/lists/kidney/desk'),
      })
      return () => h('div')
    }),
    {},
  )
  if (!used) {
    throw new Error('The desk was not set up')
  }
  const works = () => asked.filter((one) => one.method === 'POST').map((one) => one.body as Work)
  return { desk: used, asked, works }
}

const about = (...row: Parameters<typeof deskRow>) => markOf(deskRow(...row))

const all = (asked: Asked) => ({
  done: (asked.body as Work).people.map((one) => one.person),
  refused: [],
})

describe('work at the desk', () => {
  it('is sent with the revision that was seen, and the desk is read again', async () => {
    const { desk: kidney, works, asked } = await desk(all)
    const done = await kidney.work('ATTEMPT', [about('Marl', { revision: 7 })], 'Reached', {
      outcome: 'reached',
      everywhere: true,
    })
    expect(done).toBe(true)
    expect(works()).toMatchObject([
      {
        kind: 'ATTEMPT',
        people: [{ person: 'Marl', revision: 7 }],
        outcome: 'reached',
        everywhere: true,
        step: 'NONE',
      },
    ])
    expect(kidney.told.value).toBe('Reached')
    expect(asked.filter((one) => one.path === '/api/lists/kidney/desk')).toHaveLength(2)
  })

  it('about very many goes in pieces that are one thing to undo', async () => {
    const { desk: kidney, works } = await desk(all)
    const rows = Array.from({ length: 4500 }, (_, i) => about(`p${String(i)}`))
    await kidney.work('ATTEMPT', rows, 'Sent letter', { outcome: 'sent-letter' })
    expect(works().map((one) => one.people.length)).toEqual([2000, 2000, 500])
    expect(new Set(works().map((one) => one.batch)).size).toBe(1)
  })

  it('that is refused is not told as done', async () => {
    const { desk: kidney } = await desk(() => ({
      done: [],
      refused: [{ person: 'Marl', why: 'Ines Wray has this person in hand.' }],
    }))
    expect(await kidney.work('TAKE', [about('Marl')], 'Taken')).toBe(false)
    expect(kidney.told.value).toBe('')
    expect(kidney.canUndo.value).toBe(false)
  })

  it('that does not reach the server is not told as done', async () => {
    const { desk: kidney } = await desk(() => new Refusal(500, 'Something went wrong.'))
    expect(await kidney.work('TAKE', [about('Marl')], 'Taken')).toBe(false)
    expect(kidney.canUndo.value).toBe(false)
  })

  it('about nobody is not sent', async () => {
    const { desk: kidney, works } = await desk(all)
    expect(await kidney.work('TAKE', [], 'Taken')).toBe(false)
    expect(works()).toEqual([])
  })
})

describe('undo', () => {
  it('takes back the last thing first', async () => {
    const undone: string[] = []
    const { desk: kidney, works } = await desk(all)
    await kidney.work('TAKE', [about('Marl')], 'Taken')
    await kidney.work('ATTEMPT', [about('Marl')], 'No answer', { outcome: 'no-answer' })
    const [take, attempt] = works().map((one) => one.batch)
    serving({
      'GET /api/lists/kidney/desk': { rows: [] },
      [`DELETE /api/lists/kidney/desk/work/${String(take)}`]: () => {
        undone.push('take')
        return { done: ['Marl'], refused: [] }
      },
      [`DELETE /api/lists/kidney/desk/work/${String(attempt)}`]: () => {
        undone.push('attempt')
        return { done: ['Marl'], refused: [] }
      },
    })
    await kidney.undo()
    expect(kidney.told.value).toBe('Undone: No answer')
    await kidney.undo()
    await flushPromises()
    expect(undone).toEqual(['attempt', 'take'])
    expect(kidney.canUndo.value).toBe(false)
  })

  it('of what somebody went on from is not told as done', async () => {
    const { desk: kidney, works } = await desk(all)
    await kidney.work('TAKE', [about('Marl')], 'Taken')
    serving({
      'GET /api/lists/kidney/desk': { rows: [] },
      [`DELETE /api/lists/kidney/desk/work/${String(works()[0]?.batch)}`]: {
        done: [],
        refused: [{ person: 'Marl', why: 'This went on meanwhile.' }],
      },
    })
    await kidney.undo()
    expect(kidney.told.value).toBe('Taken')
  })
})
