import { describe, expect, it } from 'vitest'
import { kindOf, together } from './imports'

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

describe('several files at once', () => {
  const file = (name: string, text: string) => new File([text], name)

  it('are one where they are of one export', () => {
    const one = together([file('Patient.ndjson', '{"a":1}'), file('Visit.json', '{"b":2}')])
    expect(one?.name).toBe('Patient.ndjson')
    expect(one?.size).toBe('{"a":1}\n{"b":2}\n'.length)
  })

  it('are not where they are tables, or of several formats', () => {
    expect(together([file('a.csv', 'x'), file('b.csv', 'y')])).toBeUndefined()
    expect(together([file('a.hl7', 'x'), file('b.json', 'y')])).toBeUndefined()
    expect(together([file('a.csv', 'x')])?.name).toBe('a.csv')
    expect(together([])).toBeUndefined()
  })
})
