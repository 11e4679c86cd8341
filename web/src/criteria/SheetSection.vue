<script setup lang="ts">
/** A section of the sheet: its heading with what belongs to it, and what stands below. */
defineProps<{
  name: string
  /** What is said where nothing stands below. */
  hint?: string
}>()
</script>

<template>
  <section :aria-label="name">
    <header>
      <h2>{{ name }}</h2>
      <slot name="beside" />
      <span class="add"><slot name="add" /></span>
    </header>
    <p v-if="hint" class="hint quiet">{{ hint }}</p>
    <slot />
  </section>
</template>

<style scoped>
header {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 3px 8px 3px calc(var(--stick) + 10px);
  background: linear-gradient(90deg, var(--pressed) var(--stick), var(--paper) var(--stick));
  border-bottom: 1px solid var(--rule);
}

.add {
  margin-left: auto;
}

.hint {
  margin: 0;
  padding: 6px 8px 6px calc(var(--stick) + 10px);
  background: linear-gradient(90deg, var(--pressed) var(--stick), transparent var(--stick));
}
</style>
