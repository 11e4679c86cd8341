import { useSession } from '@/session'
import { useEventListener, useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import { isTyped } from './isTyped'

/** A key of a place, and what it does. */
export interface PlaceKey {
  readonly key: string
  readonly does: string
  /** Gives it another, where it may have one; tells why it may not have that. */
  readonly change?: (key: string) => string | undefined
}

/** The keys of a place, which is named as in “Keys of the desk”. */
interface PlaceKeys {
  readonly place: string
  readonly keys: readonly PlaceKey[]
  /** Brings back the keys that it had at first, where any was changed. */
  readonly asAtFirst?: () => void
}

/**
 * What keys do where one is. Keys that are a single letter, digit or sign can be switched off, for who speaks to the
 * machine or hits keys unawares (WCAG 2.2, 2.1.4); that is kept in this browser for each account.
 */
export const useKeys = defineStore('keys', () => {
  const session = useSession()
  const places = shallowRef<readonly (() => PlaceKeys)[]>([])
  const shown = ref(false)
  const single = useLocalStorage(
    () => `dipstick single keys of ${session.signedIn?.name ?? ''}`,
    true,
  )
  const here = computed(() => places.value.at(-1)?.())

  /** Tells the keys of a place for as long as it is open. */
  function tell(keys: () => PlaceKeys): () => void {
    places.value = [...places.value, keys]
    return () => (places.value = places.value.filter((one) => one !== keys))
  }

  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.key === '?' && single.value && !isTyped(event)) {
      event.preventDefault()
      shown.value = true
    }
  })

  return { here, shown, single, tell }
})

/** Tells the keys of the place that asks, while it is open. */
export function useKeysOfPlace(keys: () => PlaceKeys): void {
  onScopeDispose(useKeys().tell(keys))
}
