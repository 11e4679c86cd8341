import { send, type Schemas } from '@/api/client'
import { queryOptions } from '@tanstack/vue-query'

export type SharedRoster = Schemas['RosterSummary']
export type RosterRow = Schemas['RosterRow']

export const ROSTERS = '/api/rosters'

/** The rosters that criteria sets share, by name. */
export const rostersQuery = queryOptions({
  queryKey: ['rosters'],
  queryFn: () => send<SharedRoster[]>(ROSTERS),
})

export function addressOf(id: string) {
  return `${ROSTERS}/${encodeURIComponent(id)}` as const
}

/** As the server has it, with all its rows. */
export function rosterOf(id: string): Promise<Schemas['RosterView']> {
  return send<Schemas['RosterView']>(addressOf(id))
}

/** Whether a row, or a whole roster, that holds until a day holds on another; days as ISO 8601 writes them. */
export function holdsOn(until: string, day: string): boolean {
  return until === '' || until >= day
}

/** As it stands in a document: the rows that hold today. */
export function copyOf(view: Schemas['RosterView'], today: string) {
  const { id, name, key, until } = view.summary
  const rows = holdsOn(until, today) ? view.rows.filter((row) => holdsOn(row.until, today)) : []
  return { id, name, key, rows: rows.map((row) => row.cells) }
}

/** Rows with no more than some of the fields that were read, each once; rows without all of these are none. */
export function ofKey(
  read: Schemas['RosterRead'],
  key: readonly string[],
): { rows: { cells: string[]; until: string }[]; incomplete: number } {
  const places = key.map((field) => read.fields.indexOf(field))
  const byCells = new Map<string, { cells: string[]; until: string }>()
  let incomplete = 0
  for (const row of read.rows) {
    const cells = places.map((place) => row.cells[place] ?? '')
    if (cells.includes('')) {
      incomplete += 1
      continue
    }
    const known = byCells.get(JSON.stringify(cells))
    byCells.set(JSON.stringify(cells), { cells, until: later(known?.until, row.until) })
  }
  return { rows: [...byCells.values()], incomplete }
}

/** Of two last days the later one; no day is after every day. */
function later(one: string | undefined, other: string): string {
  if (one === undefined) {
    return other
  }
  return one === '' || other === '' ? '' : one > other ? one : other
}

/** Rows that only one of two has, by their cells. */
export function onlyIn(
  some: readonly { cells: readonly string[] }[],
  others: readonly { cells: readonly string[] }[],
): number {
  const known = new Set(others.map((row) => JSON.stringify(row.cells)))
  return some.filter((row) => !known.has(JSON.stringify(row.cells))).length
}

/** The key to begin with: a number alone, else all that was read of who somebody is. */
export function firstKey(fields: readonly string[]): string[] {
  const names = ['family_name', 'given_name', 'birth_date'].filter((name) => fields.includes(name))
  return fields.includes('id') ? ['id'] : names.length >= 2 ? names : [...fields]
}
