import type { Schemas } from '@/api/client'

export type Doubt = Schemas['DoubtView']

/** A way to mend what looks wrong: its words, and what it does to the criterion. */
export type Mend = { words: string } & (
  | { does: 'act'; act: 'off' | 'remove' }
  | { does: 'who'; part: 'MAYBE_LEFT' | 'FELL' }
  | { does: 'open'; controls: NonNullable<Schemas['PhraseView']['control']>[] }
  | { does: 'termSet' }
  | { does: 'turn' }
)

const MENDS: Record<Doubt['kind'], Mend> = {
  REMOVES_NOBODY: { words: 'Switch it off', does: 'act', act: 'off' },
  REMOVES_EVERYBODY: { words: 'See who fell', does: 'who', part: 'FELL' },
  MANY_UNSURE: { words: 'See them', does: 'who', part: 'MAYBE_LEFT' },
  UNUSED_TERMS: { words: 'Open the term set', does: 'termSet' },
  BEFORE_RECORDS: { words: 'Change the window', does: 'open', controls: ['WINDOW'] },
  STILL_WAITING: { words: 'Change the window', does: 'open', controls: ['WINDOW'] },
  OUTSIDE_RECORDS: {
    words: 'Change the value',
    does: 'open',
    controls: ['FIELD', 'PICK', 'SELECTION'],
  },
  MIXED_UNITS: { words: 'Say the unit', does: 'open', controls: ['PICK', 'SELECTION'] },
  SAME_AS_ANOTHER: { words: 'Remove it', does: 'act', act: 'remove' },
  SAYS_A_LACK: { words: 'Turn it round', does: 'turn' },
  NOBODY_MEETS_BOTH: { words: 'Switch it off', does: 'act', act: 'off' },
}

export function mendOf(doubt: Doubt): Mend {
  return MENDS[doubt.kind]
}
