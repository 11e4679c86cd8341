import { describe, expect, it } from 'vitest'
import { kindOf } from './imports'

describe('a file that is brought in', () => {
  it('holds events where its header names the person of each', () => {
    expect(kindOf('id,person_id,kind')).toBe('EVENTS')
    expect(kindOf('"kind";"PERSON_ID"')).toBe('EVENTS')
    expect(kindOf('id\tfamily_name')).toBe('PEOPLE')
    expect(kindOf('\uFEFFid;family_name;frailty:number')).toBe('PEOPLE')
  })

  it('is of another system where its columns are called otherwise', () => {
    expect(kindOf('Patient ID,Surname,DOB')).toBe('OTHER')
    expect(kindOf('id,name,dob,tel')).toBe('OTHER')
    expect(kindOf('person_id,date')).toBe('OTHER')
    expect(kindOf('PK\u0003\u0004')).toBe('OTHER')
  })
})
