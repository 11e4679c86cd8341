import type { Schemas } from '@/api/client'

export type Step = Schemas['Work']['step']
export type Effect = Schemas['AttemptOutcome']['effect']

export const STATES: Record<Schemas['DeskRow']['state'], string> = {
  TO_CONTACT: 'to contact',
  IN_PROGRESS: 'in progress',
  DONE: 'done',
  LEFT: 'left',
  CLOSED: 'closed',
}

/** What can come next, as somebody chooses it. */
export const STEPS: readonly { step: Step; name: string }[] = [
  { step: 'CALL', name: 'Call' },
  { step: 'LETTER', name: 'Send a letter' },
  { step: 'EMAIL', name: 'Send an e-mail' },
  { step: 'TEXT', name: 'Send a text' },
  { step: 'LOOK', name: 'See whether it is on record' },
  { step: 'CLOSE', name: 'Close: no response' },
]

/** Short, as a column has room for it. */
const SHORT: Record<Step, string> = {
  NONE: '',
  CALL: 'call',
  LETTER: 'letter',
  EMAIL: 'e-mail',
  TEXT: 'text',
  LOOK: 'look again',
  CLOSE: 'close',
}

export function stepWords(step: Step): string {
  return SHORT[step]
}

export const EFFECTS: readonly { effect: Effect; name: string }[] = [
  { effect: 'REACHED', name: 'they were reached' },
  { effect: 'BOOKED', name: 'they have an appointment' },
  { effect: 'DECLINED', name: 'they do not want to' },
  { effect: 'NOT_REACHED', name: 'they were not reached' },
  { effect: 'WRONG_NUMBER', name: 'the number is wrong' },
  { effect: 'SENT', name: 'something was sent' },
]
