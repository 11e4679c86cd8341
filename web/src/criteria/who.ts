import { useInAddress } from '@/address'
import type { Schemas } from '@/api/client'
import { computed, shallowRef } from 'vue'

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
export const TO_CHECK: Behind = { part: 'TO_CHECK', title: 'Can’t tell' }
export const HAS: Behind = { part: 'HAS', title: 'Have it' }

/** Near the line of a criterion whose people are looked at, or else of the list. */
export function nearBehind(criterion?: string): Behind {
  return criterion
    ? { part: 'NEAR', criterion, title: 'Near this line' }
    : { part: 'NEAR', title: 'Near the line' }
}

/** The numbers that are always offered, by the word that an address has for each. */
const TABS: Readonly<Record<string, Behind>> = {
  'to-check': TO_CHECK,
  has: HAS,
  near: nearBehind(),
}

export function sameBehind(one: Behind, other: Behind): boolean {
  return one.part === other.part && one.criterion === other.criterion && one.band === other.band
}

/** The number whose people are looked at; the address says it where it is one that is always offered. */
export function useBehind() {
  const said = useInAddress('who')
  /** A number of the sheet, which may be another one tomorrow. */
  const ofSheet = shallowRef<Behind>()
  return computed({
    get: () => ofSheet.value ?? TABS[said.value] ?? ON_LIST,
    set: (behind: Behind) => {
      const word = Object.keys(TABS).find((one) => sameBehind(TABS[one] ?? ON_LIST, behind))
      ofSheet.value = word || sameBehind(behind, ON_LIST) ? undefined : behind
      said.value = word ?? ''
    },
  })
}
