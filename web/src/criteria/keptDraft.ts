import { StorageSerializers, useLocalStorage, type RemovableRef } from '@vueuse/core'
import { toValue, type MaybeRefOrGetter } from 'vue'
import type { CriteriaDocument } from './document'

/** In place of the id of a set that was never saved. */
export const NEW = 'new'

/** A set as it was being changed when it was last looked at. */
export interface KeptDraft {
  document: CriteriaDocument
  /** The revision that it was made from; none for a new set. */
  revision?: number
  /** Where it comes from, in a sentence; nothing where it was changed here. */
  from?: string
  /** When it was last changed, as an instant. */
  at: string
}

/** Under which ids drafts of this account are kept. */
function keyOf(account: string, id: string): string {
  return `dipstick draft ${account} ${id}`
}

/**
 * What is not saved yet is kept in this browser, for one account and set, so that neither a reload nor an expired
 * sign-in nor a lost connection loses it.
 */
export function useKeptDraft(
  account: MaybeRefOrGetter<string>,
  id: MaybeRefOrGetter<string>,
): RemovableRef<KeptDraft | null> {
  return useLocalStorage<KeptDraft | null>(() => keyOf(toValue(account), toValue(id)), null, {
    serializer: StorageSerializers.object,
    flush: 'sync',
    listenToStorageChanges: false,
  })
}

/** Whether this account left changes to a set that are not saved. */
export function hasKeptDraft(account: string, id: string): boolean {
  const kept = localStorage.getItem(keyOf(account, id))
  return kept !== null && kept !== 'null'
}

/** It is saved by now, or kept under another id. */
export function forgetKept(account: string, id: string): void {
  localStorage.removeItem(keyOf(account, id))
}

/**
 * What was kept of a set under an id was saved: it goes, or where more was typed since, goes on from the new revision.
 *
 * @param sent as it was kept when it was sent
 */
export function settleKept(
  account: string,
  id: string,
  sent: CriteriaDocument,
  revision: number,
): void {
  const key = keyOf(account, id)
  const kept = JSON.parse(localStorage.getItem(key) ?? 'null') as KeptDraft | null
  if (kept && JSON.stringify(kept.document) === JSON.stringify(sent)) {
    forgetKept(account, id)
  } else if (kept) {
    localStorage.setItem(key, JSON.stringify({ ...kept, revision }))
  }
}
