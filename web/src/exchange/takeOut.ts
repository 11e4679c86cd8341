import { answerOf, json, type Schemas } from '@/api/client'
import { keepFile } from '@/api/download'
import { KNOWN_FIELDS } from '@/fields'
import written from './columns.json'

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

const NAMES: Record<Column, string> = {
  PERSON_ID: 'id',
  NAME: 'name',
  FAMILY_NAME: 'family name',
  GIVEN_NAME: 'given name',
  BORN: 'birth date',
  AGE: 'age',
  PHONE: 'phone',
  MOBILE: 'mobile',
  EMAIL: 'e-mail',
  ADDRESS: 'address',
  CITY: 'city',
  POSTCODE: 'postcode',
  LANGUAGE: 'language',
  CONTACT_BY: 'contact by',
  PROVIDER: 'provider',
  SITE: 'site',
  STANDING: 'state: on the list or to check',
  STATE: 'progress',
  DUE_ON: 'due',
  BAND: 'band',
  WHY: 'why',
  NEXT_STEP: 'next step',
  NEXT_ON: 'next on',
  IN_HAND: 'in hand',
  LAST_ATTEMPT: 'last attempt',
  LAST_ATTEMPT_ON: 'last attempt on',
  JOINED_ON: 'joined',
  ALSO_ON: 'also on',
  HELD_BACK: 'held back',
}

/** The columns of a table, as the server has them, with their names; those that say how to reach somebody need a reason. */
export const COLUMNS = written.map(({ column, header, contact }) => ({
  column: column as Column,
  name: NAMES[column as Column],
  header,
  contact,
}))

export const USUAL_COLUMNS: readonly Column[] = [
  'PERSON_ID',
  'NAME',
  'AGE',
  'DUE_ON',
  'BAND',
  'STANDING',
  'STATE',
]

/** What a set can show that is no field of a person. */
const OF_THE_ROW = ['due_on', 'band', 'state']

/** The columns that show what is named in a set, by that name. */
const SHOWN = new Map(
  COLUMNS.filter(({ header }) => [...KNOWN_FIELDS.person, ...OF_THE_ROW].includes(header)).map(
    ({ header, column }) => [header, column],
  ),
)

/** What a table has first, with what the set of its list shows. */
export function usualTable(show: readonly Schemas['ShownColumn'][]): {
  columns: Column[]
  fields: string[]
} {
  const own = ({ name, ofCriterion }: Schemas['ShownColumn']) =>
    ofCriterion ? undefined : SHOWN.get(name)
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
