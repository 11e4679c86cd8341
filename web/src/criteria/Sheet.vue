<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { useQuery } from '@tanstack/vue-query'
import { useEventListener } from '@vueuse/core'
import Button from 'primevue/button'
import Menu from 'primevue/menu'
import { computed, ref, useTemplateRef } from 'vue'
import BandsSection from './BandsSection.vue'
import ColumnsSection from './ColumnsSection.vue'
import CriterionLine from './CriterionLine.vue'
import {
  addCriterion,
  freshId,
  putTermSet,
  type CriteriaDocument,
  type JsonObject,
  type Section,
  type TermSet,
} from './document'
import { putDial, type Dial } from './dials'
import { focusLine } from './focusIn'
import { NEW_TESTS } from './newTests'
import { ruleAsJson, ruleOf } from './editors/rule'
import RuleInput from './editors/RuleInput.vue'
import { putRoster, type Roster } from './rosters'
import { setsQuery } from './sets'
import SheetDialogs from './SheetDialogs.vue'
import SheetSection from './SheetSection.vue'
import { EXAMPLES, HINTS, NAMES } from './sheetSections'
import SheetStart from './SheetStart.vue'
import SheetResult from './SheetResult.vue'
import SlotPopover from './SlotPopover.vue'
import { replaceTermSet, sharedQuery, withShared } from './termsets'
import { TypedLine } from './typed'
import { useOpenSlot, type Control } from './useOpenSlot'
import { useSentences } from './useSentences'
import UnreadLine from './UnreadLine.vue'
import { useSheetLines } from './useSheetLines'
import type { Behind } from './who'

/** The sheet of sentences with the stick through it. */
const { document, levels, before, findings, said, vocabulary, asOf } = defineProps<{
  document: CriteriaDocument
  levels: Schemas['Levels'] | undefined
  before: Schemas['Levels'] | undefined
  findings: readonly Schemas['Finding'][]
  said: readonly Schemas['LineSaid'][]
  vocabulary: Schemas['Vocabulary']
  asOf: string
}>()
const emit = defineEmits<{
  change: [document: CriteriaDocument, key?: string]
  who: [behind: Behind]
  /** A term set was changed for all sets. */
  shared: [saved: Schemas['TermSetSaved']]
}>()

const { data: sharedTermSets } = useQuery(sharedQuery)
/** What may be named: the shared term sets too, which come into the set when they are used. */
const nameable = computed(() => withShared(document, sharedTermSets.value ?? []))

const { sections, otherFindings, levelOf, findingsAt } = useSheetLines(() => ({
  document,
  levels,
  before,
  findings,
  said,
}))

const {
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
} = useSentences(
  () => document,
  () => nameable.value,
  (next, key) => emit('change', next, key),
)

// The word that is being changed.
const popover = useTemplateRef('popover')
const { backToWord, opened, slot, withOpened } = useOpenSlot(
  () => document,
  placeOf,
  (id) => ({
    sentence: levelOf(levels, id)?.sentence,
    findings:
      sections.value.flatMap((one) => one.criteria).find((one) => one.criterion.id === id)
        ?.findings ?? [],
  }),
  (band) => ({
    sentence: levels?.bands[band]?.sentence,
    findings: findingsAt(`/bands/${String(band)}`),
  }),
)

function edit(id: string, event: Event, control: Control, pointer: string) {
  opened.value = { id, control, pointer }
  popover.value?.show(event)
}

function editBand(band: number, event: Event, control: Control, pointer: string) {
  opened.value = { id: `band ${String(band)}`, band, control, pointer }
  popover.value?.show(event)
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

// Adding.
const adding = ref<Section>('INCLUDE')
const addMenu = useTemplateRef('addMenu')
const { data: sets } = useQuery(setsQuery)
const otherSet = computed(() => sets.value?.find((set) => set.id !== document.id))
const addItems = computed(() => [
  ...NEW_TESTS.filter((one) => !(one.lack && adding.value === 'SHOULD_HAVE')).map((one) => ({
    label: one.name,
    command: () => add(adding.value, one.test(), one.word),
  })),
  {
    label: 'People of another set',
    disabled: otherSet.value === undefined,
    command: () => add(adding.value, { member: otherSet.value?.id ?? '' }, 'other-set'),
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

// Typing.
const typedLines = useTemplateRef('typedLines')

useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const section = ['Digit1', 'Digit2', 'Digit3'].indexOf(event.code)
  if (event.altKey && !event.ctrlKey && !event.metaKey && section >= 0) {
    event.preventDefault()
    typedLines.value?.[section]?.focus()
  }
})

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

defineExpose({ editTermSet, exempt })

function editRoster(id: string | undefined) {
  popover.value?.hide()
  dialogs.value?.openRoster(id)
}

/** What was opened from the editor of a word has nothing to give the keyboard back to: that is closed by then. */
function backFromDialog() {
  if (window.document.activeElement === window.document.body) {
    backToWord()
  }
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
</script>

<template>
  <div class="sheet">
    <div class="sentences">
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
        {{
          levels
            ? 'The numbers are those from before the mistake that is pointed out; mend it, or undo.'
            : 'There are no numbers until the mistake that is pointed out is mended.'
        }}
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
              @label="relabel(one.place, $event)"
              @unsure="settle(one.place, $event)"
              @dragover.prevent
              @drop.prevent.stop="drop(one.place, $event)"
            />
            <UnreadLine
              v-else
              :criterion="one.criterion"
              :findings="one.findings"
              @remove="act(one.place, 'remove')"
            />
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
    </div>

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
      @closed="backFromDialog"
    />
  </div>
</template>

<style scoped>
/* Whatever of its sentences is looked at, who is on the list stays in sight beneath them. */
.sheet {
  flex: 1;
  min-width: 0;
  /* What stands on its sticks is beneath whatever opens over it, also while that closes. */
  isolation: isolate;
  display: flex;
  flex-direction: column;
  background: var(--sheet);
  border: 1px solid var(--rule);
}

.sentences {
  flex: 1;
  min-height: 0;
  overflow: auto;
}

ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
</style>
