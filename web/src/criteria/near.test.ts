import { describe, expect, it } from 'vitest'
import { criterionTurn, listTurn } from './near'

describe('what happens at the line', () => {
  it('is told of the list, ahead and behind', () => {
    expect(listTurn({ after: 'YES', ahead: true })).toBe('will join the list')
    expect(listTurn({ after: 'NO', ahead: false })).toBe('has left the list')
    expect(listTurn({ after: 'UNSURE', ahead: true })).toBe('will be to check')
  })

  it('is told of a criterion', () => {
    expect(criterionTurn({ after: 'YES', ahead: false })).toBe('has come to meet it')
    expect(criterionTurn({ after: 'NO', ahead: true })).toBe('will not meet it')
    expect(criterionTurn({ after: 'UNSURE', ahead: false })).toBe('it can’t be told since')
  })
})
