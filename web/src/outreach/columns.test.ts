import { deskRow } from '@/testing/rows'
import { describe, expect, it } from 'vitest'
import { columnOf, COLUMNS, columnsOf, type ColumnId } from './columns'
import type { DeskRow } from './queues'

const TODAY = '2026-11-26'

function text(column: ColumnId, is: Partial<DeskRow> = {}): string {
  return columnOf(column)?.text(deskRow('Marl', is), TODAY) ?? ''
}

describe('a column of the desk', () => {
  it.each([
    ['due', { due: 'never' }, 'never met'],
    ['due', { due: '' }, ''],
    ['due', { due: '2026-01-01' }, '1 Jan 2026'],
    ['overdue', { due: '2026-11-20' }, '6'],
    ['overdue', { due: '2026-11-26' }, '0'],
    ['overdue', { due: '2026-12-01' }, ''],
    ['overdue', { due: 'never' }, ''],
    ['next', { nextStep: 'CALL', nextOn: '2026-11-30' }, 'call, 30 Nov'],
    ['next', { nextStep: 'LETTER', nextOn: '2027-01-05' }, 'letter, 5 Jan 2027'],
    ['next', { nextStep: 'NONE', nextOn: '' }, ''],
    ['hand', { inHand: { account: 'a', name: 'Ines Wray', mine: false, since: '' } }, 'Ines Wray'],
    ['hand', { inHand: { account: 'a', name: 'Ines Wray', mine: true, since: '' } }, 'me'],
    ['hand', {}, ''],
    ['last', { lastAttempt: { outcome: 'Booked', on: '2026-11-02', by: 'x' } }, 'Booked, 2 Nov'],
    ['also', { alsoOn: ['Kidney', 'Hearing'] }, 'Kidney, Hearing'],
    ['state', { state: 'IN_PROGRESS' }, 'in progress'],
    ['joined', { joinedOn: '2026-11-01' }, '1 Nov 2026'],
    ['why', {}, 'No check on record.'],
    ['why', { said: 'Asked not to be contacted.' }, 'Asked not to be contacted.'],
  ] as [ColumnId, Partial<DeskRow>, string][])('%s of %j says “%s”', (column, is, says) => {
    expect(text(column, is)).toBe(says)
  })

  it('has a name of its own', () => {
    expect(new Set(COLUMNS.map((one) => one.id)).size).toBe(COLUMNS.length)
    expect(new Set(COLUMNS.map((one) => one.name)).size).toBe(COLUMNS.length)
    expect(columnOf('no such column')).toBeUndefined()
    const mobile = columnOf('field:mobile')
    expect(mobile?.text(deskRow('Marl', { shown: { mobile: '01632 960002' } }), TODAY)).toBe(
      '01632 960002',
    )
    expect([mobile?.telling, columnOf('field:sex')?.telling]).toEqual([true, false])
  })

  it('of what a criterion finds says days as days and is not veiled', () => {
    const [found] = columnsOf([{ name: 'Soak: latest value', ofCriterion: true }]).slice(-1)
    expect([found?.name, found?.telling]).toEqual(['Soak: latest value', undefined])
    const day = deskRow('Marl', { shown: { 'Soak: latest value': '2026-03-05' } })
    expect(found?.text(day, TODAY)).toBe('5 Mar 2026')
    expect(found?.text(deskRow('Marl'), TODAY)).toBe('')
  })
})
