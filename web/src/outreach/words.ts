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

/** Each step as somebody chooses it, and short, as a column has room for it. */
const STEP_WORDS: Record<Step, { name: string; short: string }> = {
  NONE: { name: '', short: '' },
  CALL: { name: 'Call', short: 'call' },
  LETTER: { name: 'Send a letter', short: 'letter' },
  EMAIL: { name: 'Send an e-mail', short: 'e-mail' },
  TEXT: { name: 'Send a text', short: 'text' },
  LOOK: { name: 'See whether it is on record', short: 'look again' },
  CLOSE: { name: 'Close: no response', short: 'close' },
}

/** What can come next, as somebody chooses it. */
export const STEPS = (Object.keys(STEP_WORDS) as Step[])
  .filter((step) => step !== 'NONE')
  .map((step) => ({ step, name: STEP_WORDS[step].name }))

export function stepWords(step: Step): string {
  return STEP_WORDS[step].short
}

export const EFFECTS: readonly { effect: Effect; name: string }[] = [
  { effect: 'REACHED', name: 'they were reached' },
  { effect: 'BOOKED', name: 'they have an appointment' },
  { effect: 'DECLINED', name: 'they do not want to' },
  { effect: 'NOT_REACHED', name: 'they were not reached' },
  { effect: 'WRONG_NUMBER', name: 'the number is wrong' },
  { effect: 'SENT', name: 'something was sent' },
]
