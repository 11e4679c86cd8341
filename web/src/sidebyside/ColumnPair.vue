<script setup lang="ts">
import Select from 'primevue/select'
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
</script>

<template>
  <div class="pair">
    <Select
      :model-value="pair.here"
      :options="here.columns"
      option-label="name"
      option-value="name"
      size="small"
      :aria-label="`${what} of ${here.name}`"
      @update:model-value="emit('change', { here: $event as string, there: pair.there })"
    />
    <span aria-hidden="true">{{ between }}</span>
    <Select
      :model-value="pair.there"
      :options="there.columns"
      option-label="name"
      option-value="name"
      size="small"
      :aria-label="`${what} of ${there.name}`"
      @update:model-value="emit('change', { here: pair.here, there: $event as string })"
    />
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
