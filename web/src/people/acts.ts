import type { Schemas } from '@/api/client'

/** What an act of the log did, in words. */
export const ACTS: Record<Schemas['LoggedAct']['kind'], string> = {
  JOINED: 'Joined',
  DONE: 'Done',
  LEFT: 'Left',
  NOW_TO_CHECK: 'Now to check',
  NOW_ON: 'Now certainly on the list',
  TAKEN: 'Taken in hand',
  LET_GO: 'Let go',
  GIVEN: 'Given',
  ATTEMPT: '',
  NOTE: 'Note',
  PLANNED: 'Planned',
  CLOSED: 'Closed',
  REOPENED: 'Opened again',
  EXCUSED: 'Excused',
  BACK: 'Brought back',
  HANDED_OVER: 'Handed over',
}
