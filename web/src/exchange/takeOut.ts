import { answerOf, json, type Schemas } from '@/api/client'
import { keepFile } from '@/api/download'

export type Wanted = Schemas['Wanted']
export type Format = Exclude<Wanted['format'], 'MAIL'>
export type Column = Wanted['columns'][number]

/** What can come out, in words. */
export const FORMATS: readonly { format: Format | 'MAIL'; name: string }[] = [
  { format: 'XLSX', name: 'Spreadsheet (XLSX)' },
  { format: 'CSV', name: 'Table as text (CSV)' },
  { format: 'CALL_SHEET', name: 'Call sheet to print (PDF)' },
  { format: 'LETTERS', name: 'Letters (PDF)' },
  { format: 'LABELS', name: 'Address labels (PDF)' },
  { format: 'MAIL', name: 'E-mail' },
]

/** The columns of a table; those that say how to reach somebody need a reason. */
export const COLUMNS: readonly { column: Column; name: string; contact?: true }[] = [
  { column: 'PERSON_ID', name: 'id' },
  { column: 'NAME', name: 'name' },
  { column: 'FAMILY_NAME', name: 'family name' },
  { column: 'GIVEN_NAME', name: 'given name' },
  { column: 'BORN', name: 'birth date' },
  { column: 'AGE', name: 'age' },
  { column: 'PHONE', name: 'phone', contact: true },
  { column: 'MOBILE', name: 'mobile', contact: true },
  { column: 'EMAIL', name: 'e-mail', contact: true },
  { column: 'ADDRESS', name: 'address', contact: true },
  { column: 'CITY', name: 'city', contact: true },
  { column: 'POSTCODE', name: 'postcode', contact: true },
  { column: 'LANGUAGE', name: 'language' },
  { column: 'CONTACT_BY', name: 'contact by' },
  { column: 'PROVIDER', name: 'provider' },
  { column: 'SITE', name: 'site' },
  { column: 'STANDING', name: 'state: on the list or to check' },
  { column: 'STATE', name: 'progress' },
  { column: 'DUE_ON', name: 'due' },
  { column: 'BAND', name: 'band' },
  { column: 'WHY', name: 'why' },
  { column: 'NEXT_STEP', name: 'next step' },
  { column: 'NEXT_ON', name: 'next on' },
  { column: 'IN_HAND', name: 'in hand' },
  { column: 'LAST_ATTEMPT', name: 'last attempt' },
  { column: 'LAST_ATTEMPT_ON', name: 'last attempt on' },
  { column: 'JOINED_ON', name: 'joined' },
  { column: 'ALSO_ON', name: 'also on' },
  { column: 'HELD_BACK', name: 'held back' },
]

export const USUAL_COLUMNS: readonly Column[] = [
  'PERSON_ID',
  'NAME',
  'AGE',
  'DUE_ON',
  'BAND',
  'STANDING',
  'STATE',
]

/** The columns that show what is named in a set. */
const SHOWN: Record<string, Column> = {
  family_name: 'FAMILY_NAME',
  given_name: 'GIVEN_NAME',
  birth_date: 'BORN',
  phone: 'PHONE',
  mobile: 'MOBILE',
  email: 'EMAIL',
  address: 'ADDRESS',
  city: 'CITY',
  postcode: 'POSTCODE',
  language: 'LANGUAGE',
  contact_by: 'CONTACT_BY',
  provider: 'PROVIDER',
  site: 'SITE',
  id: 'PERSON_ID',
  due_on: 'DUE_ON',
  band: 'BAND',
  state: 'STANDING',
}

/** What a table has first, with what the set of its list shows. */
export function usualTable(show: readonly Schemas['ShownColumn'][]): {
  columns: Column[]
  fields: string[]
} {
  const own = ({ name, ofCriterion }: Schemas['ShownColumn']) =>
    ofCriterion ? undefined : SHOWN[name]
  return {
    columns: [...new Set([...USUAL_COLUMNS, ...show.flatMap((one) => own(one) ?? [])])],
    fields: show.filter((one) => !own(one)).map(({ name }) => name),
  }
}

/** Whether a reason has to be given: it says how to reach people. */
export function needsReason(format: Format | 'MAIL', columns: readonly Column[]): boolean {
  return (
    (format !== 'CSV' && format !== 'XLSX') ||
    COLUMNS.some((one) => one.contact && columns.includes(one.column))
  )
}

/** Where a list is taken out. */
type OutOfList = `/api/lists/${string}/out`

/** Puts a table on the clipboard, as a spreadsheet takes it: a line for each person, a tab between cells. */
export async function copyTable(address: OutOfList, wanted: Wanted): Promise<void> {
  const answer = await answerOf(address, json('POST', { ...wanted, format: 'CSV' }))
  const { parse, unparse } = await import('papaparse')
  const rows = parse<string[]>(await answer.text(), { skipEmptyLines: true }).data
  await navigator.clipboard.writeText(unparse(rows, { delimiter: '\t' }))
}

/** Whether the browser lets a page do that: not over an address that is not safe. */
export function mayCopy(): boolean {
  return window.isSecureContext && 'clipboard' in navigator
}

/** Asks for a file and hands it to the browser to keep. */
export async function download(address: OutOfList, wanted: Wanted): Promise<void> {
  await keepFile(address, wanted)
  // A table holds its rows alone: who took it out, when and why stands in a file beside it.
  if (wanted.format === 'CSV') {
    await keepFile(`${address}/about`, wanted)
  }
}
