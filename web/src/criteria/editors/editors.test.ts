import { describe, expect, it } from 'vitest'
import { itemsOf, operatorOf, operatorsOf, startOf } from './fieldTests'
import { simplePeriod, writtenPeriod } from './period'

describe('a period', () => {
  it('is edited as a number of units where it has one unit', () => {
    expect(simplePeriod('P12M')).toEqual({ amount: 12, unit: 'M' })
    expect(simplePeriod('P1Y6M')).toBeUndefined()
    expect(writtenPeriod({ amount: 2, unit: 'W' })).toBe('P2W')
  })
})

describe('a test of a field', () => {
  it('starts with something that every type of field can be asked', () => {
    for (const type of ['text', 'number', 'date', 'flag']) {
      const field = { name: 'x', type, values: [] }
      expect(operatorOf(startOf(field), type)).toBeDefined()
      for (const operator of operatorsOf(type)) {
        expect(operatorOf({ field: 'x', ...operator.start() }, type)?.id).toBe(operator.id)
      }
    }
  })

  it('starts with the most frequent value where there are values to choose from', () => {
    const field = { name: 'sex', type: 'text', values: [{ value: 'female', count: 5 }] }
    expect(startOf(field)).toEqual({ field: 'sex', in: ['female'] })
  })

  it('takes numbers as numbers and leaves out what is none', () => {
    expect(itemsOf(['3', 'x', ' 4.5 '], 'number')).toEqual([3, 4.5])
    expect(itemsOf([' a ', ''], 'text')).toEqual(['a'])
  })
})
