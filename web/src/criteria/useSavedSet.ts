import { Problem, send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { timeWords } from '@/days'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, shallowRef, watch } from 'vue'
import { emptyDocument, putTermSet, slug, type CriteriaDocument, type TermSet } from './document'
import { useHistory } from './history'
import { NEW, useKeptDraft } from './keptDraft'

type SetDocument = Schemas['SetDocument']

/**
 * A set on the bench: as it is being changed, as it is saved, and what is done with it. What is not saved is kept in
 * the browser; what somebody else saved meanwhile is never overwritten.
 *
 * @param id of the set, or {@link NEW}
 * @param account whose changes they are
 */
export function useSavedSet(id: () => string, account: string) {
  const queries = useQueryClient()
  const history = useHistory<CriteriaDocument>(emptyDocument())
  const kept = useKeptDraft(account, id)
  /** As it was last read or saved. */
  const state = shallowRef<SetDocument>()
  const saved = shallowRef<CriteriaDocument>(history.current.value)
  /** The revision that the changes were made to; nothing for a new set. */
  const revision = ref<number>()
  const problem = ref('')
  const conflict = ref(false)
  const loaded = ref(false)
  const saving = ref(false)
  /** Where the changes come from that are here and not saved, in words. */
  const broughtBack = ref('')

  const document = computed(() => history.current.value)
  const isNew = computed(() => revision.value === undefined)
  const unsaved = computed(() => document.value !== saved.value)
  const address = () => `/api/criteria/${encodeURIComponent(document.value.id)}`

  async function load(): Promise<void> {
    loaded.value = false
    problem.value = ''
    conflict.value = false
    if (id() === NEW) {
      start(emptyDocument(), undefined)
      return
    }
    try {
      const set = await send<SetDocument>(`/api/criteria/${encodeURIComponent(id())}`)
      start(set.document as CriteriaDocument, set)
    } catch (failure) {
      problem.value = sentenceOf(failure)
    }
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

  watch(document, (now) => {
    if (loaded.value) {
      kept.value = unsaved.value
        ? { document: now, revision: revision.value, at: new Date().toISOString() }
        : null
    }
  })

  /** A new set that was just saved is at its address already: reading it again would take the focus away. */
  function isHere(): boolean {
    return loaded.value && state.value !== undefined && id() === document.value.id
  }

  watch(
    id,
    () => {
      if (!isHere()) {
        void load()
      }
    },
    { immediate: true },
  )

  /** Does something with the set at the server, and takes over what came of it; false where it was refused. */
  async function act(ask: () => Promise<SetDocument>): Promise<boolean> {
    saving.value = true
    problem.value = ''
    conflict.value = false
    try {
      const answer = await ask()
      state.value = answer
      revision.value = answer.revision
      void queries.invalidateQueries({ queryKey: ['criteria'] })
      void queries.invalidateQueries({ queryKey: ['lists'] })
      void queries.invalidateQueries({ queryKey: ['termSets'] })
      return true
    } catch (failure) {
      problem.value = sentenceOf(failure)
      if (failure instanceof Problem) {
        problem.value = [problem.value, ...failure.errors.map((one) => one.message)].join(' ')
        conflict.value = failure.type === 'changed-meanwhile'
      }
      return false
    } finally {
      saving.value = false
    }
  }

  function ifUnchanged(): RequestInit {
    return isNew.value ? {} : { headers: { 'If-Match': `"${String(revision.value)}"` } }
  }

  /** Saves the changes as a draft; what is published stays as it is. */
  async function save(): Promise<boolean> {
    if (!document.value.name.trim()) {
      problem.value = 'Give the set a name first; it is kept here meanwhile.'
      return false
    }
    const setId = isNew.value ? slug(document.value.name) || 'set' : document.value.id
    const toSave = { ...document.value, id: setId, name: document.value.name.trim() }
    const done = await act(() =>
      sendJson('PUT', `/api/criteria/${encodeURIComponent(setId)}`, toSave, ifUnchanged()),
    )
    if (done) {
      history.change(toSave, 'name')
      settle()
    }
    return done
  }

  /** What is here is what is saved. */
  function settle() {
    saved.value = history.current.value
    kept.value = null
    broughtBack.value = ''
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
    if (await act(() => send(`${address()}/draft`, { method: 'DELETE', ...ifUnchanged() }))) {
      history.change(state.value?.document as CriteriaDocument)
      settle()
    }
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
      kept.value = wasSaved
        ? null
        : { document: document.value, revision: revision.value, at: new Date().toISOString() }
    }
  }

  return {
    history,
    document,
    state,
    isNew,
    unsaved,
    loaded,
    saving,
    problem,
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
