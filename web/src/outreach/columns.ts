import type { Schemas } from '@/api/client'
import { dayWords, lapseWords, shortDayWords } from '@/days'
import { cellWords, headingWords, tellsWho } from '@/fields'
import { daysBetween, type DeskRow } from './queues'
import { STATES, stepWords } from './words'

/** A column that a set shows besides. */
export type Shown = Schemas['ShownColumn']

/** A column of the desk itself, or one that the set shows besides. */
export type ColumnId = OwnColumnId | `${typeof FIELD | typeof FOUND}${string}`

/** Before the name of a field of people. */
const FIELD = 'field:'
/** Before the heading of what a criterion finds. */
const FOUND = 'found:'

type OwnColumnId =
  | 'name'
  | 'age'
  | 'due'
  | 'overdue'
  | 'band'
  | 'next'
  | 'hand'
  | 'last'
  | 'phone'
  | 'provider'
  | 'site'
  | 'joined'
  | 'also'
  | 'state'
  | 'standing'
  | 'language'
  | 'by'
  | 'why'

/** A column of the desk: what it shows of somebody. By what it sorts, the server knows. */
export interface DeskColumn {
  id: ColumnId
  name: string
  /** As a part of the width. */
  width: string
  /** Whether it tells who somebody is, and is veiled. */
  telling?: boolean
  text: (row: DeskRow, today: string) => string
}

export const COLUMNS: readonly DeskColumn[] = [
  { id: 'name', name: 'Name', width: '1.2fr', telling: true, text: (row) => row.person.name },
  {
    id: 'age',
    name: 'Age',
    width: '44px',
    text: (row) => row.person.age,
  },
  {
    id: 'due',
    name: 'Due',
    width: '92px',
    text: (row) => lapseWords(row.due),
  },
  {
    id: 'overdue',
    name: 'Days late',
    width: '70px',
    text: (row, today) => {
      const days = row.due === 'never' || row.due === '' ? -1 : daysBetween(row.due, today)
      return days < 0 ? '' : String(days)
    },
  },
  { id: 'band', name: 'Band', width: '1.5fr', text: (row) => row.band },
  {
    id: 'next',
    name: 'Next',
    width: '1.15fr',
    text: (row, today) =>
      row.nextStep === 'NONE'
        ? ''
        : `${stepWords(row.nextStep)}, ${shortDayWords(row.nextOn, today)}`,
  },
  {
    id: 'hand',
    name: 'In hand',
    width: '0.92fr',
    text: (row) => (row.inHand ? (row.inHand.mine ? 'me' : row.inHand.name) : ''),
  },
  {
    id: 'last',
    name: 'Last attempt',
    width: '1.25fr',
    text: (row, today) =>
      row.lastAttempt
        ? `${row.lastAttempt.outcome}, ${shortDayWords(row.lastAttempt.on, today)}`
        : '',
  },
  {
    id: 'phone',
    name: 'Number to try',
    width: '112px',
    telling: true,
    text: (row) => row.person.phone,
  },
  { id: 'provider', name: 'Provider', width: '1fr', text: (row) => row.person.provider },
  { id: 'site', name: 'Site', width: '0.8fr', text: (row) => row.person.site },
  {
    id: 'joined',
    name: 'Joined',
    width: '92px',
    text: (row) => dayWords(row.joinedOn),
  },
  { id: 'also', name: 'Also on', width: '1fr', text: (row) => row.alsoOn.join(', ') },
  { id: 'state', name: 'State', width: '0.8fr', text: (row) => STATES[row.state] },
  { id: 'standing', name: 'Pile', width: '84px', text: (row) => PILES[row.standing] },
  { id: 'language', name: 'Language', width: '72px', text: (row) => row.language },
  { id: 'by', name: 'Contact by', width: '80px', text: (row) => row.contactBy },
  { id: 'why', name: 'Why', width: '2fr', text: (row) => row.said },
]

const PILES = { ON: 'on the list', CHECK: 'to check', OFF: 'off the list' }

export function columnOf(id: string): DeskColumn | undefined {
  if (id.startsWith(FIELD)) {
    return fieldColumn(id.slice(FIELD.length))
  }
  return id.startsWith(FOUND)
    ? foundColumn(id.slice(FOUND.length))
    : COLUMNS.find((column) => column.id === id)
}

function fieldColumn(field: string): DeskColumn {
  return {
    id: `${FIELD}${field}`,
    name: headingWords(field),
    width: field === 'mobile' ? '104px' : '1fr',
    telling: tellsWho(field),
    text: (row) => row.shown[field] ?? '',
  }
}

/** What a criterion finds: numbers sort as such, days are said as days. */
function foundColumn(name: string): DeskColumn {
  const said = (row: DeskRow) => row.shown[name] ?? ''
  return {
    id: `${FOUND}${name}`,
    name,
    width: '1fr',
    text: (row) => cellWords(said(row)),
  }
}

/** The columns of the desk that show what is named in a set; one that the desk has anyway stands for its field. */
const OWN: Record<string, OwnColumnId> = {
  due_on: 'due',
  band: 'band',
  state: 'standing',
  phone: 'phone',
  provider: 'provider',
  site: 'site',
  language: 'language',
  contact_by: 'by',
}

function shownId({ name, ofCriterion }: Shown): ColumnId {
  return ofCriterion ? `${FOUND}${name}` : (OWN[name] ?? `${FIELD}${name}`)
}

/** All that can stand at the desk of a set, with what it shows besides. */
export function columnsOf(show: readonly Shown[]): DeskColumn[] {
  const own = new Set<ColumnId>(COLUMNS.map(({ id }) => id))
  const further = show.map(shownId).filter((id) => !own.has(id))
  return [...COLUMNS, ...further.map(columnOf).filter((column) => column !== undefined)]
}

export const SET_ORDER = 'set'

/** How the desk is laid out for somebody. */
export interface View {
  name: string
  columns: ColumnId[]
  /** A column, or the order that the set gives. */
  sortBy: ColumnId | typeof SET_ORDER
  descending: boolean
  groupBy: ColumnId | ''
}

export const USUAL_VIEW: View = {
  name: 'Usual',
  columns: ['name', 'age', 'due', 'band', 'next', 'hand', 'last'],
  sortBy: 'due',
  descending: false,
  groupBy: '',
}

/** What the set shows comes after the name, the age, the due date and the band. */
const BEFORE_SHOWN = 4
/** Of the usual columns that come after it the last give way, so that all can be read. */
const ROOM = 4

/** The usual view, with what a set shows, and in the order that it gives. */
export function usualView(show: readonly Shown[], isOrdered: boolean): View {
  const further = show.map(shownId).filter((id) => !USUAL_VIEW.columns.includes(id))
  const before = USUAL_VIEW.columns.slice(0, BEFORE_SHOWN)
  const after = USUAL_VIEW.columns.slice(BEFORE_SHOWN)
  return {
    ...USUAL_VIEW,
    columns: [...before, ...further, ...after.slice(0, Math.max(1, ROOM - further.length))],
    sortBy: isOrdered ? SET_ORDER : USUAL_VIEW.sortBy,
  }
}
