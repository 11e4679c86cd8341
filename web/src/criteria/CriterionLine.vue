<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { meaningOf } from '@/help'
import { shortened } from '@/shortened'
import { count } from '@/stick'
import InputText from 'primevue/inputtext'
import Menu from 'primevue/menu'
import type { MenuItem } from 'primevue/menuitem'
import { computed, nextTick, ref, useTemplateRef, type ComponentPublicInstance } from 'vue'
import type { CriteriaDocument, Criterion, JsonObject, TermSet } from './document'
import { mendOf, type Doubt } from './doubts'
import { fellWord, named, titleOf, type Side } from './levelNames'
import CriterionNumbers from './CriterionNumbers.vue'
import SentenceText from './SentenceText.vue'
import { TypedLine } from './typed'
import type { Behind } from './who'

/** One criterion: the stick at its level, the numbers, the sentence, and what can be done with it. */
const { criterion, level, before, people, findings, nameable, asOf } = defineProps<{
  criterion: Criterion
  level: Schemas['CriterionLevel']
  before: Schemas['CriterionLevel'] | undefined
  /** How many people would fill the stick. */
  people: number
  findings: string[]
  /** The set with all that may be named in it. */
  nameable: CriteriaDocument
  asOf: string
}>()
const emit = defineEmits<{
  edit: [event: Event, control: NonNullable<Schemas['PhraseView']['control']>, pointer: string]
  removePart: [pointer: string]
  who: [behind: Behind]
  move: [step: 1 | -1]
  act: [act: 'off' | 'remove' | 'copy' | 'not']
  unsure: [unsure: 'ask' | 'meets' | 'fails']
  label: [label: string]
  termSet: [id: string]
  retype: [test: JsonObject, made: TermSet[]]
}>()

const menu = useTemplateRef('menu')

/** What it is called where it is spoken of: its label, else its own words as far as there is room. */
const LONGEST_WORDS = 60
const words = computed(() => shortened(label.value.trim() || level.typed, LONGEST_WORDS))

const fell = computed(() => `${count(level.fell ?? 0)} ${fellWord(level.section)}`)

const unsure = computed(() => criterion.unsure ?? 'ask')

const UNSURE_WORDS = {
  ask: "If we can't tell: to check",
  meets: "If we can't tell: counts as yes",
  fails: "If we can't tell: counts as no",
} as const

const items = computed<MenuItem[]>(() => [
  { label: criterion.off ? 'Switch on' : 'Switch off', command: () => emit('act', 'off') },
  { label: 'Move up', command: () => emit('move', -1) },
  { label: 'Move down', command: () => emit('move', 1) },
  { label: 'Change by typing', command: openTyping },
  { label: criterion.label ? 'Change the label' : 'Add a label', command: openLabel },
  { label: 'Copy', command: () => emit('act', 'copy') },
  // What should be on record is named as such: turned round, it would list whoever has it.
  ...(level.section === 'SHOULD_HAVE'
    ? []
    : [{ label: 'Turn round (not so)', command: () => emit('act', 'not') }]),
  { separator: true },
  ...(['ask', 'meets', 'fails'] as const).map((key) => ({
    label: UNSURE_WORDS[key],
    icon: unsure.value === key ? 'pi pi-check' : undefined,
    command: () => emit('unsure', key),
  })),
  { separator: true },
  { label: 'Remove', command: () => emit('act', 'remove') },
])

// A note of one's own before the sentence.
const labelling = ref(false)
const labelInput = useTemplateRef<ComponentPublicInstance>('labelInput')
const label = computed(() => (typeof criterion.label === 'string' ? criterion.label : ''))

function openLabel() {
  labelling.value = true
  void nextTick(() => (labelInput.value?.$el as HTMLElement | undefined)?.focus())
}

function closeLabel(event: Event) {
  if (labelling.value) {
    labelling.value = false
    emit('label', (event.target as HTMLInputElement).value.trim())
  }
}

// The sentence typed anew.
const typing = ref(false)
const typedLine = useTemplateRef('typedLine')

function openTyping() {
  typing.value = true
  void nextTick(() => typedLine.value?.focus())
}

/** Back to the sentence. */
function closeTyping() {
  typing.value = false
  void nextTick(() => line.value?.querySelector<HTMLElement>('[data-control]')?.focus())
}

function retyped(test: JsonObject, made: TermSet[]) {
  emit('retype', test, made)
  closeTyping()
}

function onKey(event: KeyboardEvent) {
  if (event.key === 'F2') {
    event.preventDefault()
    openTyping()
  } else if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
    event.preventDefault()
    emit('move', event.key === 'ArrowUp' ? -1 : 1)
  } else if (event.altKey && event.key.toLowerCase() === 'o') {
    event.preventDefault()
    emit('act', 'off')
  } else if (event.altKey && event.key === 'Delete') {
    event.preventDefault()
    emit('act', 'remove')
  }
}

// What looks wrong, and the ways to mend it.
const line = useTemplateRef('line')

function mend(doubt: Doubt) {
  const way = mendOf(doubt)
  switch (way.does) {
    case 'act':
      emit('act', way.act)
      break
    case 'who':
      whoIs(way.part)
      break
    case 'termSet':
      emit('termSet', doubt.subject)
      break
    case 'turn':
      emit('retype', level.meant as JsonObject, [])
      break
    case 'open':
      way.controls
        .map((control) => line.value?.querySelector<HTMLElement>(`[data-control=${control}]`))
        .find((slot) => slot)
        ?.click()
  }
}

function whoIs(side: Side) {
  emit('who', {
    part: side,
    criterion: criterion.id,
    title: titleOf(level.section, side, words.value),
  })
}
</script>

<template>
  <li
    ref="line"
    class="line"
    :class="{ off: criterion.off }"
    :data-criterion="criterion.id"
    @keydown="onKey"
  >
    <CriterionNumbers
      :level="level"
      :before="before"
      :people="people"
      :off="criterion.off === true"
      :words="words"
      @who="whoIs"
    />
    <div class="words">
      <InputText
        v-if="labelling"
        ref="labelInput"
        :model-value="label"
        size="small"
        aria-label="Label of this criterion"
        placeholder="A label, or blank for none"
        @blur="closeLabel"
        @keydown.enter="closeLabel"
        @keydown.escape="labelling = false"
      />
      <span v-else-if="label" class="label">{{ label }}: </span>
      <TypedLine
        v-if="typing"
        ref="typedLine"
        class="typing"
        :document="nameable"
        :as-of="asOf"
        :start="level.typed"
        :should-have="level.section === 'SHOULD_HAVE'"
        :label="`Type “${words}” anew`"
        example=""
        @add="retyped"
        @leave="closeTyping"
      />
      <SentenceText
        v-else
        :sentence="level.sentence"
        @edit="(event, control, pointer) => emit('edit', event, control, pointer)"
        @remove="emit('removePart', $event)"
      />
      <span v-if="unsure !== 'ask'" class="quiet aside">
        can’t tell counts as {{ unsure === 'meets' ? 'yes' : 'no' }}
      </span>
      <p v-for="finding in findings" :key="finding" class="notice">{{ finding }}</p>
      <p v-for="doubt in level.doubts" :key="doubt.message" class="doubt">
        <i class="pi pi-exclamation-circle" aria-hidden="true" />
        <span>{{ doubt.message }}</span>
        <button class="word" @click="mend(doubt)">{{ mendOf(doubt).words }}</button>
      </p>
    </div>
    <button
      v-if="level.fell !== undefined"
      class="word fell"
      :aria-label="named(fell, level.section, 'FELL', words)"
      :title="meaningOf(level.section === 'SHOULD_HAVE' ? 'lackIt' : 'fell')"
      @click="whoIs('FELL')"
    >
      {{ fell }}
    </button>
    <span v-else />
    <button
      class="grip"
      type="button"
      :aria-label="`What can be done with “${words}”; drag to move`"
      aria-haspopup="menu"
      draggable="true"
      @click="menu?.toggle($event)"
      @dragstart="$event.dataTransfer?.setData('text/plain', criterion.id)"
    >
      <i class="pi pi-ellipsis-v" />
    </button>
    <Menu ref="menu" :model="items" popup />
  </li>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: var(--stick) 1fr 66px 26px;
  gap: 10px;
  align-items: start;
  min-height: 34px;
  border-bottom: 1px solid var(--hair);
  background: var(--sheet);
  position: relative;
}

.typing {
  padding: 0;
  background: none;
}

.fell {
  min-height: 26px;
  font-size: 0.82rem;
  color: var(--soft-ink);
  border-bottom-color: transparent;
  margin-top: 3px;
  text-align: right;
}

.words {
  padding: 5px 0 6px;
}

.off .words {
  text-decoration: line-through;
  opacity: 0.6;
}

.doubt {
  display: flex;
  flex-wrap: wrap;
  gap: 0 6px;
  align-items: baseline;
  margin: 2px 0 0;
  font-size: 0.9rem;
  color: var(--amber-ink);
}

.label {
  font-weight: 600;
}

.aside {
  font-size: 0.85rem;
  margin-left: 8px;
}

.grip {
  border: 0;
  background: none;
  height: 30px;
  cursor: grab;
  color: var(--soft-ink);
}

/* The numbers stand over their sentence where there is no room beside it. */
@media (max-width: 700px) {
  .line {
    grid-template-columns: var(--stick) 1fr auto 26px;
    grid-template-rows: auto auto;
  }

  .line > :deep(.stick) {
    grid-row: 1 / span 2;
  }

  .words {
    grid-area: 2 / 2 / 3 / 5;
  }
}

.grip:hover {
  background: var(--paper);
}
</style>
