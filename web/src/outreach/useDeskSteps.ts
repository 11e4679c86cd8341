import { sentenceOf } from '@/api/client'
import { until } from '@vueuse/core'
import { nextTick, ref, watch, type Ref } from 'vue'
import type { DeskRow } from './queues'
import type { useDeskActs } from './useDeskActs'
import type { useDeskPages } from './useDeskPages'

/** Goes from one person of a pile to another, and keeps somebody open while the pile changes. */
export function useDeskSteps(desk: {
  pages: ReturnType<typeof useDeskPages>
  current: Ref<string>
  /** What the pile is narrowed by; the pile is another one then. */
  narrowedBy: Ref<string | undefined>[]
  find: Ref<string>
  /** What was typed once the typing paused, which is what is looked for. */
  found: Ref<string>
  take: ReturnType<typeof useDeskActs>['take']
  warn: (sentence: string) => void
  told: Ref<string>
}) {
  const { pages, current, find, found, warn } = desk
  const { rows, places, isNobody, answered } = pages
  const lastIndex = ref(0)

  /** Whether whoever is open goes on being so only if they are in the pile that is turned to. */
  let turning = false
  watch(desk.narrowedBy, () => {
    turning = true
  })

  watch(
    [rows, isNobody],
    () => {
      const at = places.value.get(current.value)
      const first = rows.value.get(0)
      if (first && (isNobody.value || (turning && at === undefined))) {
        current.value = first.person.id
      }
      if (answered.value) {
        turning = false
      }
      if (at !== undefined) {
        lastIndex.value = at
      }
    },
    { immediate: true },
  )

  function open(one: DeskRow | undefined) {
    if (one) {
      current.value = one.person.id
      void nextTick(() =>
        document.querySelector<HTMLElement>(`.name[aria-current]`)?.focus({ preventScroll: true }),
      )
    }
  }

  async function step(by: 1 | -1) {
    const index = places.value.get(current.value)
    try {
      open(await pages.rowAt(index === undefined ? lastIndex.value : index + by))
    } catch (failure) {
      warn(sentenceOf(failure))
    }
  }

  /** Goes to whoever is found, once what was typed is looked for. */
  async function openFound() {
    await until(() => found.value === find.value && answered.value !== undefined).toBe(true)
    await step(1)
  }

  /** Takes whoever is open, if they are free; else goes on to the next who is free or mine. */
  async function takeNext() {
    const from = places.value.get(current.value) ?? lastIndex.value
    let next: DeskRow | undefined
    try {
      next = await pages.nextToTake(from)
    } catch (failure) {
      warn(sentenceOf(failure))
      return
    }
    if (next) {
      open(next)
      if (!next.inHand) {
        await desk.take(next)
      }
    } else {
      desk.told.value = 'Nobody more in this queue is free and to be tried today.'
    }
  }

  return { open, step, openFound, takeNext }
}
