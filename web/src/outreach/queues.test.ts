import { deskRow } from '@/testing/rows'
import { describe, expect, it } from 'vitest'
import { linesOf, sorted, USUAL_VIEW } from './columns'
import { isIn, nextToTake, QUEUES, type DeskRow, type QueueId } from './queues'

const TODAY = '2026-11-23'

function row(id: string, fields: Partial<DeskRow> = {}): DeskRow {
  return deskRow(id, { due: '', band: '', joinedOn: '2026-01-01', nextOn: TODAY, ...fields })
}

function queuesOf(one: DeskRow): QueueId[] {
  return QUEUES.map((queue) => queue.id).filter((queue) => isIn(queue, one, TODAY))
}

describe('the queues', () => {
  it('hold somebody where they are looked for', () => {
    expect(queuesOf(row('plain'))).toEqual(['open', 'nobodys', 'due'])
    expect(queuesOf(row('later', { nextOn: '2026-11-24' }))).toEqual(['waiting'])
    expect(queuesOf(row('new', { joinedOn: '2026-11-17' }))).toContain('joined')
    expect(queuesOf(row('old', { joinedOn: '2026-11-16' }))).not.toContain('joined')
  })

  it('keep who is to check apart from who is on the list', () => {
    const unsure = (fields: Partial<DeskRow>) =>
      queuesOf(row('unsure', { standing: 'CHECK', nextStep: 'LOOK', ...fields }))
    expect(unsure({})).toEqual(['check'])
    expect(unsure({ joinedOn: TODAY })).toEqual(['check'])
    expect(unsure({ nextOn: '2026-12-24' })).toEqual(['check'])
    expect(unsure({ state: 'IN_PROGRESS', heldBack: 'Was reached.' })).toEqual(['check'])
    expect(unsure({ setAside: 'abroad' })).toEqual(['aside'])
    expect(unsure({ inHand: { account: 'a', name: 'A', mine: true, since: '' } })).toEqual([
      'mine',
      'check',
    ])
  })

  it('keep who is not to be called out of the way, but in sight', () => {
    expect(queuesOf(row('held', { heldBack: 'Was reached.' }))).toEqual(['held'])
    const reached = { heldBack: 'Was reached.', nextStep: 'LOOK' } as const
    expect(queuesOf(row('reached', { ...reached, nextOn: '2026-12-07' }))).toEqual(['waiting'])
    expect(queuesOf(row('look', reached))).toEqual(['open', 'nobodys', 'due'])
    expect(queuesOf(row('aside', { setAside: 'abroad', heldBack: 'Was reached.' }))).toEqual([
      'aside',
    ])
    expect(queuesOf(row('closed', { state: 'CLOSED' }))).toEqual(['done'])
  })

  it('tell whose somebody is', () => {
    const hand = { account: 'a', name: 'A', mine: true, since: '' }
    expect(queuesOf(row('mine', { inHand: hand }))).toEqual(['open', 'mine', 'due'])
    expect(queuesOf(row('theirs', { inHand: { ...hand, mine: false } }))).toEqual(['open'])
  })
})

describe('the next person to take', () => {
  const hand = { account: 'a', name: 'A', mine: true, since: '' }
  const taken = (rows: DeskRow[], from = 0, current = '') =>
    nextToTake(rows, from, current, TODAY)?.person.id

  it('is never somebody who is not to be tried now', () => {
    const not = [
      row('later', { nextOn: '2026-11-24' }),
      row('held', { heldBack: 'Was reached.' }),
      row('aside', { setAside: 'abroad' }),
      row('theirs', { inHand: { ...hand, mine: false } }),
      row('done', { state: 'DONE' }),
    ]
    expect(taken(not)).toBeUndefined()
    expect(taken([...not, row('free')])).toBe('free')
  })

  it('comes after whoever is open, and then from the beginning', () => {
    const rows = [row('a'), row('b', { inHand: hand }), row('c')]
    expect(taken(rows, 1, 'b')).toBe('c')
    expect(taken(rows, 1)).toBe('b')
    expect(taken([row('a'), row('b', { inHand: hand })], 1, 'b')).toBe('a')
  })
})

describe('the lines of the desk', () => {
  it('have a heading above each group, and none without groups', () => {
    const rows = [row('a', { band: 'x' }), row('b', { band: 'x' }), row('c')]
    expect(linesOf(rows, { ...USUAL_VIEW, groupBy: 'band' }, TODAY)).toEqual([
      { heading: 'x', people: 2 },
      { row: rows[0] },
      { row: rows[1] },
      { heading: 'none', people: 1 },
      { row: rows[2] },
    ])
    expect(linesOf(rows, USUAL_VIEW, TODAY)).toHaveLength(3)
  })
})

describe('the order of the desk', () => {
  it('puts never met first and no due date last', () => {
    const rows = [row('none'), row('late', { due: '2025-01-01' }), row('never', { due: 'never' })]
    expect(sorted(rows, USUAL_VIEW, TODAY).map((one) => one.person.id)).toEqual([
      'never',
      'late',
      'none',
    ])
  })

  it('keeps groups together', () => {
    const rows = [
      row('b', { band: 'x', due: '2025-01-01' }),
      row('a', { band: 'y', due: 'never' }),
      row('c', { band: 'x', due: '2024-01-01' }),
    ]
    const view = { ...USUAL_VIEW, groupBy: 'band' as const, descending: true }
    expect(sorted(rows, view, TODAY).map((one) => one.person.id)).toEqual(['b', 'c', 'a'])
  })
})
