<script setup lang="ts">
import { Problem, send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { timeWords } from '@/days'
import { useSession } from '@/session'
import AsOfDate from '@/shell/AsOfDate.vue'
import { VEIL_KEY } from '@/veil'
import { useQueryClient } from '@tanstack/vue-query'
import { useEventListener } from '@vueuse/core'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import Menu from 'primevue/menu'
import type { MenuItem } from 'primevue/menuitem'
import { useToast } from 'primevue/usetoast'
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { emptyDocument, evaluable, slug, type CriteriaDocument } from './document'
import { DialStrip, settingsFor } from './dials'
import { useHistory } from './history'
import { downloadDocument } from './files'
import { NEW, useKeptDraft } from './keptDraft'
import { useLevels } from './levels'
import { useRibbon } from './ribbon'
import RibbonStrip from './RibbonStrip.vue'
import Sheet from './Sheet.vue'
import { SetTextDialog } from './typed'
import VersionsDialog from './VersionsDialog.vue'
import { useVocabulary } from './vocabulary'
import { ON_LIST, type Behind } from './who'
import WhoPanel from './WhoPanel.vue'

const { id } = defineProps<{ id: string }>()

const session = useSession()
const router = useRouter()
const toast = useToast()
const queries = useQueryClient()

const history = useHistory<CriteriaDocument>(emptyDocument())
const saved = shallowRef<CriteriaDocument>(history.current.value)
/** The version that the changes were made to, and the newest. */
const version = ref<number>()
const savedVersion = ref<number>()
const changed = ref('')
const problem = ref('')
const loaded = ref(false)
const saving = ref(false)
const keysShown = ref(false)
const behind = shallowRef<Behind>(ON_LIST)
const asOf = ref(session.today)
/** How the dials are turned here; it is not saved with the set. */
const settings = ref<Record<string, string>>({})

// The account at the time: an expired sign-in must not put the draft elsewhere.
const account = session.signedIn?.name ?? ''
const kept = useKeptDraft(account, () => id)
const broughtBack = ref('')

const document = computed(() => history.current.value)
const isNew = computed(() => version.value === undefined)
const unsaved = computed(() => document.value !== saved.value)

/** What is evaluated, also before the set has a name. */
const draft = computed(() => ({
  document: evaluable(document.value),
  asOf: asOf.value || undefined,
  settings: settingsFor(document.value, settings.value),
}))

const { levels, before, findings, problem: levelsProblem } = useLevels(draft)
const { data: vocabulary } = useVocabulary()
const { data: ribbon } = useRibbon(draft)

async function load() {
  loaded.value = false
  problem.value = ''
  if (id === NEW) {
    start(emptyDocument(), undefined, '')
    return
  }
  try {
    const set = await send<Schemas['SetDocument']>(`/api/criteria/${encodeURIComponent(id)}`)
    start(set.document as CriteriaDocument, set.version, changeWords(set))
  } catch (failure) {
    problem.value = sentenceOf(failure)
  }
}

function start(of: CriteriaDocument, at: number | undefined, words: string) {
  const draft = kept.value
  history.reset(of)
  saved.value = of
  version.value = at
  savedVersion.value = at
  changed.value = words
  broughtBack.value = ''
  if (draft) {
    history.change(draft.document)
    // Not the newest version: if somebody else changed the set meanwhile, saving must say so.
    version.value = draft.version
    broughtBack.value = timeWords(draft.at)
  }
  loaded.value = true
}

watch(document, (now) => {
  if (loaded.value) {
    kept.value = unsaved.value
      ? { document: now, version: version.value, at: new Date().toISOString() }
      : null
  }
})

/** Goes back to what is saved. Undo brings the changes back, unless they were made to an older version. */
function putAway() {
  if (version.value === savedVersion.value) {
    broughtBack.value = ''
    history.change(saved.value)
  } else {
    takeTheirs()
  }
}

function changeWords(set: Schemas['SetDocument']): string {
  return `version ${String(set.version)}, ${set.changedBy}, ${timeWords(set.changedAt)}`
}

watch(() => id, load, { immediate: true })

function setName(name: string) {
  history.change({ ...document.value, name }, 'name')
}

async function save() {
  if (!document.value.name.trim()) {
    problem.value = 'Give the set a name first; it is kept here meanwhile.'
    return
  }
  saving.value = true
  problem.value = ''
  const setId = isNew.value ? slug(document.value.name) : document.value.id
  const toSave = { ...document.value, id: setId, name: document.value.name.trim() }
  try {
    const answer = await sendJson<Schemas['SetDocument']>(
      'PUT',
      `/api/criteria/${encodeURIComponent(setId)}`,
      toSave,
      isNew.value ? {} : { headers: { 'If-Match': `"${String(version.value)}"` } },
    )
    history.change(toSave, 'name')
    saved.value = history.current.value
    version.value = answer.version
    savedVersion.value = answer.version
    kept.value = null
    broughtBack.value = ''
    changed.value = changeWords(answer)
    void queries.invalidateQueries({ queryKey: ['criteria'] })
    void queries.invalidateQueries({ queryKey: ['lists'] })
    toast.add({ severity: 'contrast', summary: `Saved “${toSave.name}”`, life: 2500 })
    if (id !== setId) {
      await router.replace(`/criteria/${encodeURIComponent(setId)}`)
    }
  } catch (failure) {
    problem.value = sentenceOf(failure)
    conflict.value = failure instanceof Problem && failure.type === 'changed-meanwhile'
  } finally {
    saving.value = false
  }
}

// What else can be done with the set.
const more = useTemplateRef('more')
const versionsShown = ref(false)
const textShown = ref(false)
const newDraft = useKeptDraft(account, NEW)
const moreItems = computed<MenuItem[]>(() => [
  {
    label: 'Versions',
    disabled: isNew.value,
    command: () => {
      versionsShown.value = true
    },
  },
  {
    label: 'As text',
    command: () => {
      textShown.value = true
    },
  },
  { label: 'Make a copy', command: makeCopy },
  { label: 'Download as a file', command: () => downloadDocument(document.value) },
])

function bringBack(old: CriteriaDocument, from: number) {
  history.change(old)
  toast.add({
    severity: 'contrast',
    summary: `Version ${String(from)} is on the bench; save it to make it the newest`,
    life: 4000,
  })
}

/** The copy is a new set that is not saved yet. */
async function makeCopy() {
  const other = newDraft.value && id !== NEW
  if (
    !other ||
    window.confirm('There is a new set that is not saved yet. Leave it for this copy?')
  ) {
    const name = `${document.value.name} (copy)`
    newDraft.value = {
      document: { ...document.value, id: '', name },
      at: new Date().toISOString(),
    }
    await router.push(`/criteria/${NEW}`)
  }
}

const conflict = ref(false)

/** Keeps what is here as a set of its own, beside the one that somebody else changed. */
function saveAsOther() {
  history.change({ ...document.value, id: '', name: `${document.value.name} (mine)` })
  version.value = undefined
  conflict.value = false
  void save()
}

function takeTheirs() {
  conflict.value = false
  kept.value = null
  void load()
}

function onKey(event: KeyboardEvent) {
  const typing =
    event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 's') {
    event.preventDefault()
    void save()
  } else if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z' && !typing) {
    event.preventDefault()
    if (event.shiftKey) {
      history.redo()
    } else {
      history.undo()
    }
  } else if (event.key === '?' && !typing) {
    keysShown.value = true
  }
}

useEventListener(window, 'keydown', onKey)
const KEYS = [
  ['Ctrl+S', 'save'],
  ['Ctrl+Z, Ctrl+Shift+Z', 'undo, redo'],
  ['Alt+1, Alt+2, Alt+3', 'type a criterion to include, exclude, should have'],
  ['Tab, Enter', 'go to a word of a sentence, change it'],
  ['Alt+↑, Alt+↓ on a sentence', 'move it up, down, also into the next section'],
  ['Alt+O on a sentence', 'switch it off or on'],
  ['Alt+Delete on a sentence', 'remove it'],
  ['↑, ↓ beside an opened person', 'previous, next person'],
  ['←, → and Page Up, Page Down on the ribbon', 'a day, a month earlier or later'],
  [VEIL_KEY, 'hide or show names and contacts'],
  ['Esc', 'close what is open'],
]
</script>

<template>
  <div class="bench">
    <div class="head">
      <InputText
        :model-value="document.name"
        placeholder="Name of the set"
        aria-label="Name of the set"
        class="name"
        @update:model-value="setName($event ?? '')"
      />
      <AsOfDate v-model="asOf" :today="session.today" />
      <span class="quiet grow">{{ changed || 'not saved yet' }}</span>
      <Button
        text
        icon="pi pi-undo"
        aria-label="Undo"
        :disabled="!history.canUndo.value"
        @click="history.undo()"
      />
      <Button
        text
        icon="pi pi-refresh"
        aria-label="Redo"
        :disabled="!history.canRedo.value"
        @click="history.redo()"
      />
      <Button
        text
        icon="pi pi-ellipsis-h"
        aria-label="What can be done with this set"
        aria-haspopup="menu"
        @click="more?.toggle($event)"
      />
      <Menu ref="more" :model="moreItems" popup />
      <Button text label="?" aria-label="Keys of this place" @click="keysShown = true" />
      <Button label="Save" :disabled="!unsaved" :loading="saving" @click="save" />
    </div>

    <p v-if="problem" class="notice" role="alert">
      {{ problem }}
      <template v-if="conflict">
        <button class="word" @click="takeTheirs">Open theirs, lose mine</button> ·
        <button class="word" @click="saveAsOther">Save mine under another name</button>
      </template>
    </p>
    <p v-if="broughtBack" class="notice calm" role="status">
      Your changes of {{ broughtBack }} that were not saved are back.
      <button class="word" @click="putAway">Go back to what is saved</button>
    </p>
    <p v-if="levelsProblem" class="notice" role="alert">{{ levelsProblem }}</p>

    <DialStrip
      v-if="loaded && vocabulary && document.dials"
      v-model:settings="settings"
      :document="document"
      :fields="vocabulary.person"
      @change="history.change($event)"
    />
    <RibbonStrip
      v-if="loaded && ribbon"
      v-model="asOf"
      :ribbon="ribbon"
      :asks-for-something="document.shouldHave !== undefined"
    />

    <div v-if="loaded && vocabulary" class="sides">
      <div class="left">
        <Sheet
          :document="document"
          :levels="levels"
          :before="before"
          :findings="findings"
          :vocabulary="vocabulary"
          :as-of="asOf"
          @change="(next, key) => history.change(next, key)"
          @who="behind = $event"
        />
      </div>
      <WhoPanel
        :draft="draft"
        :behind="behind"
        :levels="levels"
        :as-of="asOf"
        @who="behind = $event"
      />
    </div>

    <VersionsDialog
      v-if="savedVersion !== undefined"
      :id="id"
      v-model:visible="versionsShown"
      :newest="savedVersion"
      @bring="bringBack"
    />
    <SetTextDialog v-model:visible="textShown" :document="document" @use="history.change($event)" />
    <Dialog v-model:visible="keysShown" modal header="Keys of the bench">
      <dl class="keys">
        <template v-for="[key, what] in KEYS" :key="key">
          <dt>{{ key }}</dt>
          <dd>{{ what }}</dd>
        </template>
      </dl>
    </Dialog>
  </div>
</template>

<style scoped>
.bench {
  display: flex;
  flex-direction: column;
  padding: 10px 16px 14px;
  height: calc(100vh - 41px);
  box-sizing: border-box;
}

.head {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-bottom: 8px;
}

.name {
  width: 300px;
  font-weight: 600;
}

.grow {
  flex: 1;
}

.sides {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 470px;
  grid-template-rows: minmax(0, 1fr);
  gap: 14px;
  min-height: 0;
}

.left {
  overflow: auto;
  min-height: 0;
}

.keys {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 18px;
  margin: 0;
}

.keys dt {
  font-weight: 600;
}

.keys dd {
  margin: 0;
}
</style>
