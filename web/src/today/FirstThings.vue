<script setup lang="ts">
import type { ToDo } from './first'
import { RouterLink } from 'vue-router'

/** What to do, the first thing first, in one line. */
defineProps<{ things: readonly ToDo[] }>()
</script>

<template>
  <ol class="first" aria-label="What to do first">
    <li v-for="(thing, i) in things" :key="thing.words">
      <span class="quiet">{{ i === 0 ? 'First' : 'then' }}</span>
      {{ ' ' }}<RouterLink :to="thing.to" :class="{ very: i === 0 }">{{ thing.words }}</RouterLink>
    </li>
  </ol>
</template>

<style scoped>
.first {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  margin: 0 0 12px;
  padding: 8px 14px;
  background: var(--calm);
  border-left: 3px solid var(--verdigris);
}

.very {
  font-weight: 600;
}
</style>
