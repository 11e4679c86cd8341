import type { Schemas } from '@/api/client'

export type Part = Schemas['WhoRequest']['part']

/** The people behind one number of the sheet. */
export interface Behind {
  part: Part
  criterion?: string
  title: string
}

export const ON_LIST: Behind = { part: 'ON_LIST', title: 'On the list' }

export function sameBehind(one: Behind, other: Behind): boolean {
  return one.part === other.part && one.criterion === other.criterion
}
