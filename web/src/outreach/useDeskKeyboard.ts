import { isTyped, useKeys, useKeysOfPlace } from '@/keys'
import { useEventListener } from '@vueuse/core'
import type { Ref } from 'vue'
import { useDeskKeys, type DeskAct } from './deskKeys'

interface Does {
  acts: Readonly<Record<DeskAct, () => unknown>>
  step: (by: 1 | -1) => unknown
  /** Logs what came of it, by the place of the outcome among those in use. */
  logAt: (place: number) => unknown
  print: () => unknown
}

const FREE_FOR_ALL = new Set<DeskAct>(['find', 'mark'])

/**
 * The keys of a desk, while nothing stands over it. Whoever may only look goes through the list, finds and marks.
 *
 * @param isCovered whether a dialog is open
 */
export function useDeskKeyboard(
  { acts, step, logAt, print }: Does,
  mayWork: Ref<boolean>,
  isCovered: () => boolean,
) {
  const keys = useKeys()
  const deskKeys = useDeskKeys()

  useKeysOfPlace(() => ({
    place: 'the desk',
    keys: [
      { key: '↓ ↑', does: 'next and previous person' },
      { key: '1 … 9', does: 'log what came of the attempt' },
      ...deskKeys.all.map((one) => ({
        ...one,
        change: (key: string) => deskKeys.change(one.act, key),
      })),
      { key: 'Ctrl+Enter', does: 'keep the note by itself' },
      { key: 'Ctrl+P', does: 'print all of this pile' },
    ],
    asAtFirst: deskKeys.asAtFirst,
  }))

  function actOf(key: string): { does: () => unknown; isHeldDown: boolean } | undefined {
    if (key === 'ArrowDown' || key === 'ArrowUp') {
      return { does: () => step(key === 'ArrowDown' ? 1 : -1), isHeldDown: true }
    }
    const act = keys.single ? deskKeys.actOf(key.toLowerCase()) : undefined
    if (act) {
      return mayWork.value || FREE_FOR_ALL.has(act)
        ? { does: acts[act], isHeldDown: false }
        : undefined
    }
    return keys.single && mayWork.value && /^[1-9]$/.test(key)
      ? { does: () => logAt(Number(key) - 1), isHeldDown: false }
      : undefined
  }

  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.key === 'p' && (event.ctrlKey || event.metaKey) && !isCovered()) {
      event.preventDefault()
      void print()
      return
    }
    if (isTyped(event) || isCovered() || keys.shown) {
      return
    }
    const act = actOf(event.key)
    if (act) {
      event.preventDefault()
      // A key that is held down goes on through the list, but logs one attempt.
      if (!event.repeat || act.isHeldDown) {
        void act.does()
      }
    }
  })
}
