<script setup lang="ts">
/** A column of the list on the sheet: dragged, moved with Alt and an arrow, taken out. */
const { words, list, at } = defineProps<{
  words: string
  /** Among which columns it stands. */
  list: 'show' | 'order'
  at: number
  /** What taking it out is called. */
  without: string
}>()
const emit = defineEmits<{ remove: []; step: [step: 1 | -1]; drop: [from: number] }>()

const KIND = 'text/x-column'

function onKey(event: KeyboardEvent) {
  const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key] as 1 | -1 | undefined
  if (event.altKey && step) {
    event.preventDefault()
    emit('step', step)
  }
}

function drop(event: DragEvent) {
  const [from, of] = event.dataTransfer?.getData(KIND).split(' ') ?? []
  if (from && of === list) {
    emit('drop', Number(from))
  }
}
</script>

<template>
  <span
    class="chip"
    draggable="true"
    @dragstart="$event.dataTransfer?.setData(KIND, `${at} ${list}`)"
    @dragover.prevent
    @drop.prevent="drop"
    @keydown="onKey"
  >
    {{ words }}
    <slot />
    <button
      class="take-out"
      :aria-label="`${without} “${words}”; Alt with ← or → moves it`"
      @click="emit('remove')"
    >
      ×
    </button>
  </span>
</template>

<style scoped>
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
</style>
