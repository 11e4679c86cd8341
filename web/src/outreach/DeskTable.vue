<script setup lang="ts">
import { Veiled } from '@/veil'
import { useVirtualList } from '@vueuse/core'
import { computed, nextTick, watch } from 'vue'
import { columnOf, type ColumnId, type View } from './columns'
import type { DeskRow } from './queues'

/** The people of a queue, one line each, with the one in hand marked. */
const marked = defineModel<Set<string>>('marked', { required: true })
const { rows, view, current, today } = defineProps<{
  rows: readonly DeskRow[]
  view: View
  current: string
  today: string
  empty: string
}>()
const emit = defineEmits<{ open: [row: DeskRow]; sort: [column: ColumnId] }>()

const ROW_HEIGHT = 27

const columns = computed(() => view.columns.map(columnOf).filter((column) => column !== undefined))
const tracks = computed(
  () =>
    `26px ${columns.value.map((column) => column.width.replace(/[\d.]+fr/, 'minmax(0, $&)')).join(' ')}`,
)
const source = computed(() => [...rows])
const { list, containerProps, wrapperProps, scrollTo } = useVirtualList(source, {
  itemHeight: ROW_HEIGHT,
  overscan: 12,
})

/** Whether a line is the first of its group. */
function beginsGroup(index: number): string {
  const group = columnOf(view.groupBy)
  const row = rows[index]
  if (!group || !row) {
    return ''
  }
  const words = group.text(row, today) || 'none'
  const before = rows[index - 1]
  return before && (group.text(before, today) || 'none') === words ? '' : words
}

function mark(row: DeskRow) {
  const next = new Set(marked.value)
  if (!next.delete(row.person.id)) {
    next.add(row.person.id)
  }
  marked.value = next
}

const allMarked = computed(
  () => rows.length > 0 && rows.every((row) => marked.value.has(row.person.id)),
)

function markAll() {
  marked.value = new Set(allMarked.value ? [] : rows.map((row) => row.person.id))
}

watch(
  () => current,
  async () => {
    const index = rows.findIndex((row) => row.person.id === current)
    const box = containerProps.ref.value
    if (index < 0 || !box) {
      return
    }
    const top = index * ROW_HEIGHT
    if (top < box.scrollTop || top + ROW_HEIGHT > box.scrollTop + box.clientHeight) {
      scrollTo(Math.max(0, index - 3))
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
    :aria-rowcount="rows.length"
  >
    <div class="line head" role="row" :style="{ gridTemplateColumns: tracks }">
      <span role="columnheader">
        <input type="checkbox" aria-label="Mark all" :checked="allMarked" @change="markAll" />
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
    <p v-if="rows.length === 0" class="quiet none">{{ empty }}</p>
    <div v-bind="containerProps" class="scroll" role="rowgroup" tabindex="-1">
      <div v-bind="wrapperProps">
        <div
          v-for="{ data: row, index } in list"
          :key="row.person.id"
          class="line"
          role="row"
          :class="{ current: row.person.id === current, away: row.inHand?.mine === false }"
          :style="{ gridTemplateColumns: tracks, height: `${ROW_HEIGHT}px` }"
          :data-row="row.person.id"
          @click="emit('open', row)"
        >
          <span role="cell">
            <input
              type="checkbox"
              tabindex="-1"
              :aria-label="`Mark ${row.person.name}`"
              :checked="marked.has(row.person.id)"
              @click.stop
              @change="mark(row)"
            />
          </span>
          <span v-for="(column, i) in columns" :key="column.id" role="cell" class="cell">
            <strong v-if="i === 0 && beginsGroup(index)" class="group">{{
              beginsGroup(index)
            }}</strong>
            <button
              v-if="column.id === 'name'"
              class="name"
              :tabindex="row.person.id === current ? 0 : -1"
              :aria-current="row.person.id === current ? 'true' : undefined"
              @click.stop="emit('open', row)"
            >
              <Veiled :text="row.person.name" />
            </button>
            <Veiled
              v-else-if="column.telling"
              :text="column.text(row, today)"
              :what="column.name"
            />
            <template v-else>{{ column.text(row, today) }}</template>
          </span>
        </div>
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

.line {
  display: grid;
  align-items: center;
  gap: 8px;
  padding: 0 10px 0 6px;
  box-sizing: border-box;
  border-bottom: 1px solid #eee5d2;
  cursor: pointer;
}

.head {
  border-bottom: 1px solid var(--rule);
  background: #f3ecdc;
  cursor: default;
  overflow: hidden;
  scrollbar-gutter: stable;
}

.line:hover:not(.head) {
  background: var(--paper);
}

.line.current {
  background: #efe7d4;
  box-shadow: inset 3px 0 var(--amber);
}

.line.away {
  color: var(--soft-ink);
}

.cell {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.line:focus-within:not(.head) {
  outline: 2px solid var(--verdigris);
  outline-offset: -2px;
}

.name:focus-visible {
  outline: none;
}

.sort,
.name {
  border: 0;
  background: none;
  padding: 0;
  color: inherit;
  font-weight: 600;
  cursor: pointer;
  text-align: left;
}

.head .sort {
  padding: 4px 0;
  white-space: nowrap;
}

.group {
  margin-right: 6px;
  padding: 0 5px;
  border: 1px solid var(--rule);
  border-radius: 3px;
  font-weight: 400;
  font-size: 0.86em;
  color: var(--soft-ink);
}

.none {
  margin: 14px;
}
</style>
