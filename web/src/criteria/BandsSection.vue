<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { shortened } from '@/shortened'
import { count } from '@/stick'
import Button from 'primevue/button'
import Menu from 'primevue/menu'
import { computed, useTemplateRef } from 'vue'
import BandLine from './BandLine.vue'
import { addBand, bandsOf, changeBand, isOfOthers, moveBand, removeBand } from './bands'
import type { CriteriaDocument, JsonObject, TermSet } from './document'
import SheetSection from './SheetSection.vue'
import { TypedLine } from './typed'
import type { Behind } from './who'

/** The fourth section of the sheet: into which bands the list falls, the most urgent first. */
const { document, levels, findings, nameable, asOf, named } = defineProps<{
  document: CriteriaDocument
  levels: Schemas['Levels']
  findings: (pointer: string) => string[]
  /** The set with all that may be named in it. */
  nameable: CriteriaDocument
  asOf: string
  /** The document with the term sets that something typed names. */
  named: (said: JsonObject, made: TermSet[]) => CriteriaDocument
}>()
const emit = defineEmits<{
  change: [document: CriteriaDocument, key?: string]
  who: [behind: Behind]
  edit: [
    band: number,
    event: Event,
    control: NonNullable<Schemas['PhraseView']['control']>,
    pointer: string,
  ]
}>()

const LONGEST_NAME = 60

const bands = computed(() => bandsOf(document))
/** A line stands where the levels know the band as it is now. */
const lines = computed(() =>
  bands.value.flatMap((band, index) => {
    const level = levels.bands[index]
    return level?.name === band.name ? [{ band, index, level }] : []
  }),
)
/** What is wrong with bands whose levels are not known. */
const unshown = computed(() =>
  bands.value.flatMap((_, index) =>
    lines.value.some((line) => line.index === index) ? [] : findings(`/bands/${String(index)}`),
  ),
)
const hasOthers = computed(() => bands.value.some(isOfOthers))

const addMenu = useTemplateRef('addMenu')
const addItems = computed(() => [
  { label: 'Never met', command: () => add('Never met', { overdue: 'never' }) },
  {
    label: 'Overdue by 6 months or more',
    command: () => add('Half a year late', { overdue: { atLeast: 'P6M' } }),
  },
  { label: 'An age', command: () => add('Aged 75 or over', { age: { from: 75 } }) },
  {
    label: 'Everybody else',
    disabled: hasOthers.value,
    command: () => add('Everybody else', { all: [] }),
  },
])

function add(name: string, when: JsonObject) {
  emit('change', addBand(document, name, when))
}

function addTyped(when: JsonObject, made: TermSet[], words: string) {
  const name = shortened(words, LONGEST_NAME)
  const first = name.charAt(0).toUpperCase() + name.slice(1)
  emit('change', addBand(named(when, made), first, when))
}

function move(index: number, step: 1 | -1) {
  emit('change', moveBand(document, index, step > 0 ? index + 2 : index - 1))
  setTimeout(() => {
    window.document
      .querySelector<HTMLElement>(`[data-band="${String(index + step)}"] .grip`)
      ?.focus()
  }, 0)
}

function drop(to: number, event: DragEvent) {
  const from = event.dataTransfer?.getData('text/x-band')
  if (from) {
    emit('change', moveBand(document, Number(from), to))
  }
}
</script>

<template>
  <SheetSection
    name="Bands"
    :hint="
      bands.length
        ? undefined
        : 'The list is not sorted by urgency. Add what makes somebody urgent, the most urgent first.'
    "
    @dragover.prevent
    @drop.prevent="drop(bands.length, $event)"
  >
    <template v-if="bands.length" #beside>
      <span class="quiet">parts of the list; each person is in the first that fits</span>
    </template>
    <template #add>
      <Button
        size="small"
        text
        icon="pi pi-plus"
        label="Add a band"
        aria-haspopup="menu"
        @click="addMenu?.toggle($event)"
      />
    </template>
    <ul>
      <BandLine
        v-for="{ band, index, level } in lines"
        :key="index"
        :band
        :level
        :index
        :list="levels.list"
        :findings="findings(`/bands/${index}`)"
        :nameable
        :as-of="asOf"
        @edit="(event, control, pointer) => emit('edit', index, event, control, pointer)"
        @who="emit('who', $event)"
        @name="
          (name) =>
            emit(
              'change',
              changeBand(document, index, (one) => ({ ...one, name })),
            )
        "
        @move="move(index, $event)"
        @remove="emit('change', removeBand(document, index))"
        @retype="
          (when, made) =>
            emit(
              'change',
              changeBand(named(when, made), index, (one) => ({ ...one, when })),
            )
        "
        @dragover.prevent
        @drop.prevent.stop="drop(index, $event)"
      />
      <li v-for="finding in unshown" :key="finding" class="notice">{{ finding }}</li>
    </ul>
    <p v-if="levels.noBand && bands.length && !hasOthers" class="others quiet">
      <button class="word" @click="emit('who', { part: 'IN_BAND', title: 'In no band' })">
        {{ count(levels.noBand.yes) }}
      </button>
      of the list
      {{ levels.noBand.yes === 1 ? 'is' : 'are' }} in no band<template v-if="levels.noBand.unsure"
        >, and
        <button
          class="word"
          @click="emit('who', { part: 'TO_CHECK_IN_BAND', title: 'In no band, to check' })"
        >
          {{ count(levels.noBand.unsure) }} to check
        </button></template
      >.
    </p>
    <TypedLine
      band
      :document="nameable"
      :as-of="asOf"
      label="Type when somebody is in a band"
      example="overdue by 6 months or more"
      @add="addTyped"
    />
    <Menu ref="addMenu" :model="addItems" popup />
  </SheetSection>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}

.others {
  margin: 0;
  padding: 4px 8px 4px calc(var(--stick) + 10px);
  background: linear-gradient(90deg, var(--pressed) var(--stick), transparent var(--stick));
}
</style>
