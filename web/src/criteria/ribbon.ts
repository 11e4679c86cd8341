import { sendJson, sentenceOf, type Schemas } from '@/api/client'
import { dayNumber, isoOf } from '@/days'
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, shallowRef, watch, type Ref, type ShallowRef } from 'vue'
import type { Draft } from './levels'

/** The ribbon waits until the levels are back, which are looked at first. */
const AFTER_EDIT_MS = 200

/** The days between two, by where they lie along a line from 0 to 1. */
export interface Scale {
  first: string
  last: string
}

/** Where a day lies; one outside lies at the end that it is beyond. */
export function placeOf(day: string, { first, last }: Scale): number {
  const along = (dayNumber(day) - dayNumber(first)) / (dayNumber(last) - dayNumber(first))
  return Math.min(1, Math.max(0, along))
}

export function dayAt(place: number, { first, last }: Scale): string {
  const along = Math.min(1, Math.max(0, place))
  return isoOf(Math.round(dayNumber(first) + along * (dayNumber(last) - dayNumber(first))))
}

/** The day some days, or else months, on; the last of its month where that has no such day. */
export function stepped(day: string, by: { days?: number; months?: number }): string {
  if (by.days !== undefined) {
    return isoOf(dayNumber(day) + by.days)
  }
  const [year = 0, month = 1, ofMonth = 1] = day.split('-').map(Number)
  const months = year * 12 + month - 1 + (by.months ?? 0)
  const firstOf = (of: number) =>
    dayNumber(
      `${String(Math.floor(of / 12)).padStart(4, '0')}-${String((of % 12) + 1).padStart(2, '0')}-01`,
    )
  return isoOf(Math.min(firstOf(months) + ofMonth - 1, firstOf(months + 1) - 1))
}

export interface ShownRibbon {
  /** The newest that could be counted. */
  ribbon: Readonly<ShallowRef<Schemas['Ribbon'] | undefined>>
  /** Whether it is of the criteria as they were before the last change. */
  behind: Readonly<Ref<boolean>>
  /** Why it could not be counted, as a sentence; else empty. */
  problem: Readonly<Ref<string>>
}

/**
 * The list through two years, asked for again when the criteria change, not when the as-of date does.
 *
 * @param subject which set is on the bench: that of another one is never shown meanwhile
 */
export function useRibbon(draft: Ref<Draft>, subject: Readonly<Ref<unknown>>): ShownRibbon {
  const asked = computed(() =>
    JSON.stringify({ document: draft.value.document, settings: draft.value.settings }),
  )
  const settled = refDebounced(asked, AFTER_EDIT_MS)
  const { data, error } = useQuery({
    queryKey: computed(() => ['ribbon', subject.value, settled.value]),
    queryFn: ({ signal }) =>
      sendJson<Schemas['Ribbon']>('POST', '/api/bench/ribbon', JSON.parse(settled.value), {
        signal,
      }),
    enabled: computed(() => settled.value === asked.value),
    retry: false,
    gcTime: 60_000,
  })
  const ribbon = shallowRef<Schemas['Ribbon']>()
  watch(
    subject,
    () => {
      ribbon.value = undefined
    },
    { flush: 'sync' },
  )
  watch(data, (now) => {
    ribbon.value = now ?? ribbon.value
  })
  return {
    ribbon,
    behind: computed(() => settled.value !== asked.value || data.value === undefined),
    problem: computed(() => sentenceOf(error.value)),
  }
}
