import { describe, expect, it } from 'vitest'
import { kindOf } from './imports'

describe('a file that is brought in', () => {
  it('holds events where its header names the person of each', () => {
    expect(kindOf('id,person_id,kind')).toBe('EVENTS')
    expect(kindOf('"kind";"PERSON_ID"')).toBe('EVENTS')
    expect(kindOf('id\tfamily_name')).toBe('PEOPLE')
    expect(kindOf('id,other_person_id')).toBe('PEOPLE')
  })
})
