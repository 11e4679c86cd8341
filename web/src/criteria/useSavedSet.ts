import { ifMatch, send, sendJson, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { useSaving } from '@/api/saving'
import { timeWords } from '@/days'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, readonly, ref, shallowRef, watch } from 'vue'
import { emptyDocument, putTermSet, slug, type CriteriaDocument, type TermSet } from './document'
import { useHistory } from './history'
import { forgetKept, NEW, settleKept, useKeptDraft } from './keptDraft'

type SetDocument = Schemas['SetDocument']

/**
 * A set on the bench: as it is being changed, as it is saved, and what is done with it. What is not saved is kept in
 * the browser; what somebody else saved meanwhile is never overwritten.
 *
 * @param id of the set, or {@link NEW}
 * @param account whose changes they are
 * @param elsewhere is told when something was not saved of a set that is not on the bench any more
 */
export function useSavedSet(
  id: () => string,
  account: string,
  elsewhere: (words: string) => void = () => undefined,
) {
  const queries = useQueryClient()
  const history = useHistory<CriteriaDocument>(emptyDocument())
  const kept = useKeptDraft(account, id)
  /** As it was last read or saved. */
  const state = shallowRef<SetDocument>()
  const saved = shallowRef<CriteriaDocument>(history.current.value)
  /** The revision that the changes were made to; nothing for a new set. */
  const revision = ref<number>()
  /** Counts what was put on the bench; an answer about what was there before changes nothing here. */
  const onBench = ref(0)
  const { save: ask, say, saving, problem, conflict } = useSaving(onBench, elsewhere)
  const loading = useNewest()
  const loaded = ref(false)
  /** Where the changes come from that are here and not saved, in words. */
  const broughtBack = ref('')

  const document = computed(() => history.current.value)
  const isNew = computed(() => revision.value === undefined)
  const unsaved = computed(() => document.value !== saved.value)
  const addressOf = (set: string) => `/api/criteria/${encodeURIComponent(set)}` as const
  /** Of the set that is saved: a step back in its history may be to before it had an id. */
  const address = () => addressOf(savedId() ?? document.value.id)

  function savedId(): string | undefined {
    return (state.value?.document as CriteriaDocument | undefined)?.id
  }

  async function load(): Promise<void> {
    loaded.value = false
    onBench.value += 1
    say('')
    loading.forget()
    if (id() === NEW) {
      start(emptyDocument(), undefined)
      return
    }
    await loading.ask(
      (signal) => send<SetDocument>(addressOf(id()), { signal }),
      (set) => {
        start(set.document as CriteriaDocument, set)
      },
    )
  }

  function start(of: CriteriaDocument, set: SetDocument | undefined) {
    const draft = kept.value
    history.reset(of)
    saved.value = of
    state.value = set
    revision.value = set?.revision
    broughtBack.value = ''
    if (draft) {
      history.change(draft.document)
      // Not the newest revision: if somebody else changed the set meanwhile, saving must say so.
      revision.value = draft.revision
      broughtBack.value =
        draft.from ?? `Your changes of ${timeWords(draft.at)} that were not saved are back.`
    }
    loaded.value = true
  }

  /** Keeps what is not saved in the browser, at the address of the set. */
  function keep() {
    kept.value = unsaved.value
      ? { document: document.value, revision: revision.value, at: new Date().toISOString() }
      : null
  }

  // At once: a moment later another set may be at the address under which it is kept.
  watch(
    document,
    () => {
      if (loaded.value) {
        keep()
      }
    },
    { flush: 'sync' },
  )

  /** A new set that was just saved is at its address already: reading it again would take the focus away. */
  function isHere(): boolean {
    return loaded.value && state.value !== undefined && id() === document.value.id
  }

  watch(
    id,
    (_, before) => {
      if (isHere()) {
        keep()
        forgetKept(account, before ?? NEW)
      } else {
        void load()
      }
    },
    { immediate: true },
  )

  /** Does something with the set at the server, and takes over what came of it; false where it was refused. */
  function act(
    change: () => Promise<SetDocument>,
    done: () => void = () => undefined,
  ): Promise<boolean> {
    return ask(change, (answer) => {
      state.value = answer
      revision.value = answer.revision
      done()
      void queries.invalidateQueries({ queryKey: ['criteria'] })
      void queries.invalidateQueries({ queryKey: ['lists'] })
      void queries.invalidateQueries({ queryKey: ['termSets'] })
    })
  }

  function ifUnchanged(): RequestInit {
    return isNew.value ? { headers: { 'If-None-Match': '*' } } : ifMatch(revision.value)
  }

  /** Whether it has a name, without which it can be neither saved nor published; says so. */
  function named(): boolean {
    const has = document.value.name.trim() !== ''
    say(has ? '' : 'Give the set a name first; it is kept here meanwhile.')
    return has
  }

  /** Saves the changes as a draft; what is published stays as it is. */
  async function save(): Promise<boolean> {
    if (!named()) {
      return false
    }
    const setId = savedId() ?? (slug(document.value.name) || 'set')
    const before = document.value
    const keptAt = id()
    const toSave = { ...before, id: setId, name: before.name.trim() }
    return act(
      async () => {
        const answer = await sendJson<SetDocument>('PUT', addressOf(setId), toSave, ifUnchanged())
        // Also where another set is on the bench by now.
        settleKept(account, keptAt, before, answer.revision)
        return answer
      },
      () => {
        settle(before, toSave)
      },
    )
  }

  /** This is saved; what was typed while it was under way stays, and is still to be saved. */
  function settle(before: CriteriaDocument, nowSaved: CriteriaDocument) {
    const typedSince = document.value !== before
    const { id: setId } = nowSaved
    history.change(typedSince ? { ...document.value, id: setId } : nowSaved, 'name')
    saved.value = typedSince ? nowSaved : history.current.value
    broughtBack.value = ''
    keep()
  }

  /** Saves what is not saved, and makes it the next version. */
  async function publish(note: string): Promise<boolean> {
    return (
      ((!unsaved.value && !isNew.value) || (await save())) &&
      (await act(() => sendJson('POST', `${address()}/publish`, { note }, ifUnchanged())))
    )
  }

  /** Goes back to what is published. */
  async function dropDraft(): Promise<void> {
    const before = document.value
    await act(
      () => send(`${address()}/draft`, { method: 'DELETE', ...ifUnchanged() }),
      () => {
        const published = state.value?.document as CriteriaDocument
        saved.value = published
        if (document.value === before) {
          history.change(published)
          broughtBack.value = ''
        }
        keep()
      },
    )
  }

  async function retire(retired: boolean): Promise<void> {
    await act(() => sendJson('PUT', `${address()}/retired`, { retired }, ifUnchanged()))
  }

  /** Goes back to what is saved. Undo brings the changes back, unless they were made to an older revision. */
  function putAway() {
    if (revision.value === state.value?.revision) {
      broughtBack.value = ''
      history.change(saved.value)
    } else {
      takeTheirs()
    }
  }

  function takeTheirs() {
    kept.value = null
    void load()
  }

  /** Keeps what is here as a set of its own, beside the one that somebody else changed. */
  async function saveAsOther(): Promise<boolean> {
    history.change({ ...document.value, id: '', name: `${document.value.name} (mine)` })
    state.value = undefined
    revision.value = undefined
    return save()
  }

  /** A term set was changed for all sets, this one among them. */
  function takeTermSet(answer: Schemas['TermSetSaved']) {
    const { id: termSetId, name, members } = answer.termSet
    const termSet: TermSet = { id: termSetId, name, members: members as TermSet['members'] }
    const wasSaved = !unsaved.value
    const rewritten = answer.sets.find((one) => one.id === document.value.id)
    history.change(putTermSet(document.value, termSet))
    if (rewritten && rewritten.before === revision.value) {
      revision.value = rewritten.after
      const { after, version } = rewritten
      state.value = state.value && { ...state.value, revision: after, version }
      saved.value = wasSaved ? history.current.value : putTermSet(saved.value, termSet)
      keep()
    }
  }

  return {
    history,
    document,
    state,
    isNew,
    unsaved,
    onBench: readonly(onBench),
    loaded,
    saving,
    problem: computed(() => problem.value || loading.problem.value),
    named,
    conflict,
    broughtBack,
    save,
    publish,
    dropDraft,
    retire,
    putAway,
    takeTheirs,
    saveAsOther,
    takeTermSet,
  }
}
