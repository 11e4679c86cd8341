import { useEventListener, useSessionStorage } from '@vueuse/core'
import { defineStore } from 'pinia'

/** A function key, since a letter would go off while somebody types or speaks to the machine. */
export const VEIL_KEY = 'F9'

/** Whether names and contacts are hidden, for showing the screen to others. Stays through a reload. */
export const useVeil = defineStore('veil', () => {
  const isDown = useSessionStorage('dipstick veil', false)

  function turn(): void {
    isDown.value = !isDown.value
  }

  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.key === VEIL_KEY) {
      event.preventDefault()
      turn()
    }
  })

  return { isDown, turn }
})
