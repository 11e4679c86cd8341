<script setup lang="ts">
import { LIMITS } from '@/api/limits'
import { FormDialog } from '@/controls'
import InputText from 'primevue/inputtext'
import { reactive, watch } from 'vue'
import { SET_ORDER, USUAL_VIEW, type ColumnId, type DeskColumn, type View } from './columns'

/** Columns, their order, and grouping; kept under a name. */
const visible = defineModel<boolean>('visible', { required: true })
const { view, views, usual, columns } = defineProps<{
  view: View
  views: readonly View[]
  /** What the desk has where nobody said otherwise. */
  usual: View
  columns: readonly DeskColumn[]
}>()
const emit = defineEmits<{ use: [view: View]; save: [views: View[]] }>()

const draft = reactive<View>({ ...USUAL_VIEW })

function begin(from: View) {
  Object.assign(draft, { ...from, columns: [...from.columns] })
}

watch(visible, (shown) => {
  if (shown) {
    begin(view)
  }
})

function turn(id: ColumnId) {
  draft.columns = draft.columns.includes(id)
    ? draft.columns.filter((one) => one !== id)
    : [...draft.columns, id]
}

function move(id: ColumnId, by: 1 | -1) {
  const moved = [...draft.columns]
  const at = moved.indexOf(id)
  const other = moved[at + by]
  if (other) {
    moved[at] = other
    moved[at + by] = id
    draft.columns = moved
  }
}

/** Those that are shown in their order, then the others. */
function ordered() {
  const rest = columns.filter((column) => !draft.columns.includes(column.id))
  return [...draft.columns.map((id) => columns.find((column) => column.id === id)), ...rest].filter(
    (column) => column !== undefined,
  )
}

function use() {
  emit('use', { ...draft, columns: [...draft.columns], name: draft.name.trim() || 'Usual' })
  visible.value = false
}
</script>

<template>
  <FormDialog
    v-model:visible="visible"
    header="Columns of the desk"
    action="Use it"
    stacked
    @done="use"
  >
    <p v-if="views.length > 1" class="kept">
      Yours:
      <span v-for="one in views" :key="one.name">
        <button type="button" class="word" @click="begin(one)">{{ one.name }}</button>
        <button
          v-if="one.name !== USUAL_VIEW.name"
          type="button"
          class="word"
          :aria-label="`Forget ${one.name}`"
          @click="
            emit(
              'save',
              views.filter((other) => other.name !== one.name),
            )
          "
        >
          ×
        </button>
      </span>
    </p>
    <ul>
      <li v-for="column in ordered()" :key="column.id">
        <label>
          <input
            type="checkbox"
            :checked="draft.columns.includes(column.id)"
            :disabled="column.id === 'name'"
            @change="turn(column.id)"
          />
          {{ column.name }}
        </label>
        <template v-if="draft.columns.includes(column.id)">
          <button
            type="button"
            class="word"
            :aria-label="`${column.name} further left`"
            @click="move(column.id, -1)"
          >
            ↑
          </button>
          <button
            type="button"
            class="word"
            :aria-label="`${column.name} further right`"
            @click="move(column.id, 1)"
          >
            ↓
          </button>
        </template>
      </li>
    </ul>
    <div class="form">
      <label for="group-by">Group by</label>
      <select id="group-by" v-model="draft.groupBy">
        <option value="">nothing</option>
        <option
          v-for="column in columns.filter((one) => !one.telling)"
          :key="column.id"
          :value="column.id"
        >
          {{ column.name }}
        </option>
      </select>
      <template v-if="usual.sortBy === SET_ORDER">
        <label for="set-order">Order</label>
        <label>
          <input
            id="set-order"
            type="checkbox"
            :checked="draft.sortBy === SET_ORDER"
            @change="draft.sortBy = draft.sortBy === SET_ORDER ? USUAL_VIEW.sortBy : SET_ORDER"
          />
          as the set orders its list
        </label>
      </template>
      <label for="view-name">Kept as</label>
      <InputText id="view-name" v-model="draft.name" :maxlength="LIMITS.OwnView.name.maxLength" />
    </div>
  </FormDialog>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0 0 10px;
  padding: 0;
  columns: 2;
}

li {
  display: flex;
  gap: 8px;
  padding: 1px 0;
}

li label {
  min-width: 120px;
}

.kept {
  display: flex;
  gap: 10px;
  margin-top: 0;
}
</style>
