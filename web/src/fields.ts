import { dayWords } from './days'
import known from './fields.json'

/** The fields of people and of records that are known by name, as the core has them, in the order in which they are shown. */
export const KNOWN_FIELDS: { person: string[]; event: string[] } = known

/** A field's name as people say it: `birth_date` is birth date. */
export function fieldWords(field: string): string {
  return field.replaceAll('_', ' ')
}

/** The same as the heading of a column. */
export function headingWords(field: string): string {
  const words = fieldWords(field)
  return words.charAt(0).toUpperCase() + words.slice(1)
}

const ISO_DAY = /^\d{4}-\d\d-\d\d$/

/** What is in a column, in words: a day is said as days are. */
export function cellWords(cell: string): string {
  return ISO_DAY.test(cell) ? dayWords(cell) : cell
}

/** By what cells of a column sort: numbers, with a unit or without, as such; days by their ISO date. */
export function sortKey(cell: string): string | number {
  const number = Number.parseFloat(cell)
  return ISO_DAY.test(cell) || Number.isNaN(number) ? cell : number
}

/** What says neither who somebody is nor how to reach them. */
const PLAIN = new Set([
  'sex',
  'status',
  'deceased_on',
  'provider',
  'site',
  'language',
  'contact_by',
  'do_not_contact',
  'due_on',
  'band',
  'state',
])

/** Whether a field may tell who somebody is, and is veiled: also one that nobody here knows. */
export function tellsWho(field: string): boolean {
  return !PLAIN.has(field)
}
