import { useKeysOfPlace } from '@/keys'
import { useEventListener } from '@vueuse/core'

const KEYS = [
  { key: 'Ctrl+S', does: 'save as a draft' },
  { key: 'Ctrl+Enter', does: 'publish' },
  { key: 'Ctrl+Z, Ctrl+Shift+Z', does: 'undo, redo' },
  { key: 'Alt+1, Alt+2, Alt+3', does: 'type a criterion to include, exclude, should have' },
  { key: 'Tab, Enter', does: 'go to a word of a sentence, change it' },
  { key: 'F2 on a sentence', does: 'type it anew' },
  { key: 'Alt+↑, Alt+↓ on a sentence', does: 'move it up, down, also into the next section' },
  { key: 'Alt+O on a sentence', does: 'switch it off or on' },
  { key: 'Alt+Delete on a sentence', does: 'remove it' },
  { key: '↑, ↓ beside an opened person', does: 'previous, next person' },
  { key: '←, → and Page Up, Page Down on the ribbon', does: 'a day, a month earlier or later' },
]

/** What keys do at the bench as a whole; what they do in a sentence is that sentence's. */
export function useBenchKeyboard(does: {
  save: () => void
  publish: () => void
  undo: () => void
  redo: () => void
}) {
  useKeysOfPlace(() => ({ place: 'the bench', keys: KEYS }))

  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (!event.ctrlKey && !event.metaKey) {
      return
    }
    // What is undone while somebody types is what they typed.
    const typing =
      event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement
    const act = {
      s: does.save,
      enter: does.publish,
      z: typing ? undefined : event.shiftKey ? does.redo : does.undo,
    }[event.key.toLowerCase()]
    if (act) {
      event.preventDefault()
      act()
    }
  })
}
