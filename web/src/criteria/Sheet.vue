<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { useQuery } from '@tanstack/vue-query'
import { useEventListener } from '@vueuse/core'
import Button from 'primevue/button'
import Menu from 'primevue/menu'
import { computed, ref, useTemplateRef } from 'vue'
import { bandsOf, changeBand } from './bands'
import BandsSection from './BandsSection.vue'
import ColumnsSection from './ColumnsSection.vue'
import CriterionLine from './CriterionLine.vue'
import {
  SECTIONS,
  addCriterion,
  changeCriterion,
  criteriaOf,
  freshId,
  moveCriterion,
  neighbour,
  putTermSet,
  removeCriterion,
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
import { putDial, type Dial } from './dials'
import { withoutColumnsOf } from './listColumns'
import { NEW_TESTS } from './newTests'
import { getAt, setAt } from './pointer'
import { ruleAsJson, ruleOf } from './editors/rule'
import RuleInput from './editors/RuleInput.vue'
import { putRoster, type Roster } from './rosters'
import { setsQuery } from './sets'
import SheetDialogs from './SheetDialogs.vue'
import SheetSection from './SheetSection.vue'
import SheetStart from './SheetStart.vue'
import SheetResult from './SheetResult.vue'
import SlotPopover, { type OpenSlot } from './SlotPopover.vue'
import { namedIn, replaceTermSet, sharedQuery, withShared } from './termsets'
import { TypedLine, termSetWith, withTermSets } from './typed'
import type { Behind } from './who'

/** The sheet of sentences with the stick through it. */
const { document, levels, before, findings, vocabulary, asOf } = defineProps<{
  document: CriteriaDocument
  levels: Schemas['Levels'] | undefined
  before: Schemas['Levels'] | undefined
  findings: readonly Schemas['Finding'][]
  vocabulary: Schemas['Vocabulary']
  asOf: string
}>()
const emit = defineEmits<{
  change: [document: CriteriaDocument, key?: string]
  who: [behind: Behind]
  /** A term set was changed for all sets. */
  shared: [saved: Schemas['TermSetSaved']]
}>()

type Control = NonNullable<Schemas['PhraseView']['control']>

const NAMES: Record<Section, string> = {
  INCLUDE: 'Include',
  EXCLUDE: 'Exclude',
  SHOULD_HAVE: 'Should have',
}
const KEYS: Record<Section, string> = {
  INCLUDE: '/include',
  EXCLUDE: '/exclude',
  SHOULD_HAVE: '/shouldHave/of',
}
const EXAMPLES: Record<Section, string> = {
  INCLUDE: 'aged 50 to 74',
  EXCLUDE: 'status is moved away',
  SHOULD_HAVE: 'visit in the last 12 months',
}
const HINTS: Record<Section, string> = {
  INCLUDE: 'Nobody is left out yet: everybody counts. Add whom this is about.',
  EXCLUDE: 'Nobody is exempt. Add to whom it does not apply.',
  SHOULD_HAVE: 'Nothing is asked for, so everybody eligible is on the list.',
}

const { data: sharedTermSets } = useQuery(sharedQuery)
/** What may be named: the shared term sets too, which come into the set when they are used. */
const nameable = computed(() => withShared(document, sharedTermSets.value ?? []))

const sections = computed(() =>
  SECTIONS.map((section) => ({
    section,
    criteria: criteriaOf(document, section).map((criterion, index) => ({
      criterion,
      place: { section, index },
      level: levelOf(levels, criterion.id),
      before: levelOf(before, criterion.id),
      findings: findingsAt(`${KEYS[section]}/${String(index)}`),
    })),
  })),
)

const otherFindings = computed(() =>
  findings.filter(
    (one) =>
      one.document !== '' || !/^\/(include|exclude|shouldHave\/of|bands)\/\d/.test(one.pointer),
  ),
)

function levelOf(of: Schemas['Levels'] | undefined, id: string) {
  return of?.criteria.find((one) => one.id === id)
}

function findingsAt(pointer: string): string[] {
  return findings
    .filter((one) => one.document === '' && `${one.pointer}/`.startsWith(`${pointer}/`))
    .map((one) => one.message)
}

const popover = useTemplateRef('popover')

function placeOf(id: string): Place | undefined {
  return sections.value.flatMap((one) => one.criteria).find((one) => one.criterion.id === id)?.place
}

/** What is open in the popover, where it stands: in a band, or in a criterion. */
const opened = ref<{ id: string; band?: number; control: Control; pointer: string }>()
const slot = computed<OpenSlot | undefined>(() => {
  const open = opened.value
  if (open?.band !== undefined) {
    const band = bandsOf(document)[open.band]
    return (
      band && {
        ...open,
        value: getAt(band.when, open.pointer) as JsonObject,
        sentence: levels?.bands[open.band]?.sentence,
        findings: findingsAt(`/bands/${String(open.band)}`),
      }
    )
  }
  const at = open && placeOf(open.id)
  const criterion = at && criteriaOf(document, at.section)[at.index]
  return (
    criterion && {
      ...open,
      value: getAt(criterion.test, open.pointer) as JsonObject,
      sentence: levelOf(levels, open.id)?.sentence,
      findings:
        sections.value.flatMap((one) => one.criteria).find((one) => one.criterion.id === open.id)
          ?.findings ?? [],
    }
  )
})

function edit(id: string, event: Event, control: Control, pointer: string) {
  opened.value = { id, control, pointer }
  popover.value?.show(event)
}

function editBand(band: number, event: Event, control: Control, pointer: string) {
  opened.value = { id: `band ${String(band)}`, band, control, pointer }
  popover.value?.show(event)
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

/** Dials that an editor has just made come with the change that names them. */
function changeOpened(value: JsonObject, made: Dial[]) {
  const open = opened.value
  if (open) {
    const next = withNamed(
      withOpened(document, () => value),
      value,
    )
    const key = made.length ? undefined : `${open.id}${open.pointer}${open.control}`
    emit('change', made.reduce(putDial, next), key)
  }
}

function change(at: Place, how: (criterion: Criterion) => Criterion, key?: string) {
  emit('change', changeCriterion(document, at, how), key)
}

function removePart(at: Place, pointer: string) {
  change(at, (one) => ({ ...one, test: setAt(one.test, pointer, undefined) as JsonObject }))
}

// Adding and moving.
const adding = ref<Section>('INCLUDE')
const addMenu = useTemplateRef('addMenu')
const { data: sets } = useQuery(setsQuery)
const otherSet = computed(() => sets.value?.find((set) => set.id !== document.id))
const addItems = computed(() => [
  ...NEW_TESTS.filter((one) => !(one.lack && adding.value === 'SHOULD_HAVE')).map((one) => ({
    label: one.name,
    command: () => add(one.test(), one.word),
  })),
  {
    label: 'People of another set',
    disabled: otherSet.value === undefined,
    command: () => add({ member: otherSet.value?.id ?? '' }, 'other-set'),
  },
  {
    label: 'A roster of named people',
    command: () => {
      opened.value = undefined
      editRoster(undefined)
    },
  },
])

function openAdd(section: Section, event: Event) {
  adding.value = section
  addMenu.value?.toggle(event)
}

function add(test: JsonObject, word: string) {
  const id = freshId(document, word)
  emit('change', addCriterion(document, adding.value, test, word))
  focusLine(id, '[data-control]')
}

// Typing.
const typedLines = useTemplateRef('typedLines')

/** The document with the shared term sets that something newly said in it names. */
function withNamed(next: CriteriaDocument, said: JsonObject): CriteriaDocument {
  const named = namedIn(said)
  const own = new Set(termSetsOf(next).map((one) => one.id))
  const missing = termSetsOf(nameable.value).filter((one) => named.has(one.id) && !own.has(one.id))
  return withTermSets(next, missing)
}

/** The document with the term sets that something typed names: those it brought along, and shared ones. */
function withTyped(test: JsonObject, made: TermSet[]): CriteriaDocument {
  const named = namedIn(test)
  const used = made.filter((one) => named.has(one.id))
  return withNamed(withTermSets(document, used), test)
}

function retype(at: Place, test: JsonObject, made: TermSet[]) {
  emit(
    'change',
    changeCriterion(withTyped(test, made), at, (one) => ({ ...one, test })),
  )
}

function addTyped(section: Section, test: JsonObject, made: TermSet[], words: string) {
  const next = withTyped(test, made)
  // Whoever said several things of whom to include has as many criteria, each with its level.
  const parts = test.all as JsonObject[] | undefined
  const several = section === 'INCLUDE' && parts !== undefined && !/^\s*all of these/i.test(words)
  const tests = several ? parts : [test]
  emit(
    'change',
    tests.reduce<CriteriaDocument>((to, one) => addCriterion(to, section, one, words), next),
  )
}

useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const section = ['Digit1', 'Digit2', 'Digit3'].indexOf(event.code)
  if (event.altKey && !event.ctrlKey && !event.metaKey && section >= 0) {
    event.preventDefault()
    typedLines.value?.[section]?.focus()
  }
})

/** The line of a new criterion is drawn when its level has come back. */
const UNTIL_DRAWN_MS = 250

function focusLine(id: string, inside: string, after = UNTIL_DRAWN_MS) {
  focusIn(`[data-criterion="${CSS.escape(id)}"] ${inside}`, after)
}

function focusIn(selector: string, after: number) {
  setTimeout(() => {
    window.document.querySelector<HTMLElement>(selector)?.focus()
  }, after)
}

function move(at: Place, step: 1 | -1) {
  const to = neighbour(document, at, step)
  const id = criteriaOf(document, at.section)[at.index]?.id
  if (to && id) {
    emit('change', moveCriterion(document, at, to))
    focusLine(id, '.grip')
  }
}

function drop(to: Place, event: DragEvent) {
  const from = placeOf(event.dataTransfer?.getData('text/plain') ?? '')
  if (from) {
    const shift = from.section === to.section && from.index < to.index ? 1 : 0
    emit('change', moveCriterion(document, from, { ...to, index: to.index - shift }))
  }
}

function act(at: Place, what: 'off' | 'remove' | 'copy' | 'not') {
  switch (what) {
    case 'off':
      change(at, (one) => withKey(one, 'off', one.off ? undefined : true) as Criterion)
      break
    case 'remove':
      emit('change', removed(at))
      break
    case 'copy': {
      const one = criteriaOf(document, at.section)[at.index]
      if (one) {
        emit('change', addCriterion(document, at.section, one.test, one.id))
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
  const gone = criteriaOf(document, at.section)[at.index]
  const rest = removeCriterion(document, at)
  return gone ? withoutColumnsOf(rest, gone.id) : rest
}

function turned(test: JsonObject): JsonObject {
  return 'not' in test ? (test.not as JsonObject) : { not: test }
}

// What is asked of the should-have section.
const rule = computed({
  get: () => ruleOf((document.shouldHave as JsonObject | undefined)?.rule),
  set: (next) => {
    const shouldHave = { ...(document.shouldHave as JsonObject), rule: ruleAsJson(next) }
    emit('change', { ...document, shouldHave }, 'rule')
  },
})

// Term sets and rosters. A new one is used where it was asked for.
const dialogs = useTemplateRef('dialogs')

function editTermSet(id: string | undefined, member?: JsonObject) {
  popover.value?.hide()
  dialogs.value?.openTermSet(id, member)
}

/** Exempts everybody who has such a record: a sentence to go on from. */
function exempt(member: JsonObject, name: string, kind: string) {
  const termSet = termSetWith(nameable.value, name, [member])
  const test: JsonObject = { events: { kinds: [kind], terms: [termSet.id] } }
  const id = freshId(document, slug(name) || 'exempt')
  emit('change', addCriterion(putTermSet(document, termSet), 'EXCLUDE', test, id))
  focusLine(id, '[data-control=WINDOW]')
}

defineExpose({ editTermSet, exempt })

function editRoster(id: string | undefined) {
  popover.value?.hide()
  dialogs.value?.openRoster(id)
}

function useTermSet(saved: TermSet, of: string | undefined) {
  if (of !== undefined) {
    emit('change', replaceTermSet(document, of, saved))
    return
  }
  emit(
    'change',
    withOpened(putTermSet(document, saved), (selection) => ({
      ...selection,
      terms: [...((selection.terms as string[] | undefined) ?? []), saved.id],
    })),
  )
}

function useRoster(saved: Roster, isNew: boolean) {
  const next = putRoster(document, saved)
  if (!isNew) {
    emit('change', next)
  } else if (opened.value?.control === 'ROSTER') {
    emit(
      'change',
      withOpened(next, () => ({ roster: saved.id })),
    )
  } else {
    const id = freshId(next, saved.id)
    emit('change', addCriterion(next, adding.value, { roster: saved.id }, saved.id))
    focusLine(id, '[data-control]')
  }
}

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
</script>

<template>
  <div class="sheet">
    <SheetStart
      :document="document"
      :levels="levels"
      @change="emit('change', $event)"
      @who="emit('who', $event)"
    />

    <p v-for="finding in otherFindings" :key="finding.pointer" class="notice">
      {{ finding.document }} {{ finding.pointer }} {{ finding.message }}
    </p>

    <p v-if="findings.length" class="notice" role="status">
      The numbers are those from before the mistake that is pointed out; mend it, or undo.
    </p>

    <SheetSection
      v-for="{ section, criteria } in sections"
      :key="section"
      :name="NAMES[section]"
      :hint="criteria.length ? undefined : HINTS[section]"
      @dragover.prevent
      @drop.prevent="drop({ section, index: criteria.length }, $event)"
    >
      <template #beside>
        <RuleInput
          v-if="section === 'SHOULD_HAVE' && criteria.length"
          v-model="rule"
          label="How much of it is enough"
        />
      </template>
      <template #add>
        <Button
          size="small"
          text
          icon="pi pi-plus"
          :label="`Add to ${NAMES[section].toLowerCase()}`"
          aria-haspopup="menu"
          @click="openAdd(section, $event)"
        />
      </template>
      <ul v-if="criteria.length">
        <template v-for="one in criteria" :key="one.criterion.id">
          <CriterionLine
            v-if="one.level"
            :criterion="one.criterion"
            :level="one.level"
            :before="one.before"
            :people="levels?.people ?? 0"
            :findings="one.findings"
            :nameable="nameable"
            :as-of="asOf"
            @edit="(event, control, pointer) => edit(one.criterion.id, event, control, pointer)"
            @remove-part="removePart(one.place, $event)"
            @who="emit('who', $event)"
            @move="move(one.place, $event)"
            @act="act(one.place, $event)"
            @term-set="editTermSet($event)"
            @retype="(test, made) => retype(one.place, test, made)"
            @label="
              (label) =>
                change(
                  one.place,
                  (criterion) => withKey(criterion, 'label', label || undefined) as Criterion,
                  `${one.criterion.id} label`,
                )
            "
            @unsure="
              (unsure) =>
                change(
                  one.place,
                  (criterion) =>
                    withKey(
                      criterion,
                      'unsure',
                      unsure === 'ask' ? undefined : unsure,
                    ) as Criterion,
                )
            "
            @dragover.prevent
            @drop.prevent.stop="drop(one.place, $event)"
          />
          <li v-else class="waiting">
            <p v-for="finding in one.findings" :key="finding" class="notice">{{ finding }}</p>
          </li>
        </template>
      </ul>
      <TypedLine
        ref="typedLines"
        :document="nameable"
        :as-of="asOf"
        :label="`Type a criterion: ${NAMES[section].toLowerCase()}`"
        :example="EXAMPLES[section]"
        :should-have="section === 'SHOULD_HAVE'"
        @add="(test, made, words) => addTyped(section, test, made, words)"
      />
    </SheetSection>

    <BandsSection
      v-if="levels"
      :document
      :levels
      :findings="findingsAt"
      :nameable
      :as-of="asOf"
      :named="withTyped"
      @change="(next, key) => emit('change', next, key)"
      @who="emit('who', $event)"
      @edit="editBand"
    />
    <ColumnsSection
      v-if="levels"
      :document
      :levels
      :fields="vocabulary.person"
      @change="(next, key) => emit('change', next, key)"
    />

    <SheetResult
      v-if="levels"
      :levels="levels"
      :before="before"
      :asks-for-something="document.shouldHave !== undefined"
      @who="emit('who', $event)"
    />

    <Menu ref="addMenu" :model="addItems" popup />
    <SlotPopover
      ref="popover"
      :slot-open="slot"
      :document="nameable"
      :vocabulary="vocabulary"
      :as-of="asOf"
      @change="changeOpened"
      @close="backToWord"
      @edit-term-set="editTermSet($event)"
      @edit-roster="editRoster"
    />
    <SheetDialogs
      ref="dialogs"
      :document="document"
      :person-fields="vocabulary.person"
      @term-set="useTermSet"
      @shared="emit('shared', $event)"
      @roster="useRoster"
    />
  </div>
</template>

<style scoped>
.sheet {
  background: var(--sheet);
  border: 1px solid var(--rule);
}

ul {
  list-style: none;
  margin: 0;
  padding: 0;
}

.waiting {
  min-height: 30px;
  padding-left: calc(var(--stick) + 10px);
}
</style>
