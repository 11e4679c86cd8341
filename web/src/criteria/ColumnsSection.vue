<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { headingWords } from '@/fields'
import { count } from '@/stick'
import InputNumber from 'primevue/inputnumber'
import Select from 'primevue/select'
import { computed } from 'vue'
import ColumnChip from './ColumnChip.vue'
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
  type Order,
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

/** With the one at a place moved to another. */
function moved<T>(list: readonly T[], from: number, to: number): T[] {
  const one = list[from]
  return one === undefined ? [...list] : list.toSpliced(from, 1).toSpliced(to, 0, one)
}

function changeShow(next: ListColumn[]) {
  emit('change', withShow(document, next))
}

function changeOrder(next: Order[]) {
  emit('change', withOrder(document, next))
}

function turn(at: number) {
  changeOrder(
    order.value.map((one, index) =>
      index === at ? { by: one.by, ...(one.descending ? {} : { descending: true }) } : one,
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
        <ColumnChip
          v-for="(column, at) in show"
          :key="keyOf(column)"
          :words="words(column)"
          list="show"
          :at="at"
          without="Do not show"
          @remove="changeShow(show.toSpliced(at, 1))"
          @step="changeShow(stepped(show, at, $event))"
          @drop="changeShow(moved(show, $event, at))"
        />
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
          @update:model-value="changeShow([...show, $event])"
        />
      </div>
      <div class="row" role="group" aria-label="Order">
        <span class="quiet label">Ordered by</span>
        <ColumnChip
          v-for="(one, at) in order"
          :key="keyOf(one.by)"
          :words="words(one.by)"
          list="order"
          :at="at"
          without="Do not order by"
          @remove="changeOrder(order.toSpliced(at, 1))"
          @step="changeOrder(stepped(order, at, $event))"
          @drop="changeOrder(moved(order, $event, at))"
        >
          <button class="word" @click="turn(at)">
            {{ one.descending ? 'last to first' : 'first to last' }}
          </button>
        </ColumnChip>
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
          @update:model-value="changeOrder([...order, { by: $event }])"
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
  padding: 4px 8px 6px calc(var(--stick) + 10px);
  background: linear-gradient(90deg, var(--pressed) var(--stick), transparent var(--stick));
  border-bottom: 1px solid var(--hair);
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
</style>
