import { useSession } from '@/session'
import { useKeys } from '@/keys'
import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'

/**
 * What is done at a desk by one key. A caller has the telephone in one hand: what is done about every person lies on
 * the number pad, where the other rests; the rest are the first letters of what their buttons say.
 */
export const ACTS = [
  { act: 'takeNext', key: '+', does: 'take the next person who is free' },
  { act: 'note', key: '0', does: 'write a note' },
  { act: 'undo', key: '-', does: 'take back what was done last' },
  { act: 'mark', key: '*', does: 'mark; what is done then is done about all who are marked' },
  { act: 'find', key: '/', does: 'find' },
  { act: 'take', key: 't', does: 'take, or let go' },
  { act: 'plan', key: 'c', does: 'call again on …' },
  { act: 'excuse', key: 'e', does: 'excuse' },
  { act: 'close', key: 'd', does: 'done: close on this list' },
  { act: 'back', key: 'b', does: 'bring back, or open again' },
  { act: 'give', key: 'g', does: 'give to a colleague' },
] as const

export type DeskAct = (typeof ACTS)[number]['act']

const IN_USE: Readonly<Record<string, string>> = { '?': 'shows the keys', ' ': 'presses buttons' }

/** Which key does what at a desk, kept in this browser for each account. */
export const useDeskKeys = defineStore('desk keys', () => {
  const session = useSession()
  const keys = useKeys()
  const changed = useLocalStorage<Partial<Record<DeskAct, string>>>(
    () => `dipstick desk keys of ${session.signedIn?.name ?? ''}`,
    {},
  )
  const all = computed(() =>
    ACTS.map((one) => ({ ...one, key: changed.value[one.act] ?? one.key })),
  )

  function actOf(key: string): DeskAct | undefined {
    return all.value.find((one) => one.key === key)?.act
  }

  /** What a button says, with its key where keys work. */
  function named(words: string, act: DeskAct): string {
    const key = all.value.find((one) => one.act === act)?.key ?? ''
    return keys.single ? `${words} (${key})` : words
  }

  /** @returns why it may not be that key */
  function change(act: DeskAct, key: string): string | undefined {
    const small = key.toLowerCase()
    const other = all.value.find((one) => one.key === small && one.act !== act)?.does
    const use = /[1-9]/.test(small) ? 'logs what came of an attempt' : (IN_USE[small] ?? other)
    if (use) {
      return `${small} is in use already: ${use}.`
    }
    changed.value = { ...changed.value, [act]: small }
  }

  function asAtFirst(): void {
    changed.value = {}
  }

  return { all, actOf, named, change, asAtFirst }
})
