<script setup lang="ts">
import { RowLink } from '@/address'
import { useVeil, Veiled, VeiledWords } from '@/veil'
import { useRoute } from 'vue-router'
import type { DeskColumn } from './columns'
import type { DeskRow } from './queues'

/** Somebody of a queue, on one line. */
defineProps<{
  row: DeskRow
  columns: readonly DeskColumn[]
  /** The widths of the columns. */
  tracks: string
  height: number
  isCurrent: boolean
  isMarked: boolean
  /** Whether the tabulator comes to them. */
  isReachable: boolean
  today: string
}>()
const emit = defineEmits<{ open: []; mark: [] }>()

const veil = useVeil()
const route = useRoute()
</script>

<template>
  <div
    class="line"
    role="row"
    :class="{ current: isCurrent, away: row.inHand?.mine === false }"
    :style="{ gridTemplateColumns: tracks, height: `${height}px` }"
    :data-row="row.person.id"
    @click="emit('open')"
  >
    <span role="cell">
      <input
        type="checkbox"
        tabindex="-1"
        :aria-label="`Mark ${row.person.name}`"
        :checked="isMarked"
        @click.stop
        @change="emit('mark')"
      />
    </span>
    <span
      v-for="column in columns"
      :key="column.id"
      role="cell"
      class="cell"
      :title="veil.isDown ? undefined : column.text(row, today)"
    >
      <RowLink
        v-if="column.id === 'name'"
        class="name"
        :to="{ query: { ...route.query, person: row.person.id } }"
        :tabindex="isReachable ? 0 : -1"
        :aria-current="isCurrent ? 'true' : undefined"
        @open="emit('open')"
      >
        <Veiled :text="row.person.name" />
      </RowLink>
      <Veiled v-else-if="column.telling" :text="column.text(row, today)" :what="column.name" />
      <VeiledWords
        v-else
        :text="column.text(row, today)"
        :telling="[row.person.born, row.person.name, row.person.phone]"
      />
    </span>
  </div>
</template>

<style scoped>
.line {
  display: grid;
  align-items: center;
  gap: 8px;
  padding: 0 10px 0 6px;
  box-sizing: border-box;
  border-bottom: 1px solid var(--hair);
  cursor: pointer;
}

.line:hover {
  background: var(--paper);
}

.line.current {
  background: var(--pressed);
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

.line:focus-within {
  outline: 2px solid var(--verdigris);
  outline-offset: -2px;
}

.name:focus-visible {
  outline: none;
}

.name {
  display: block;
  color: inherit;
  font-weight: 600;
  text-decoration: none;
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
