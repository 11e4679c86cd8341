import { computed, shallowRef, type ComputedRef, type ShallowRef } from 'vue'

/** A value whose changes can be undone and redone. */
export interface History<T> {
  current: Readonly<ShallowRef<T>>
  canUndo: ComputedRef<boolean>
  canRedo: ComputedRef<boolean>
  /** Changes the value. Changes with the same key, one right after another, are undone together. */
  change: (next: T, key?: string) => void
  undo: () => void
  redo: () => void
  /** Starts anew, with nothing to undo. */
  reset: (value: T) => void
}

const MOST_STEPS = 500

export function useHistory<T>(start: T): History<T> {
  const current = shallowRef(start)
  const before = shallowRef<T[]>([])
  const after = shallowRef<T[]>([])
  let lastKey: string | undefined

  function change(next: T, key?: string): void {
    if (next === current.value) {
      return
    }
    if (key === undefined || key !== lastKey) {
      before.value = [...before.value.slice(-MOST_STEPS + 1), current.value]
    }
    lastKey = key
    after.value = []
    current.value = next
  }

  function step(from: ShallowRef<T[]>, to: ShallowRef<T[]>): void {
    const target = from.value.at(-1)
    if (from.value.length > 0) {
      to.value = [...to.value, current.value]
      from.value = from.value.slice(0, -1)
      current.value = target as T
      lastKey = undefined
    }
  }

  return {
    current,
    canUndo: computed(() => before.value.length > 0),
    canRedo: computed(() => after.value.length > 0),
    change,
    undo: () => {
      step(before, after)
    },
    redo: () => {
      step(after, before)
    },
    reset: (value) => {
      before.value = []
      after.value = []
      lastKey = undefined
      current.value = value
    },
  }
}
