<script setup lang="ts">
import { count } from '@/stick'
import { useVeil, Veiled, VeiledWords } from '@/veil'
import { useEventListener, useVirtualList } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { columnOf, linesOf, type ColumnId, type View } from './columns'
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

const veil = useVeil()

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
const source = computed(() => linesOf(rows, view, today))
/** Whom the tabulator comes to: whoever is open, or the first where they are in another queue. */
const reachable = computed(() =>
  rows.some((row) => row.person.id === current) ? current : rows[0]?.person.id,
)

/** On paper everybody stands, not only those who are in sight. */
const printing = ref(false)
useEventListener(window, 'beforeprint', () => (printing.value = true))
useEventListener(window, 'afterprint', () => (printing.value = false))

const { list, containerProps, wrapperProps, scrollTo } = useVirtualList(source, {
  itemHeight: ROW_HEIGHT,
  overscan: 12,
})

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
    const index = source.value.findIndex((line) => 'row' in line && line.row.person.id === current)
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
    :aria-rowcount="source.length"
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
        <template
          v-for="line in printing ? source : list.map((one) => one.data)"
          :key="'row' in line ? line.row.person.id : `group ${line.heading}`"
        >
          <div
            v-if="'heading' in line"
            class="heading"
            role="row"
            :style="{ height: `${ROW_HEIGHT}px` }"
          >
            <span role="cell" :aria-colspan="columns.length + 1">
              <strong>{{ line.heading }}</strong> {{ count(line.people) }}
            </span>
          </div>
          <div
            v-else
            class="line"
            role="row"
            :class="{
              current: line.row.person.id === current,
              away: line.row.inHand?.mine === false,
            }"
            :style="{ gridTemplateColumns: tracks, height: `${ROW_HEIGHT}px` }"
            :data-row="line.row.person.id"
            @click="emit('open', line.row)"
          >
            <span role="cell">
              <input
                type="checkbox"
                tabindex="-1"
                :aria-label="`Mark ${line.row.person.name}`"
                :checked="marked.has(line.row.person.id)"
                @click.stop
                @change="mark(line.row)"
              />
            </span>
            <span
              v-for="column in columns"
              :key="column.id"
              role="cell"
              class="cell"
              :title="veil.isDown ? undefined : column.text(line.row, today)"
            >
              <button
                v-if="column.id === 'name'"
                class="name"
                :tabindex="line.row.person.id === reachable ? 0 : -1"
                :aria-current="line.row.person.id === current ? 'true' : undefined"
                @click.stop="emit('open', line.row)"
              >
                <Veiled :text="line.row.person.name" />
              </button>
              <Veiled
                v-else-if="column.telling"
                :text="column.text(line.row, today)"
                :what="column.name"
              />
              <VeiledWords
                v-else
                :text="column.text(line.row, today)"
                :telling="[line.row.person.born, line.row.person.name, line.row.person.phone]"
              />
            </span>
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

.name {
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
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
