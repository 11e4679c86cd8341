import { send, type Schemas } from '@/api/client'

/** Where the state of the records is read, and what goes out of it. */
export const STATE = '/api/records/state'

export const stateQuery = {
  queryKey: ['records', 'state'],
  queryFn: () => send<Schemas['StateView']>(STATE),
}

/** What is odd, in words. */
export const ODD_WORDS: Record<Schemas['OddityView']['sort'], string> = {
  BEFORE_BIRTH: 'Records from before the person was born',
  AFTER_DEATH: 'Records from after the person died',
  FAR_AHEAD: 'Records more than two years ahead',
  TWICE_ON_A_DAY: 'The same code twice on one day',
  ANOTHER_UNIT: 'Values in another unit than nearly all of their code',
  FAR_VALUE: 'Values a thousand times the usual, or a thousandth',
  BORN_AHEAD: 'People born after today',
  DIED_BEFORE_BIRTH: 'People who died before they were born',
  TOO_OLD: 'People over 125 who are not recorded as deceased',
}

/** A part of a hundred, in words: none and all only where it is none and all. */
export function partWords(part: number, of: number): string {
  if (part === 0) {
    return ''
  }
  const percent = Math.round((100 * part) / of)
  if (part === of) {
    return 'all'
  }
  return percent === 0 ? '< 1%' : percent === 100 ? '> 99%' : `${String(percent)}%`
}
