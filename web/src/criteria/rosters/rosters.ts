import { withOne, type CriteriaDocument, type JsonObject } from '../document'

/** People who are named one by one: the person fields of the key, and a row of values for each. */
export interface Roster extends JsonObject {
  id: string
  name: string
  key: string[]
  rows: string[][]
}

export function rostersOf(document: CriteriaDocument): Roster[] {
  return ((document.rosters ?? []) as Partial<Roster>[]).map((one) => ({
    id: one.id ?? '',
    name: one.name ?? '',
    key: one.key ?? [],
    rows: (one.rows ?? []).map((row) => row.map(String)),
  }))
}

/** Adds a roster, or replaces the one of the same id. */
export function putRoster(document: CriteriaDocument, roster: Roster): CriteriaDocument {
  const rosters = withOne(rostersOf(document), roster, ({ id }) => id === roster.id)
  return { ...document, rosters }
}

/** Rows as they are copied from a spreadsheet: a line each, cells apart by tabs, or by semicolons where no tab is. */
export function rowsOf(pasted: string): string[][] {
  const apart = pasted.includes('\t') ? '\t' : ';'
  return pasted
    .split(/\r?\n/)
    .filter((line) => line.trim() !== '')
    .map((line) => line.split(apart).map((cell) => cell.trim()))
}

export function pastedOf(rows: string[][]): string {
  return rows.map((row) => row.join('\t')).join('\n')
}

/** What is wrong with the rows for a key of so many fields; empty where nothing is. */
export function problemOf(rows: string[][], fields: number): string {
  const at = rows.findIndex((row) => row.length !== fields)
  return at < 0
    ? ''
    : `Row ${String(at + 1)} does not fit: cells ${String(rows[at]?.length)}, fields of the key ${String(fields)}.`
}
