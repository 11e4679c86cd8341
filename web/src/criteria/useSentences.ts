import {
  addCriterion,
  changeCriterion,
  criteriaOf,
  freshId,
  moveCriterion,
  neighbour,
  putTermSet,
  removeCriterion,
  SECTIONS,
  slug,
  termSetsOf,
  withKey,
  type CriteriaDocument,
  type Criterion,
  type JsonObject,
  type Place,
  type Section,
  type TermSet,
} from './document'
import { focusLine } from './focusIn'
import { withoutColumnsOf } from './listColumns'
import { setAt } from './pointer'
import { namedIn } from './termsets'
import { termSetWith, withTermSets } from './typed'

/** What can be done with a criterion, besides changing what it says. */
export type CriterionAct = 'off' | 'remove' | 'copy' | 'not'

/**
 * What is done with the sentences of a sheet: each makes another document, which is handed on.
 *
 * @param document as it is
 * @param nameable the same with all that may be named in it
 * @param publish hands on the next one; changes of one key are undone together
 */
export function useSentences(
  document: () => CriteriaDocument,
  nameable: () => CriteriaDocument,
  publish: (next: CriteriaDocument, key?: string) => void,
) {
  function placeOf(id: string): Place | undefined {
    for (const section of SECTIONS) {
      const index = criteriaOf(document(), section).findIndex((one) => one.id === id)
      if (index >= 0) {
        return { section, index }
      }
    }
    return undefined
  }

  function change(at: Place, how: (criterion: Criterion) => Criterion, key?: string) {
    publish(changeCriterion(document(), at, how), key)
  }

  function relabel(at: Place, label: string) {
    const id = criteriaOf(document(), at.section)[at.index]?.id ?? ''
    change(at, (one) => withKey(one, 'label', label || undefined) as Criterion, `${id} label`)
  }

  /** Says what it counts as where the records do not say. */
  function settle(at: Place, unsure: 'ask' | 'meets' | 'fails') {
    change(at, (one) => withKey(one, 'unsure', unsure === 'ask' ? undefined : unsure) as Criterion)
  }

  function removePart(at: Place, pointer: string) {
    change(at, (one) => ({ ...one, test: setAt(one.test, pointer, undefined) as JsonObject }))
  }

  function add(section: Section, test: JsonObject, word: string) {
    const id = freshId(document(), word)
    publish(addCriterion(document(), section, test, word))
    focusLine(id, '[data-control]')
  }

  /** The document with the shared term sets that something newly said in it names. */
  function withNamed(next: CriteriaDocument, said: JsonObject): CriteriaDocument {
    const named = namedIn(said)
    const own = new Set(termSetsOf(next).map((one) => one.id))
    const missing = termSetsOf(nameable()).filter((one) => named.has(one.id) && !own.has(one.id))
    return withTermSets(next, missing)
  }

  /** The document with the term sets that something typed names: those it brought along, and shared ones. */
  function withTyped(test: JsonObject, made: TermSet[]): CriteriaDocument {
    const named = namedIn(test)
    const used = made.filter((one) => named.has(one.id))
    return withNamed(withTermSets(document(), used), test)
  }

  function retype(at: Place, test: JsonObject, made: TermSet[]) {
    publish(changeCriterion(withTyped(test, made), at, (one) => ({ ...one, test })))
  }

  function addTyped(section: Section, test: JsonObject, made: TermSet[], words: string) {
    const next = withTyped(test, made)
    // Whoever said several things of whom to include has as many criteria, each with its level.
    const parts = test.all as JsonObject[] | undefined
    const several = section === 'INCLUDE' && parts !== undefined && !/^\s*all of these/i.test(words)
    const tests = several ? parts : [test]
    publish(
      tests.reduce<CriteriaDocument>((to, one) => addCriterion(to, section, one, words), next),
    )
  }

  function move(at: Place, step: 1 | -1) {
    const to = neighbour(document(), at, step)
    const id = criteriaOf(document(), at.section)[at.index]?.id
    if (to && id) {
      publish(moveCriterion(document(), at, to))
      focusLine(id, '.grip')
    }
  }

  function drop(to: Place, event: DragEvent) {
    const from = placeOf(event.dataTransfer?.getData('text/plain') ?? '')
    if (from) {
      const shift = from.section === to.section && from.index < to.index ? 1 : 0
      publish(moveCriterion(document(), from, { ...to, index: to.index - shift }))
    }
  }

  function act(at: Place, what: CriterionAct) {
    switch (what) {
      case 'off':
        change(at, (one) => withKey(one, 'off', one.off ? undefined : true) as Criterion)
        break
      case 'remove':
        publish(removed(at))
        break
      case 'copy': {
        const one = criteriaOf(document(), at.section)[at.index]
        if (one) {
          publish(addCriterion(document(), at.section, one.test, one.id))
        }
        break
      }
      case 'not':
        change(at, (one) => ({ ...one, test: turned(one.test) }))
        break
    }
  }

  /** With it go the columns that say what it finds. */
  function removed(at: Place): CriteriaDocument {
    const gone = criteriaOf(document(), at.section)[at.index]
    const rest = removeCriterion(document(), at)
    return gone ? withoutColumnsOf(rest, gone.id) : rest
  }

  /** Exempts everybody who has such a record: a sentence to go on from. */
  function exempt(member: JsonObject, name: string, kind: string) {
    const termSet = termSetWith(nameable(), name, [member])
    const test: JsonObject = { events: { kinds: [kind], terms: [termSet.id] } }
    const id = freshId(document(), slug(name) || 'exempt')
    publish(addCriterion(putTermSet(document(), termSet), 'EXCLUDE', test, id))
    focusLine(id, '[data-control=WINDOW]')
  }

  return {
    act,
    add,
    addTyped,
    drop,
    exempt,
    move,
    placeOf,
    relabel,
    removePart,
    retype,
    settle,
    withNamed,
    withTyped,
  }
}

function turned(test: JsonObject): JsonObject {
  return 'not' in test ? (test.not as JsonObject) : { not: test }
}
