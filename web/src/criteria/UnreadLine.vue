<script setup lang="ts">
import type { Criterion } from './document'

/** A criterion of which no sentence is known: nothing has come yet, or it cannot be read as it is written. */
defineProps<{ criterion: Criterion; findings: string[] }>()
const emit = defineEmits<{ remove: [] }>()
</script>

<template>
  <li class="unread">
    <template v-if="findings.length">
      <span>
        {{ criterion.label ?? criterion.id }}
        <button class="word" @click="emit('remove')">Remove it</button>
      </span>
      <p v-for="finding in findings" :key="finding" class="notice">{{ finding }}</p>
      <pre>{{ JSON.stringify(criterion.test, undefined, 1) }}</pre>
    </template>
  </li>
</template>

<style scoped>
.unread {
  min-height: 30px;
  padding: 6px 10px 6px calc(var(--stick) + 10px);
  background: linear-gradient(to right, var(--pressed) var(--stick), transparent 0);
  border-bottom: 1px solid var(--hair);
}

pre {
  margin: 4px 0 0;
  max-height: 8em;
  overflow: auto;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  font-size: 0.85rem;
}
</style>
