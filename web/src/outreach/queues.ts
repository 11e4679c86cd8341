import spans from '@/spans.json'
import { count } from '@/stick'
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
  | 'excused'
  | 'done'

export const QUEUES: readonly Queue[] = [
  { id: 'open', name: 'To do', empty: 'Nobody is left to do today.' },
  { id: 'mine', name: 'Mine', empty: 'You have nobody in hand. Take the next person.' },
  { id: 'nobodys', name: 'Nobody’s', empty: 'Everybody to do today is in somebody’s hand.' },
  { id: 'due', name: 'Due today', empty: 'Nothing more is due today.' },
  { id: 'joined', name: 'Joined', empty: `Nobody joined in the last ${count(spans.joined)} days.` },
  {
    id: 'check',
    name: 'To check',
    empty: 'Nobody is to check: the records say enough of everybody.',
  },
  { id: 'progress', name: 'In progress', empty: 'Nobody was tried yet.' },
  { id: 'waiting', name: 'Waiting', empty: 'Nobody’s next step lies ahead.' },
  { id: 'held', name: 'Held back', empty: 'Nobody is held back.' },
  { id: 'excused', name: 'Excused', empty: 'Nobody is excused.' },
  {
    id: 'done',
    name: 'Done',
    empty: `Nobody was done with or left in the last ${count(spans.done)} days.`,
  },
]

/** Stands for whichever band; no band is called so. */
export const ALL_BANDS = '\u0000'

export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000)
}
