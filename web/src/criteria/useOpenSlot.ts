import type { Schemas } from '@/api/client'
import { computed, ref } from 'vue'
import { bandsOf, changeBand } from './bands'
import {
  changeCriterion,
  criteriaOf,
  type CriteriaDocument,
  type JsonObject,
  type Place,
} from './document'
import { focusIn, focusLine } from './focusIn'
import { getAt, setAt } from './pointer'
import type { OpenSlot } from './SlotPopover.vue'

export type Control = NonNullable<Schemas['PhraseView']['control']>

/** What is known of a criterion or a band besides the document. */
type Known = Pick<OpenSlot, 'sentence' | 'findings'>

/**
 * The word of a sentence that is being changed, where it stands: in a band, or in a criterion.
 *
 * @param document as it is
 * @param placeOf where a criterion is
 * @param ofCriterion what is known of one, by its id
 * @param ofBand what is known of one, by its place
 */
export function useOpenSlot(
  document: () => CriteriaDocument,
  placeOf: (id: string) => Place | undefined,
  ofCriterion: (id: string) => Known,
  ofBand: (band: number) => Known,
) {
  const opened = ref<{ id: string; band?: number; control: Control; pointer: string }>()

  const slot = computed<OpenSlot | undefined>(() => {
    const open = opened.value
    if (open?.band !== undefined) {
      const band = bandsOf(document())[open.band]
      return (
        band && {
          ...open,
          ...ofBand(open.band),
          value: getAt(band.when, open.pointer) as JsonObject,
        }
      )
    }
    const at = open && placeOf(open.id)
    const criterion = at && criteriaOf(document(), at.section)[at.index]
    return (
      criterion && {
        ...open,
        ...ofCriterion(open.id),
        value: getAt(criterion.test, open.pointer) as JsonObject,
      }
    )
  })

  /** The document with what is open replaced; the document as it is where nothing is. */
  function withOpened(
    next: CriteriaDocument,
    how: (value: JsonObject) => JsonObject,
  ): CriteriaDocument {
    const open = opened.value
    if (!open) {
      return next
    }
    const changed = (json: JsonObject) =>
      setAt(json, open.pointer, how(getAt(json, open.pointer) as JsonObject)) as JsonObject
    if (open.band !== undefined) {
      return changeBand(next, open.band, (one) => ({ ...one, when: changed(one.when) }))
    }
    const at = placeOf(open.id)
    return at ? changeCriterion(next, at, (one) => ({ ...one, test: changed(one.test) })) : next
  }

  /** Back to the word that was being changed. */
  function backToWord() {
    const open = opened.value
    if (open?.band !== undefined) {
      focusIn(`[data-band="${String(open.band)}"] [data-control=${open.control}]`, 0)
    } else if (open) {
      focusLine(open.id, `[data-control=${open.control}]`, 0)
    }
  }

  return { backToWord, opened, slot, withOpened }
}
