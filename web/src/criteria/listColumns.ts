import type { Schemas } from '@/api/client'
import { headingWords } from '@/fields'
import { withKey, type CriteriaDocument, type Json } from './document'

/** What a list shows, or is ordered by: a field, or what a criterion finds (criteria.md, section 4). */
export type ListColumn = string | { criterion: string; column: string }

export interface Order {
  by: ListColumn
  descending?: true
}

export const LIST_FIELDS = ['due_on', 'band', 'state']

export function showOf(document: CriteriaDocument): ListColumn[] {
  return (document.show ?? []) as ListColumn[]
}

export function orderOf(document: CriteriaDocument): Order[] {
  return (document.order ?? []) as unknown as Order[]
}

export function withShow(document: CriteriaDocument, show: ListColumn[]): CriteriaDocument {
  return withKey(document, 'show', show.length ? show : undefined) as CriteriaDocument
}

export function withOrder(document: CriteriaDocument, order: Order[]): CriteriaDocument {
  return withKey(
    document,
    'order',
    order.length ? (order as unknown as Json) : undefined,
  ) as CriteriaDocument
}

/** How many of those on the list are shown; nothing where all are, or where a dial says it. */
export function topOf(document: CriteriaDocument): number | undefined {
  return typeof document.top === 'number' ? document.top : undefined
}

/** Tells a column from every other. */
export function keyOf(column: ListColumn): string {
  return typeof column === 'string' ? column : `${column.criterion}\n${column.column}`
}

/** The heading of a column. */
export function wordsOf(column: ListColumn, known: readonly Schemas['ColumnView'][]): string {
  if (typeof column === 'string') {
    return headingWords(column)
  }
  return (
    known.find((one) => keyOf(one) === keyOf(column))?.words ??
    `${column.criterion}: ${column.column}`
  )
}

/** The document without the columns of a criterion that goes. */
export function withoutColumnsOf(document: CriteriaDocument, criterion: string): CriteriaDocument {
  const isOfIt = (column: ListColumn) =>
    typeof column === 'object' && column.criterion === criterion
  const show = showOf(document).filter((one) => !isOfIt(one))
  const order = orderOf(document).filter((one) => !isOfIt(one.by))
  const shown = show.length === showOf(document).length ? document : withShow(document, show)
  return order.length === orderOf(document).length ? shown : withOrder(shown, order)
}

/** A list with one of its items a step earlier or later; as it is at its ends. */
export function stepped<T>(list: readonly T[], at: number, step: 1 | -1): T[] {
  const to = at + step
  const moved = list[at]
  return moved === undefined || to < 0 || to >= list.length
    ? [...list]
    : list.toSpliced(at, 1).toSpliced(to, 0, moved)
}
