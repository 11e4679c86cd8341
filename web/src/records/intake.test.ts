import { describe, expect, it } from 'vitest'
import {
  amount,
  type Intake,
  kindOfRecords,
  mayBeBlank,
  targetsOf,
  withBlank,
  withDates,
  withEverything,
  withKind,
  withMeaning,
  withRank,
  withSource,
  withTarget,
  withTranslation,
  wordsOf,
} from './intake'

const LAB: Intake = {
  id: 'lab',
  name: 'Lab',
  whose: { number: { column: 'No' } },
  people: {
    fields: {
      family_name: { column: 'Name', part: { split: ',', take: 1 } },
      given_name: { column: 'Name', part: { split: ',', take: 2 } },
    },
  },
  events: [
    {
      fields: {
        kind: { constant: 'result' },
        on: { column: 'Taken' },
        text: { each: 'name' },
        value: { each: 'cell' },
      },
      each: { columns: ['Na', 'K'] },
      unlessBlank: ['Taken'],
    },
  ],
}

describe('an intake beside the columns of a file', () => {
  it('leaves cells of a column blank where that is wanted, and nothing else', () => {
    expect(mayBeBlank(LAB, 'Taken')).toBe(true)
    expect(mayBeBlank(LAB, 'No')).toBe(false)
    const next = withBlank(LAB, 'Taken')
    expect(next.events?.[0]?.fields.on).toEqual({ column: 'Taken', unreadable: 'blank' })
    expect(next.events?.[0]?.fields.text).toEqual({ each: 'name' })
    expect(LAB.events?.[0]?.fields.on).toEqual({ column: 'Taken' })
  })

  it('says which numbers a source knows somebody by, and what tells its records apart', () => {
    const fhir: Intake = {
      ...LAB,
      whose: { number: { column: 'number' }, others: { column: 'other numbers' } },
      events: [{ fields: {}, identity: [{ column: 'record id' }] }],
    }
    expect(targetsOf(fhir, 'other numbers').map(wordsOf)).toEqual(['further person numbers'])
    expect(targetsOf(fhir, 'record id').map(wordsOf)).toEqual(['tells the records apart'])
    expect(withTarget(fhir, 'other numbers', '').whose).toEqual({ number: { column: 'number' } })
  })

  it('says all that is made of a column', () => {
    expect(targetsOf(LAB, 'No')).toEqual(['number'])
    expect(targetsOf(LAB, 'Name')).toEqual(['person:family_name', 'person:given_name'])
    expect(targetsOf(LAB, 'K')).toEqual(['each'])
    expect(targetsOf(LAB, 'Loyalty')).toEqual([])
    expect(wordsOf('event:on')).toBe('record: date')
  })

  it('lets a column go elsewhere and nowhere else', () => {
    const next = withTarget(LAB, 'Name', 'event:provider')
    expect(targetsOf(next, 'Name')).toEqual(['event:provider'])
    expect(next.people).toBeUndefined()
    expect(targetsOf(LAB, 'Name')).toHaveLength(2)
  })

  it('keeps a column as a field of its own', () => {
    const next = withTarget(LAB, 'Room', 'event:Room')
    expect(next.events?.[0]?.fields.Room).toEqual({ column: 'Room' })
    expect(wordsOf('event:Room')).toBe('record: Room')
  })

  it('has a number from one column at a time, and none where it is left out', () => {
    expect(withTarget(LAB, 'Chart', 'number').whose?.number?.column).toBe('Chart')
    expect(withTarget(LAB, 'No', '').whose?.number).toBeUndefined()
  })

  it('makes no records of their own where no column is left for it', () => {
    const next = withTarget(withTarget(LAB, 'Na', ''), 'K', '')
    expect(next.events?.[0]?.each).toBeUndefined()
    expect(Object.keys(next.events?.[0]?.fields ?? {})).toEqual(['kind', 'on'])
  })

  it('forgets a date that may be blank once it is left out', () => {
    expect(withTarget(LAB, 'Taken', '').events?.[0]?.unlessBlank).toEqual([])
  })

  it('is told which comes first and what kind of records they are', () => {
    expect(withDates(LAB, 'day-first').written).toEqual({ dates: 'day-first' })
    expect(kindOfRecords(withKind(LAB, 'visit'))).toBe('visit')
  })
})

it('takes a word for another, and with it the words that were taken for the first', () => {
  const intake: Intake = {
    id: 'x',
    name: 'x',
    people: { fields: { status: { column: 'S', values: { A: 'act', B: 'gone' } } } },
    events: [{ fields: { kind: { constant: 'visit' }, status: { column: 'S' } } }],
  }
  const next = withTranslation(intake, true, 'status', 'act', 'active')
  expect(next.people?.fields.status?.values).toEqual({ A: 'active', B: 'gone', act: 'active' })
  expect(next.events).toEqual(intake.events)
  expect(withTranslation(intake, false, 'kind', 'visit', 'x').events).toEqual(intake.events)
})

it('counts what is new or changed in words', () => {
  const none = { added: 0, changed: 0, unchanged: 9 }
  const brought = {
    people: none,
    events: none,
    gone: 0,
    goneEvents: 0,
    unknownPeople: 0,
    erased: 0,
    changedFields: [],
    firstChanges: [],
    otherwise: 0,
    firstOtherwise: [],
  }
  expect(amount(brought)).toBe('nothing new')
  expect(
    amount({
      ...brought,
      people: { ...none, added: 1 },
      events: { ...none, added: 1, changed: 1 },
    }),
  ).toBe('1 person and 2 records')
})

it('means what is said of its source; without a name it neither ranks nor holds all of its own', () => {
  const intake: Intake = {
    id: 'x',
    name: 'x',
    source: 'clinic',
    people: { fields: {} },
    events: [{ fields: { kind: { constant: 'visit' } } }],
  }
  const told = withEverything(withRank(withMeaning(intake, 'only-adds'), 3), true)
  expect(told).toMatchObject({
    rank: 3,
    people: { meaning: 'only-adds' },
    events: [{ everything: true }],
  })
  expect(withSource(told, ' lab ')).toMatchObject({ source: 'lab', rank: 3 })
  expect(withSource(told, ' ')).toMatchObject({
    source: '',
    rank: 0,
    events: [{ everything: false }],
  })
})
