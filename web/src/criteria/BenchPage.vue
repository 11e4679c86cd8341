<script setup lang="ts">
import { useDayInAddress, usePageTitle, useShownInAddress } from '@/address'
import { timeWords } from '@/days'
import { useSession } from '@/session'
import { useToast } from 'primevue/usetoast'
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import BenchHead from './BenchHead.vue'
import BenchMenu from './BenchMenu.vue'
import { DialStrip, settingsFor } from './dials'
import { evaluable, type CriteriaDocument } from './document'
import { NEW, useKeptDraft } from './keptDraft'
import { useLevels } from './levels'
import PublishDialog from './PublishDialog.vue'
import { useRibbon } from './ribbon'
import RibbonStrip from './RibbonStrip.vue'
import Sheet from './Sheet.vue'
import { SetTextDialog } from './typed'
import { useBenchKeyboard } from './useBenchKeyboard'
import { useSavedSet } from './useSavedSet'
import VersionsDialog from './VersionsDialog.vue'
import { useVocabulary } from './vocabulary'
import { ON_LIST, useBehind } from './who'
import WhoPanel from './WhoPanel.vue'

const { id } = defineProps<{ id: string }>()

const session = useSession()
const router = useRouter()
const toast = useToast()

// The account at the time: an expired sign-in must not put the draft elsewhere.
const account = session.signedIn?.name ?? ''
const set = useSavedSet(
  () => id,
  account,
  (words) => {
    toast.add({
      severity: 'warn',
      summary: 'A set that you left was not saved',
      detail: `${words} What you changed is kept in this browser.`,
      life: 15_000,
    })
  },
)
const { history, state, isNew, unsaved, onBench, loaded, saving, problem, conflict, broughtBack } =
  set

const behind = useBehind()
const asOf = useDayInAddress('as-of', () => session.today)
/** How the dials are turned here; it is not saved with the set. */
const settings = ref<Record<string, string>>({})

/** An old version that is only looked at. */
const lookedAt = shallowRef<{ document: CriteriaDocument; version: number }>()
watch(onBench, (_, before) => {
  lookedAt.value = undefined
  settings.value = {}
  // What the address says of the first that comes stays.
  if (before > 0) {
    behind.value = ON_LIST
  }
})

const document = computed(() => lookedAt.value?.document ?? history.current.value)

/** Nothing is on the bench: it could not be had, or there is no such set. */
const nothing = computed(() => !loaded.value && problem.value !== '')
const name = computed(() => document.value.name || (id === NEW ? 'A new set' : 'A set'))
usePageTitle(() => [name.value, 'Criteria'])

/** What is evaluated, also before the set has a name. */
const draft = computed(() => ({
  document: evaluable(document.value),
  asOf: asOf.value || undefined,
  settings: settingsFor(document.value, settings.value),
}))

/** What stands there until the set has come is none of its levels before. */
const subject = computed(() => `${String(onBench.value)} ${String(loaded.value)}`)
const { levels, before, findings, said, problem: levelsProblem } = useLevels(draft, subject)
const { data: vocabulary } = useVocabulary()
const { ribbon, behind: ribbonBehind, problem: ribbonProblem } = useRibbon(draft, subject)

const standing = computed(() => {
  const of = state.value
  if (!of) {
    return loaded.value ? 'not saved yet' : ''
  }
  const what = of.retired
    ? 'retired'
    : of.version === 0
      ? 'draft, never published'
      : of.draft
        ? `draft, after version ${String(of.version)}`
        : `version ${String(of.version)}`
  return `${what}, ${of.changedBy}, ${timeWords(of.changedAt)}`
})
/** A mistake keeps the set from being read, and there are no numbers of before. */
const stuck = computed(() => findings.value.length > 0 && !levels.value)
const canPublish = computed(
  () =>
    loaded.value &&
    !lookedAt.value &&
    findings.value.length === 0 &&
    (unsaved.value || isNew.value || state.value?.draft),
)

function change(next: CriteriaDocument, key?: string) {
  if (!lookedAt.value) {
    history.change(next, key)
    return
  }
  toast.add({
    severity: 'contrast',
    summary: `Version ${String(lookedAt.value.version)} is only looked at; bring it back to change it`,
    life: 3000,
  })
}

const sheet = useTemplateRef('sheet')

/** After something was saved: a new set has an address of its own from then on. */
async function atItsAddress() {
  if (id !== document.value.id) {
    await router.replace(`/criteria/${encodeURIComponent(document.value.id)}`)
  }
}

async function save() {
  if (!lookedAt.value && (await set.save())) {
    toast.add({ severity: 'contrast', summary: 'Saved as a draft', life: 2500 })
    await atItsAddress()
  }
}

// Publishing.
const publishShown = ref(false)

function openPublish() {
  publishShown.value = set.named()
}

async function publish(note: string) {
  if (await set.publish(note)) {
    publishShown.value = false
    toast.add({
      severity: 'contrast',
      summary: `Published “${document.value.name}”, version ${String(state.value?.version)}`,
      life: 2500,
    })
    await atItsAddress()
  }
}

// What else can be done with the set.
const versionsShown = useShownInAddress('versions')
const textShown = ref(false)
const newDraft = useKeptDraft(account, NEW)

function look(old: CriteriaDocument, version: number) {
  lookedAt.value = { document: old, version }
}

function bringBack() {
  const old = lookedAt.value
  lookedAt.value = undefined
  if (old) {
    history.change({ ...old.document, id: history.current.value.id })
    toast.add({
      severity: 'contrast',
      summary: `Version ${String(old.version)} is on the bench; publish it to make it the newest`,
      life: 4000,
    })
  }
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
      from: `This is a copy of “${document.value.name}”, and is not saved.`,
      at: new Date().toISOString(),
    }
    await router.push(`/criteria/${NEW}`)
  }
}

async function saveAsOther() {
  if (await set.saveAsOther()) {
    await atItsAddress()
  }
}

useBenchKeyboard({
  save: () => void save(),
  publish: () => {
    if (canPublish.value) {
      openPublish()
    }
  },
  undo: () => history.undo(),
  redo: () => history.redo(),
})
</script>

<template>
  <div class="bench">
    <h1 class="visually-hidden">{{ name }}</h1>
    <BenchHead
      v-if="!nothing"
      v-model:as-of="asOf"
      :document="document"
      :standing="standing"
      :history="history"
      :can-save="unsaved && lookedAt === undefined"
      :can-publish="Boolean(canPublish)"
      :saving="saving"
      :fixed="lookedAt !== undefined"
      @name="change({ ...document, name: $event }, 'name')"
      @save="save"
      @publish="openPublish"
    >
      <template #menu>
        <BenchMenu
          :document="document"
          :state="state"
          :is-new="isNew"
          @versions="versionsShown = true"
          @text="textShown = true"
          @copy="makeCopy"
          @drop-draft="set.dropDraft()"
          @retire="set.retire($event)"
        />
      </template>
    </BenchHead>

    <p v-if="problem && !publishShown" class="notice" role="alert">
      {{ problem }}
      <template v-if="conflict">
        <button class="word" @click="set.takeTheirs">Open theirs, lose mine</button> ·
        <button class="word" @click="saveAsOther">Save mine under another name</button>
      </template>
    </p>
    <p v-if="broughtBack" class="notice calm" role="status">
      {{ broughtBack }}
      <button class="word" @click="set.putAway">Go back to what is saved</button>
    </p>
    <p v-if="lookedAt" class="notice calm" role="status">
      You are looking at version {{ lookedAt.version }}; it cannot be changed here.
      <button class="word" @click="bringBack">Bring it back</button> ·
      <button class="word" @click="lookedAt = undefined">Go back to the newest</button>
    </p>
    <p v-if="loaded && levelsProblem" class="notice" role="alert">{{ levelsProblem }}</p>

    <DialStrip
      v-if="loaded && vocabulary && document.dials"
      v-model:settings="settings"
      :document="document"
      :fields="vocabulary.person"
      @change="change($event)"
    />
    <p v-if="loaded && ribbonProblem && !findings.length" class="notice" role="alert">
      How the list grows and shrinks is not known. {{ ribbonProblem }}
    </p>
    <RibbonStrip
      v-if="loaded && ribbon"
      v-model="asOf"
      :ribbon="ribbon"
      :behind="ribbonBehind"
      :asks-for-something="document.shouldHave !== undefined"
    />

    <p v-else-if="loaded && !ribbonProblem" class="ribbon-to-come quiet" role="status">
      How the list grows and shrinks is being counted.
    </p>

    <p v-if="!problem && !(loaded && vocabulary)" class="quiet" role="status">
      The set is being opened …
    </p>
    <div v-if="loaded && vocabulary" class="sides">
      <div class="left">
        <Sheet
          ref="sheet"
          :document="document"
          :levels="levels"
          :before="before"
          :findings="findings"
          :said="said"
          :vocabulary="vocabulary"
          :as-of="asOf"
          @change="change"
          @who="behind = $event"
          @shared="set.takeTermSet"
        />
      </div>
      <WhoPanel
        :draft="draft"
        :behind="behind"
        :levels="levels"
        :stuck="stuck"
        :as-of="asOf"
        @who="behind = $event"
        @counts="(member, termSet) => sheet?.editTermSet(termSet, member)"
        @exempt="(member, name, kind) => sheet?.exempt(member, name, kind)"
      />
    </div>

    <VersionsDialog
      v-if="state"
      :id="id"
      v-model:visible="versionsShown"
      :newest="state.version"
      @look="look"
    />
    <PublishDialog
      :id="document.id || 'new-set'"
      v-model:visible="publishShown"
      :document="document"
      :publishing="saving"
      :problem="problem"
      @publish="publish"
    />
    <SetTextDialog v-model:visible="textShown" :document="document" @use="change($event)" />
  </div>
</template>

<style scoped>
.bench {
  display: flex;
  flex-direction: column;
  padding: 10px 16px 14px;
  height: calc(100vh - var(--above));
  box-sizing: border-box;
}

/* As high as what comes. */
.ribbon-to-come {
  height: 72px;
  margin: 0 0 8px;
  border: 1px solid var(--rule);
  background: var(--sheet);
  box-sizing: content-box;
  padding-left: 8px;
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
  display: flex;
  min-height: 0;
}

@media (max-width: 1000px) {
  .bench {
    height: auto;
    padding: 10px 12px;
  }

  .sides {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto;
  }
}
</style>
