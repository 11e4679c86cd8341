<script setup lang="ts">
import { computed } from 'vue'
import type { KeyPair, Side } from './sidebyside'

/** A column of the one list, and the one of the other that means the same. */
const { here, there, pair, between, what } = defineProps<{
  here: Side
  there: Side
  pair: KeyPair
  /** What stands between the two. */
  between: string
  /** What it is, for who does not see where it stands. */
  what: string
}>()
const emit = defineEmits<{ change: [pair: KeyPair]; without: [] }>()

const ofHere = computed({
  get: () => pair.here,
  set: (column) => emit('change', { here: column, there: pair.there }),
})
const ofThere = computed({
  get: () => pair.there,
  set: (column) => emit('change', { here: pair.here, there: column }),
})
</script>

<template>
  <div class="pair">
    <select v-model="ofHere" class="plain" :aria-label="`${what} of ${here.name}`">
      <option v-for="one in here.columns" :key="one.name">{{ one.name }}</option>
    </select>
    <span aria-hidden="true">{{ between }}</span>
    <select v-model="ofThere" class="plain" :aria-label="`${what} of ${there.name}`">
      <option v-for="one in there.columns" :key="one.name">{{ one.name }}</option>
    </select>
    <slot />
    <button
      type="button"
      class="word"
      :aria-label="`${what}, ${pair.here}: without`"
      @click="emit('without')"
    >
      without
    </button>
  </div>
</template>

<style scoped>
.pair {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
  margin-bottom: 4px;
}
</style>
