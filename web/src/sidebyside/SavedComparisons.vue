<script setup lang="ts">
import type { Saved } from './sidebyside'

/** What is laid side by side again and again. */
const { saved, open } = defineProps<{
  saved: Saved[]
  /** The id of the one that is laid now. */
  open: string
}>()
const emit = defineEmits<{ open: [comparison: Saved]; remove: [comparison: Saved] }>()
</script>

<template>
  <section class="saved" aria-label="Saved">
    <span>Again:</span>
    <span v-for="one in saved" :key="one.id" class="one">
      <button type="button" class="word" :aria-pressed="open === one.id" @click="emit('open', one)">
        {{ one.name }}
      </button>
      <span class="quiet"> {{ one.document.here.name }}, {{ one.document.there.name }} </span>
      <button
        type="button"
        class="word quiet"
        :aria-label="`Keep ${one.name} no longer`"
        @click="emit('remove', one)"
      >
        remove
      </button>
    </span>
  </section>
</template>

<style scoped>
.saved {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  margin-bottom: 10px;
}

.one {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
}

.saved [aria-pressed='true'] {
  font-weight: 600;
}
</style>
