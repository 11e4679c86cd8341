<script setup lang="ts">
import { count } from '@/stick'
import { useEventListener, useVirtualList } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { columnOf, type ColumnId, type View } from './columns'
import DeskLine from './DeskLine.vue'
import { lineOf, linesOf, type Line } from './lines'
import type { DeskRow } from './queues'

/** The people of a queue, one line each, with the one in hand marked. Who is not in sight need not have come yet. */
const inSight = defineModel<readonly [number, number]>('inSight', { required: true })
const { rows, total, groups, view, current, today, printing, marked } = defineProps<{
  /** Those who came, by their place in the order. */
  rows: ReadonlyMap<number, DeskRow>
  /** How many there are; nothing while that is not known. */
  total: number | undefined
  /** How many stand under each heading, in their order; none where there are no headings. */
  groups: readonly number[]
  view: View
  current: string
  today: string
  empty: string
  /** Whether everybody stands who came, as on paper, not only those who are in sight. */
  printing?: boolean
  /** Who is marked, by number. */
  marked: ReadonlySet<string>
}>()
const emit = defineEmits<{
  open: [row: DeskRow]
  sort: [column: ColumnId]
  mark: [row: DeskRow]
  markAll: []
}>()

const ROW_HEIGHT = 27

const columns = computed(() => view.columns.map(columnOf).filter((column) => column !== undefined))
const tracks = computed(
  () =>
    `26px ${columns.value
      .map((column) =>
        column.width.replace(/[\d.]+fr/, `minmax(${column.id === 'name' ? '140px' : '0'}, $&)`),
      )
      .join(' ')}`,
)
const source = computed(() => linesOf(total ?? 0, groups))
const placeOfCurrent = computed(() => {
  for (const [at, row] of rows) {
    if (row.person.id === current) {
      return at
    }
  }
  return undefined
})
/** Whom the tabulator comes to: whoever is open, or the first where they are in another queue. */
const reachable = computed(() =>
  placeOfCurrent.value === undefined ? rows.get(0)?.person.id : current,
)

const onPaper = ref(false)
useEventListener(window, 'beforeprint', () => (onPaper.value = true))
useEventListener(window, 'afterprint', () => (onPaper.value = false))

const { list, containerProps, wrapperProps, scrollTo } = useVirtualList(source, {
  itemHeight: ROW_HEIGHT,
  overscan: 12,
})

const lines = computed(() =>
  printing || onPaper.value ? source.value : list.value.map((one) => one.data),
)

watch(list, (shown) => {
  const first = shown[0]?.data
  const last = shown.at(-1)?.data
  if (first && last) {
    const placeOf = (line: Line) => ('at' in line ? line.at : line.first)
    inSight.value = [placeOf(first), placeOf(last)]
  }
})

/** Of those who came. */
function rowAt(at: number): DeskRow {
  return rows.get(at) as DeskRow
}

function lineOfRow(at: number) {
  const row = rowAt(at)
  const { id } = row.person
  return {
    row,
    isCurrent: id === current,
    isMarked: marked.has(id),
    isReachable: id === reachable.value,
  }
}

function headingOf(first: number): string {
  const row = rows.get(first)
  return row ? columnOf(view.groupBy)?.text(row, today) || 'none' : '…'
}

const allMarked = computed(() => total !== undefined && total > 0 && marked.size >= total)

watch(
  () => current,
  async () => {
    const at = placeOfCurrent.value
    const box = containerProps.ref.value
    if (at === undefined || !box) {
      return
    }
    const line = lineOf(at, groups)
    const top = line * ROW_HEIGHT
    if (top < box.scrollTop || top + ROW_HEIGHT > box.scrollTop + box.clientHeight) {
      scrollTo(Math.max(0, line - 3))
      await nextTick()
    }
  },
)
</script>

<template>
  <div
    class="desk-table"
    role="table"
    aria-label="People of this queue"
    :aria-rowcount="source.length"
  >
    <div class="head" role="row" :style="{ gridTemplateColumns: tracks }">
      <span role="columnheader">
        <input
          type="checkbox"
          aria-label="Mark all"
          :checked="allMarked"
          @change="emit('markAll')"
        />
      </span>
      <span
        v-for="column in columns"
        :key="column.id"
        role="columnheader"
        :aria-sort="
          view.sortBy === column.id ? (view.descending ? 'descending' : 'ascending') : 'none'
        "
      >
        <button class="sort" @click="emit('sort', column.id)">
          {{ column.name
          }}<span v-if="view.sortBy === column.id" aria-hidden="true">{{
            view.descending ? ' ▾' : ' ▴'
          }}</span>
        </button>
      </span>
    </div>
    <p v-if="total === undefined" class="quiet none">They are being fetched.</p>
    <p v-else-if="total === 0" class="quiet none">{{ empty }}</p>
    <div v-bind="containerProps" class="scroll" role="rowgroup" tabindex="-1">
      <div v-bind="wrapperProps">
        <template
          v-for="line in lines"
          :key="'at' in line ? (rows.get(line.at)?.person.id ?? line.at) : `group ${line.heading}`"
        >
          <div
            v-if="'heading' in line"
            class="heading"
            role="row"
            :style="{ height: `${ROW_HEIGHT}px` }"
          >
            <span role="cell" :aria-colspan="columns.length + 1">
              <strong>{{ headingOf(line.first) }}</strong> {{ count(line.people) }}
            </span>
          </div>
          <DeskLine
            v-else-if="rows.has(line.at)"
            v-bind="lineOfRow(line.at)"
            :columns="columns"
            :tracks="tracks"
            :height="ROW_HEIGHT"
            :today="today"
            @open="emit('open', rowAt(line.at))"
            @mark="emit('mark', rowAt(line.at))"
          />
          <div v-else class="coming" role="row" :style="{ height: `${ROW_HEIGHT}px` }">
            <span role="cell" class="quiet">…</span>
          </div>
        </template>
      </div>
    </div>
  </div>
</template>

<style scoped>
.desk-table {
  display: flex;
  flex-direction: column;
  min-height: 0;
  flex: 1;
  background: var(--sheet);
  border: 1px solid var(--rule);
}

.scroll {
  flex: 1;
  min-height: 0;
  scrollbar-gutter: stable;
}

.head,
.coming {
  display: grid;
  align-items: center;
  gap: 8px;
  padding: 0 10px 0 6px;
  box-sizing: border-box;
}

.head {
  border-bottom: 1px solid var(--rule);
  background: var(--head);
  overflow: hidden;
  scrollbar-gutter: stable;
}

.coming {
  border-bottom: 1px solid var(--hair);
}

.sort {
  border: 0;
  background: none;
  padding: 4px 0;
  color: inherit;
  font-weight: 600;
  cursor: pointer;
  text-align: left;
  white-space: nowrap;
}

.heading {
  display: flex;
  align-items: center;
  padding-left: 10px;
  box-sizing: border-box;
  border-bottom: 1px solid var(--rule);
  background: var(--paper);
  color: var(--soft-ink);
}

.none {
  margin: 14px;
}
</style>
