/** A field's name as people say it: `birth_date` is birth date. */
export function fieldWords(field: string): string {
  return field.replaceAll('_', ' ')
}

/** The same as the heading of a column. */
export function headingWords(field: string): string {
  const words = fieldWords(field)
  return words.charAt(0).toUpperCase() + words.slice(1)
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
