import type { Schemas } from '@/api/client'

/** Near the line is not a number of the sheet, but it is asked for in the same place. */
export type Part = Schemas['WhoRequest']['part'] | 'NEAR'

/** The people behind one number of the sheet. */
export interface Behind {
  part: Part
  criterion?: string
  /** Of those in a band; nothing for those in none. */
  band?: string
  title: string
}

export const ON_LIST: Behind = { part: 'ON_LIST', title: 'On the list' }

/** Near the line of a criterion whose people are looked at, or else of the list. */
export function nearBehind(criterion?: string): Behind {
  return criterion
    ? { part: 'NEAR', criterion, title: 'Near this line' }
    : { part: 'NEAR', title: 'Near the line' }
}

export function sameBehind(one: Behind, other: Behind): boolean {
  return one.part === other.part && one.criterion === other.criterion && one.band === other.band
}
