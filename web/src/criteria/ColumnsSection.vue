<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { headingWords } from '@/fields'
import { count } from '@/stick'
import InputNumber from 'primevue/inputnumber'
import Select from 'primevue/select'
import { computed } from 'vue'
import { withKey, type CriteriaDocument } from './document'
import {
  keyOf,
  LIST_FIELDS,
  orderOf,
  showOf,
  stepped,
  topOf,
  withOrder,
  withShow,
  wordsOf,
  type ListColumn,
} from './listColumns'
import SheetSection from './SheetSection.vue'

/** The last section of the sheet: what the list shows of each person, in which order, and how many. */
const { document, levels, fields } = defineProps<{
  document: CriteriaDocument
  levels: Schemas['Levels']
  /** Those of people. */
  fields: readonly Schemas['FieldWords'][]
}>()
const emit = defineEmits<{ change: [document: CriteriaDocument, key?: string] }>()

interface Choice {
  column: ListColumn
  words: string
}

/** Name and age stand in each row anyway. */
const ALWAYS_SHOWN = new Set(['id', 'family_name', 'given_name'])

const choices = computed<{ group: string; items: Choice[] }[]>(() =>
  [
    {
      group: 'What the criteria find',
      items: levels.columns.map(({ criterion, column, words }) => ({
        column: { criterion, column },
        words,
      })),
    },
    {
      group: 'Of the list',
      items: LIST_FIELDS.map((name) => ({ column: name, words: headingWords(name) })),
    },
    {
      group: 'Of the person',
      items: fields.map(({ name }) => ({ column: name, words: headingWords(name) })),
    },
  ].filter(({ items }) => items.length),
)

function left(taken: readonly ListColumn[], without: ReadonlySet<string> = new Set()) {
  const keys = new Set(taken.map(keyOf))
  return choices.value
    .map(({ group, items }) => ({
      group,
      items: items.filter(
        ({ column }) =>
          !keys.has(keyOf(column)) && !(typeof column === 'string' && without.has(column)),
      ),
    }))
    .filter(({ items }) => items.length)
}

const show = computed(() => showOf(document))
const order = computed(() => orderOf(document))
const toShow = computed(() => left(show.value, ALWAYS_SHOWN))
const toOrder = computed(() => left(order.value.map((one) => one.by)))

const words = (column: ListColumn) => wordsOf(column, levels.columns)

function drop(list: 'show' | 'order', to: number, event: DragEvent) {
  const [from, of] = event.dataTransfer?.getData('text/x-column').split(' ') ?? []
  if (from === undefined || from === '' || of !== list) {
    return
  }
  const moved = <T,>(items: readonly T[]) => {
    const one = items[Number(from)]
    return one === undefined ? [...items] : items.toSpliced(Number(from), 1).toSpliced(to, 0, one)
  }
  emit(
    'change',
    list === 'show'
      ? withShow(document, moved(show.value))
      : withOrder(document, moved(order.value)),
  )
}

function drag(list: 'show' | 'order', at: number, event: DragEvent) {
  event.dataTransfer?.setData('text/x-column', `${String(at)} ${list}`)
}

function onKey(list: 'show' | 'order', at: number, event: KeyboardEvent) {
  const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key] as 1 | -1 | undefined
  if (event.altKey && step) {
    event.preventDefault()
    emit(
      'change',
      list === 'show'
        ? withShow(document, stepped(show.value, at, step))
        : withOrder(document, stepped(order.value, at, step)),
    )
  }
}

function turn(at: number) {
  emit(
    'change',
    withOrder(
      document,
      order.value.map((one, index) =>
        index === at ? { by: one.by, ...(one.descending ? {} : { descending: true }) } : one,
      ),
    ),
  )
}
</script>

<template>
  <SheetSection
    name="What the list shows"
    :hint="
      show.length || order.length || topOf(document)
        ? undefined
        : 'Name, age, due date and band, by due date. Add what else helps whoever works it.'
    "
  >
    <div class="rows">
      <div class="row" role="group" aria-label="Columns">
        <span class="quiet label">Columns</span>
        <span
          v-for="(column, at) in show"
          :key="keyOf(column)"
          class="chip"
          draggable="true"
          @dragstart="drag('show', at, $event)"
          @dragover.prevent
          @drop.prevent="drop('show', at, $event)"
          @keydown="onKey('show', at, $event)"
        >
          {{ words(column) }}
          <button
            class="take-out"
            :aria-label="`Do not show “${words(column)}”; Alt with ← or → moves it`"
            @click="emit('change', withShow(document, show.toSpliced(at, 1)))"
          >
            ×
          </button>
        </span>
        <Select
          :model-value="null"
          :options="toShow"
          option-group-label="group"
          option-group-children="items"
          option-label="words"
          option-value="column"
          filter
          size="small"
          placeholder="Add a column"
          aria-label="Add a column"
          @update:model-value="emit('change', withShow(document, [...show, $event]))"
        />
      </div>
      <div class="row" role="group" aria-label="Order">
        <span class="quiet label">Ordered by</span>
        <span
          v-for="(one, at) in order"
          :key="keyOf(one.by)"
          class="chip"
          draggable="true"
          @dragstart="drag('order', at, $event)"
          @dragover.prevent
          @drop.prevent="drop('order', at, $event)"
          @keydown="onKey('order', at, $event)"
        >
          {{ words(one.by) }}
          <button class="word" @click="turn(at)">
            {{ one.descending ? 'last to first' : 'first to last' }}
          </button>
          <button
            class="take-out"
            :aria-label="`Do not order by “${words(one.by)}”; Alt with ← or → moves it`"
            @click="emit('change', withOrder(document, order.toSpliced(at, 1)))"
          >
            ×
          </button>
        </span>
        <Select
          :model-value="null"
          :options="toOrder"
          option-group-label="group"
          option-group-children="items"
          option-label="words"
          option-value="column"
          filter
          size="small"
          :placeholder="order.length ? 'then by' : 'the due date, or by'"
          aria-label="Order by"
          @update:model-value="emit('change', withOrder(document, [...order, { by: $event }]))"
        />
      </div>
      <div class="row" role="group" aria-label="How many">
        <label class="quiet label" for="sheet-top">Only the first</label>
        <InputNumber
          input-id="sheet-top"
          :model-value="topOf(document) ?? null"
          :min="1"
          :max="1_000_000"
          :use-grouping="false"
          placeholder="all"
          size="small"
          :input-style="{ width: '70px' }"
          @input="
            emit(
              'change',
              withKey(
                document,
                'top',
                Number($event.value) >= 1 ? Number($event.value) : undefined,
              ) as CriteriaDocument,
              'top',
            )
          "
        />
        <span class="quiet">of {{ count(levels.list.yes) }} on the list</span>
      </div>
    </div>
  </SheetSection>
</template>

<style scoped>
.rows {
  padding: 4px 8px 6px 106px;
  background: linear-gradient(90deg, #efe7d4 96px, transparent 96px);
  border-bottom: 1px solid #eee5d2;
}

.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 5px 8px;
  padding: 2px 0;
}

.label {
  width: 88px;
}

.chip {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  padding: 0 2px 0 8px;
  border: 1px solid var(--rule);
  border-radius: 3px;
  background: var(--paper);
  cursor: grab;
}

.take-out {
  border: 0;
  background: none;
  cursor: pointer;
  color: var(--soft-ink);
  min-width: 24px;
  min-height: 24px;
}

.take-out:hover {
  color: var(--brick);
}
</style>
