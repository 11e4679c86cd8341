import type { Schemas } from '@/api/client'

export type DeskRow = Schemas['DeskRow']

/** A pile of the desk, from which the next person is taken. */
export interface Queue {
  id: QueueId
  name: string
  /** What is said where nobody is in it. */
  empty: string
}

export type QueueId =
  | 'open'
  | 'mine'
  | 'nobodys'
  | 'due'
  | 'joined'
  | 'check'
  | 'progress'
  | 'waiting'
  | 'held'
  | 'aside'
  | 'done'

export const QUEUES: readonly Queue[] = [
  { id: 'open', name: 'To do', empty: 'Nobody is left to do today.' },
  { id: 'mine', name: 'Mine', empty: 'You have nobody in hand. Take somebody with t.' },
  { id: 'nobodys', name: 'Nobody’s', empty: 'Everybody to do today is in somebody’s hand.' },
  { id: 'due', name: 'Due today', empty: 'Nothing more is due today.' },
  { id: 'joined', name: 'Joined', empty: 'Nobody joined in the last seven days.' },
  {
    id: 'check',
    name: 'To check',
    empty: 'Nobody is to check: the records say enough of everybody.',
  },
  { id: 'progress', name: 'In progress', empty: 'Nobody was tried yet.' },
  { id: 'waiting', name: 'Waiting', empty: 'Nobody’s next step lies ahead.' },
  { id: 'held', name: 'Held back', empty: 'Nobody is held back.' },
  { id: 'aside', name: 'Set aside', empty: 'Nobody is set aside.' },
  { id: 'done', name: 'Done', empty: 'Nobody was done with or left in the last sixty days.' },
]

/** Stands for whichever band; no band is called so. */
export const ALL_BANDS = '\u0000'

/** The bands that people are in, in the order of the set, and none where somebody is in none. */
export function bandsOf(
  ordered: readonly string[],
  rows: readonly DeskRow[],
): { band: string; name: string; people: number }[] {
  const people = new Map<string, number>()
  for (const { band } of rows) {
    people.set(band, (people.get(band) ?? 0) + 1)
  }
  const others = [...people.keys()].filter((band) => band !== '' && !ordered.includes(band))
  return ordered.length + others.length === 0
    ? []
    : [...ordered, ...others, ...(people.has('') ? [''] : [])].map((band) => ({
        band,
        name: band || 'in no band',
        people: people.get(band) ?? 0,
      }))
}

/** Somebody counts as joined for so many days. */
const DAYS_JOINED = 7

export function isOpen(row: DeskRow): boolean {
  return row.state === 'TO_CONTACT' || row.state === 'IN_PROGRESS'
}

/** Whether somebody is held back from what comes next. Looking at the records, or closing, pesters nobody. */
export function isHeldBack(row: DeskRow): boolean {
  return row.heldBack !== undefined && row.nextStep !== 'LOOK' && row.nextStep !== 'CLOSE'
}

/** Whether somebody is worked on: on the list, and neither set aside nor held back. */
function isWorked(row: DeskRow): boolean {
  return isOpen(row) && row.setAside === undefined && !isHeldBack(row)
}

/** Whether something is to be done about somebody now: nobody is tried before the day that is planned. */
function isDue(row: DeskRow, today: string): boolean {
  return isWorked(row) && row.nextOn <= today
}

/**
 * The next person to take: the first from a place on, and then from the beginning, who is to do and free, or mine.
 * @param current whom one has open, who need not be taken again
 */
export function nextToTake(
  rows: readonly DeskRow[],
  from: number,
  current: string,
  today: string,
): DeskRow | undefined {
  return [...rows.slice(from), ...rows.slice(0, from)].find(
    (row) =>
      isDue(row, today) &&
      (row.inHand === undefined || (row.inHand.mine && row.person.id !== current)),
  )
}

/**
 * Whoever is to check is in a pile of their own, whatever else is true of them; only those in one's own hand, those who
 * are set aside, and those who are done with are of both.
 *
 * @param today an ISO date, as are all days of a row
 */
export function isIn(queue: QueueId, row: DeskRow, today: string): boolean {
  const isOn = row.standing === 'ON'
  switch (queue) {
    case 'open':
      return isOn && isDue(row, today)
    case 'mine':
      return isOpen(row) && row.inHand?.mine === true
    case 'nobodys':
      return isOn && isDue(row, today) && row.inHand === undefined
    case 'due':
      return isOn && isDue(row, today) && row.nextOn !== '' && row.inHand?.mine !== false
    case 'joined':
      return isOn && isOpen(row) && daysBetween(row.joinedOn, today) < DAYS_JOINED
    case 'check':
      return isOpen(row) && row.setAside === undefined && row.standing === 'CHECK'
    case 'progress':
      return isOn && isOpen(row) && row.state === 'IN_PROGRESS'
    case 'waiting':
      return isOn && isWorked(row) && row.nextOn > today
    case 'held':
      return isOn && isOpen(row) && row.setAside === undefined && isHeldBack(row)
    case 'aside':
      return isOpen(row) && row.setAside !== undefined
    case 'done':
      return !isOpen(row)
  }
}

export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000)
}
