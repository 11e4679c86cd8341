<script setup lang="ts">
import DateOrder from './DateOrder.vue'

/** Some days of a file that is only looked at could be read either way: asks which is meant. */
const emit = defineEmits<{
  /** As the server names it. */
  chosen: [order: 'DAY_FIRST' | 'MONTH_FIRST']
}>()
</script>

<template>
  <div class="questions">
    <p>Some days could be read either way. Does the day or the month come first?</p>
    <DateOrder @chosen="emit('chosen', $event === 'day-first' ? 'DAY_FIRST' : 'MONTH_FIRST')" />
  </div>
</template>

<style scoped>
.questions {
  border-left: 3px solid var(--amber);
  padding-left: 12px;
}
</style>
