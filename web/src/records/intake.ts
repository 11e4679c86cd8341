import type { Schemas } from '@/api/client'
import { fieldWords, KNOWN_FIELDS } from '@/fields'
import { count } from '@/stick'

/** What a field is made of, as the document has it (docs/intakes.md). */
export interface Maker {
  column?: string
  columns?: string[]
  constant?: string
  values?: Record<string, string>
  each?: 'name' | 'cell'
  [more: string]: unknown
}

type Fields = Record<string, Maker>

/** An intake, as the document has it. What is not changed here is kept as it is. */
export interface Intake {
  id: string
  name: string
  source?: string
  rank?: number
  written?: { dates?: 'day-first' | 'month-first' | 'open'; decimal?: 'point' | 'comma' }
  whose?: { number?: Maker; by?: Fields; others?: Maker; merged?: Maker }
  people?: { fields: Fields; meaning?: string }
  events?: {
    fields: Fields
    each?: { columns: string[] }
    unlessBlank?: string[]
    identity?: Maker[]
    everything?: boolean
  }[]
  [more: string]: unknown
}

/** What a column may become of a person; their number is a target of its own. */
export const PERSON_FIELDS = KNOWN_FIELDS.person.filter((field) => field !== 'id')

/** What a column may become of a record; whose it is says the number. */
export const EVENT_FIELDS = KNOWN_FIELDS.event.filter((field) => field !== 'person_id')

/** Where a column goes: nowhere, to a number of the person, to a field, to a record of its own, or to what tells records apart. */
export type Target =
  '' | 'number' | 'also' | 'each' | 'identity' | `person:${string}` | `event:${string}`

function isOf(maker: Maker, column: string): boolean {
  return maker.column === column || (maker.columns ?? []).includes(column)
}

/** All that is made of a column. */
export function targetsOf(intake: Intake, column: string): Target[] {
  const targets: Target[] = []
  if (intake.whose?.number && isOf(intake.whose.number, column)) {
    targets.push('number')
  }
  if ([intake.whose?.others, intake.whose?.merged].some((maker) => maker && isOf(maker, column))) {
    targets.push('also')
  }
  for (const [field, maker] of Object.entries(intake.people?.fields ?? {})) {
    if (isOf(maker, column)) {
      targets.push(`person:${field}`)
    }
  }
  for (const records of intake.events ?? []) {
    for (const [field, maker] of Object.entries(records.fields)) {
      if (isOf(maker, column)) {
        targets.push(`event:${field}`)
      }
    }
    if (records.each?.columns.includes(column)) {
      targets.push('each')
    }
    if (records.identity?.some((maker) => isOf(maker, column))) {
      targets.push('identity')
    }
  }
  return targets
}

export function wordsOf(target: Target): string {
  if (target === '') {
    return 'left out'
  }
  if (target === 'number') {
    return 'person number'
  }
  if (target === 'also') {
    return 'further person numbers'
  }
  if (target === 'each') {
    return 'a record of its own'
  }
  if (target === 'identity') {
    return 'tells the records apart'
  }
  const [of, field = ''] = target.split(':')
  const name = field === 'on' ? 'date' : field === 'until' ? 'end date' : fieldWords(field)
  return of === 'person' ? name : `record: ${name}`
}

function without(fields: Fields, column: string): Fields {
  return Object.fromEntries(Object.entries(fields).filter(([, maker]) => !isOf(maker, column)))
}

/** The same intake with a column going where it is wanted, and nowhere else. */
export function withTarget(intake: Intake, column: string, target: Target): Intake {
  const next = structuredClone(intake)
  if (next.whose?.number && isOf(next.whose.number, column)) {
    delete next.whose.number
  }
  if (next.whose?.others && isOf(next.whose.others, column)) {
    delete next.whose.others
  }
  if (next.whose?.merged && isOf(next.whose.merged, column)) {
    delete next.whose.merged
  }
  if (next.people) {
    next.people.fields = without(next.people.fields, column)
  }
  for (const records of next.events ?? []) {
    records.fields = without(records.fields, column)
    if (records.each) {
      records.each.columns = records.each.columns.filter((one) => one !== column)
    }
    if (records.identity) {
      records.identity = records.identity.filter((maker) => !isOf(maker, column))
    }
    records.unlessBlank = (records.unlessBlank ?? []).filter((one) => one !== column)
  }
  put(next, column, target)
  return tidied(next)
}

function put(next: Intake, column: string, target: Target) {
  if (target === 'number') {
    delete next.whose?.by
    next.whose = { ...next.whose, number: { column } }
  } else if (target.startsWith('person:')) {
    next.people ??= { fields: {} }
    next.people.fields[target.slice('person:'.length)] = { column }
  } else if (target.startsWith('event:')) {
    next.events ??= []
    next.events[0] ??= { fields: { kind: { constant: 'visit' } } }
    next.events[0].fields[target.slice('event:'.length)] = { column }
  }
}

/** Nothing is left of what nothing is made for. */
function tidied(next: Intake): Intake {
  if (next.people && Object.keys(next.people.fields).length === 0 && next.events?.length) {
    delete next.people
  }
  for (const records of next.events ?? []) {
    if (records.each?.columns.length === 0) {
      delete records.each
      records.fields = Object.fromEntries(
        Object.entries(records.fields).filter(([, maker]) => !maker.each),
      )
    }
    records.fields.kind ??= { constant: 'visit' }
  }
  return next
}

function fieldsOf(intake: Intake): Fields[] {
  return [intake.people?.fields ?? {}, ...(intake.events ?? []).map((records) => records.fields)]
}

/** Whether a field is made of this column that may be blank; without its kind a record is none. */
export function mayBeBlank(intake: Intake, column: string): boolean {
  return fieldsOf(intake).some((fields) =>
    Object.entries(fields).some(([field, maker]) => field !== 'kind' && isOf(maker, column)),
  )
}

/** The same intake, cells of a column that cannot be read left blank. */
export function withBlank(intake: Intake, column: string): Intake {
  const next = structuredClone(intake)
  for (const fields of fieldsOf(next)) {
    for (const maker of Object.values(fields).filter((one) => isOf(one, column))) {
      maker.unreadable = 'blank'
    }
  }
  return next
}

/** The same intake, a word of the file taken for one on file. */
export function withTranslation(
  intake: Intake,
  ofPeople: boolean,
  field: string,
  word: string,
  to: string,
): Intake {
  const next = structuredClone(intake)
  const all = ofPeople ? [next.people?.fields] : (next.events ?? []).map((one) => one.fields)
  for (const fields of all) {
    const maker = fields?.[field]
    if (maker && maker.constant === undefined) {
      maker.values = { ...maker.values, ...translated(maker.values, word, to) }
    }
  }
  return next
}

/** A word that another one was translated to is translated on with it. */
function translated(values: Maker['values'], word: string, to: string): Record<string, string> {
  const before = Object.entries(values ?? {}).filter(([, meant]) => meant === word)
  return Object.fromEntries([...before.map(([from]) => [from, to]), [word, to]])
}

export function withDates(intake: Intake, dates: 'day-first' | 'month-first'): Intake {
  return { ...intake, written: { ...intake.written, dates } }
}

export function withDecimal(intake: Intake, decimal: 'point' | 'comma'): Intake {
  return { ...intake, written: { ...intake.written, decimal } }
}

/** What a delivery of people means, in words. */
export const MEANINGS: Record<string, string> = {
  'adds-and-changes': 'It adds people, and changes those on file',
  'only-adds': 'It only adds people who are not on file',
  'names-everybody': 'It names everybody: whoever is not in it goes off file',
}

export function withMeaning(intake: Intake, meaning: string): Intake {
  return intake.people ? { ...intake, people: { ...intake.people, meaning } } : intake
}

/** The same intake, holding every record of its source, or not. */
export function withEverything(intake: Intake, everything: boolean): Intake {
  return {
    ...intake,
    events: (intake.events ?? []).map((records) => ({ ...records, everything })),
  }
}

/** The same intake of another source; without a name it can neither hold all of its own nor rank. */
export function withSource(intake: Intake, source: string): Intake {
  const named = source.trim()
  const next: Intake = { ...intake, source: named }
  return named ? next : withEverything(withRank(next, 0), false)
}

export function withRank(intake: Intake, rank: number): Intake {
  return { ...intake, rank }
}

export function withKind(intake: Intake, kind: string): Intake {
  const next = structuredClone(intake)
  for (const records of next.events ?? []) {
    records.fields.kind = { constant: kind }
  }
  return next
}

/** The kind that all its records have; nothing where a column says it. */
export function kindOfRecords(intake: Intake): string | undefined {
  return intake.events?.[0]?.fields.kind?.constant
}

/** "2 people and 3 records", of what is new or changed. */
export function amount(brought: Schemas['BroughtView']): string {
  const people = brought.people.added + brought.people.changed
  const records = brought.events.added + brought.events.changed
  const words = []
  if (people) {
    words.push(`${count(people)} ${people === 1 ? 'person' : 'people'}`)
  }
  if (records) {
    words.push(`${count(records)} ${records === 1 ? 'record' : 'records'}`)
  }
  return words.join(' and ') || 'nothing new'
}
