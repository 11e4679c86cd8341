import type { Schemas } from '@/api/client'
import { describe, expect, it } from 'vitest'
import { rowOf } from './rows'

function row(id: string, state: 'ON' | 'CHECK', due: string, overdueDays?: number) {
  const person: Schemas['PersonLine'] = {
    id,
    name: `Name ${id}`,
    born: '',
    age: id === 'partial' ? '69–70' : '',
    phone: '01632 960001',
    provider: 'Dr Oakhollow',
    site: '',
    doNotContact: false,
  }
  return rowOf({
    person,
    state,
    due,
    overdueDays,
    band: 'Late',
    beyondTop: false,
    shown: ['Potassium 5.9'],
  })
}

describe('the rows of a list', () => {
  it('show days only once they are overdue, and are found by any of their words', () => {
    expect(row('a', 'ON', '2025-01-01', 100).overdue).toBe('100')
    expect(row('a', 'ON', '2027-01-01', -1).overdue).toBe('')
    expect(row('partial', 'ON', '').ageKey).toBe(69)
    expect(row('A1', 'ON', '').findable).toContain('dr oakhollow')
    expect(row('A1', 'ON', '').findable).toContain('potassium 5.9')
  })
})
