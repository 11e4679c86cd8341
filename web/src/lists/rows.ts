import type { Schemas } from '@/api/client'
import { sortKey } from '@/fields'
import { normalText } from '@/normalText'

/** A person on a list as the table shows and sorts them; what is not known stands last, whichever way it is sorted. */
export interface Row {
  id: string
  name: string
  age: string
  ageKey: number | undefined
  due: string
  /** Never having been met comes before the earliest due date. */
  dueKey: string
  overdue: string
  overdueKey: number | undefined
  band: string
  state: 'on' | 'check'
  phone: string
  provider: string
  site: string
  doNotContact: boolean
  /** Whether the set shows only so many of those on the list before them. */
  beyondTop: boolean
  /** What the set shows besides, in the order of its columns. */
  shown: readonly string[]
  /** By what those columns sort. */
  shownKeys: readonly (string | number)[]
  /** What finding looks through, as text is compared. */
  findable: string
}

const NEVER_MET = '0000-00-00'

export function rowOf(row: Schemas['ListRow']): Row {
  const { person } = row
  return {
    id: person.id,
    name: person.name,
    age: person.age,
    ageKey: person.age === '' ? undefined : Number.parseInt(person.age),
    due: row.due,
    dueKey: row.due === 'never' ? NEVER_MET : row.due,
    overdue: row.overdueDays !== undefined && row.overdueDays >= 0 ? String(row.overdueDays) : '',
    overdueKey: row.due === 'never' ? Number.MAX_SAFE_INTEGER : row.overdueDays,
    band: row.band,
    state: row.state === 'ON' ? 'on' : 'check',
    phone: person.phone,
    provider: person.provider,
    site: person.site,
    doNotContact: person.doNotContact,
    beyondTop: row.beyondTop,
    shown: row.shown,
    shownKeys: row.shown.map(sortKey),
    findable: normalText(
      `${person.name} ${person.id} ${person.phone} ${person.provider} ${person.site} ${row.band} ${row.shown.join(' ')}`,
    ),
  }
}
