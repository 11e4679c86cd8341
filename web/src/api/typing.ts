import { computed, ref, shallowRef, watch, type ComputedRef, type Ref } from 'vue'
import { ifMatch } from './client'

/** Something as it is kept at the server. */
export interface Kept<T> {
  value: T
  revision: number
}

export interface Typing<T> {
  /** What is typed; nothing until what is kept is known. */
  draft: Ref<T | undefined>
  /** Says to which revision what is typed was made; to none where there is nothing yet. */
  ifMatch: ComputedRef<RequestInit>
  /** Whether it says something else than what it was made from. */
  touched: ComputedRef<boolean>
  /** What was sent is kept now, at this revision; what was typed since is still to be saved. */
  saved: (sent: T, revision: number) => void
  /** Leaves what was typed, and begins from what is kept. */
  begin: () => void
}

/** What was typed, and what it was made from. */
interface Begun<T> {
  of: string
  value: T | undefined
  revision: number
}

function copy<T>(value: T): T {
  return value === undefined ? value : (JSON.parse(JSON.stringify(value)) as T)
}

/**
 * What is typed over something that is kept. What comes from the server meanwhile is taken over only while nothing is
 * typed; else the draft goes on from the revision that it was made to, so that saving it tells of the conflict.
 *
 * @param of which one it is. What is typed over one is there again when it is come back to; over one that is not kept yet,
 * it goes on as it is.
 */
export function useTyping<T>(of: () => string, kept: () => Kept<T> | undefined): Typing<T> {
  const base = shallowRef<Begun<T>>({ of: of(), value: undefined, revision: 0 })
  const draft = ref() as Ref<T | undefined>
  const touched = computed(() => JSON.stringify(draft.value) !== JSON.stringify(base.value.value))
  const left = new Map<string, { base: Begun<T>; draft: T | undefined }>()

  function begin(): void {
    const now = kept()
    base.value = { of: of(), value: copy(now?.value), revision: now?.revision ?? 0 }
    draft.value = copy(now?.value)
  }

  function goTo(which: string): void {
    if (touched.value) {
      left.set(base.value.of, { base: base.value, draft: copy(draft.value) })
    }
    const before = left.get(which)
    if (before) {
      left.delete(which)
      base.value = before.base
      draft.value = before.draft
    } else if (kept()) {
      begin()
    } else {
      base.value = { of: which, value: undefined, revision: 0 }
    }
  }

  watch(
    [of, () => JSON.stringify(kept())],
    ([which]) => {
      if (which !== base.value.of) {
        goTo(which)
      } else if (kept() && !touched.value) {
        begin()
      }
    },
    { immediate: true },
  )

  return {
    draft,
    ifMatch: computed(() => ifMatch(base.value.revision)),
    touched,
    saved(sent, revision) {
      base.value = { of: base.value.of, value: copy(sent), revision }
    },
    begin,
  }
}
