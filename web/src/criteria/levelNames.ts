import type { Schemas } from '@/api/client'

type Section = Schemas['CriterionLevel']['section']

/** Who is behind one of a criterion's numbers: left by it, perhaps left, or not. */
export type Side = 'LEFT' | 'MAYBE_LEFT' | 'FELL'

const AMONG: Record<Side, string> = {
  LEFT: 'Left after',
  MAYBE_LEFT: 'Can’t tell after',
  FELL: 'Fell at',
}
/** Of what should be on record nobody falls: some lack it. */
const ASKED: Record<Side, string> = { LEFT: 'Meet', MAYBE_LEFT: 'Can’t tell at', FELL: 'Lack' }

/** What those behind a number are called. */
export function titleOf(section: Section, side: Side, criterion: string): string {
  return `${(section === 'SHOULD_HAVE' ? ASKED : AMONG)[side]} “${criterion}”`
}

/** What stands beside the number of those who are not left. */
export function fellWord(section: Section): string {
  return section === 'SHOULD_HAVE' ? 'lack it' : 'fell'
}

/** What a number is of, for who hears it by itself; it begins with what is read. */
export function named(seen: string, section: Section, side: Side, criterion: string): string {
  return `${seen}: ${titleOf(section, side, criterion)}`
}
