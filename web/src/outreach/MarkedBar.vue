<script setup lang="ts">
import { count } from '@/stick'
import Button from 'primevue/button'

/** What can be done about all that are marked, at once. */
const { people } = defineProps<{ people: number }>()
const emit = defineEmits<{
  take: []
  give: []
  letter: []
  excuse: []
  close: []
  nobody: []
}>()
</script>

<template>
  <div class="bulk" role="status">
    {{ count(people) }} marked:
    <Button size="small" text label="Take" @click="emit('take')" />
    <Button size="small" text label="Give to…" @click="emit('give')" />
    <Button size="small" text label="Letter…" @click="emit('letter')" />
    <Button size="small" text label="Excuse…" @click="emit('excuse')" />
    <Button size="small" text label="Close…" @click="emit('close')" />
    <button class="word" @click="emit('nobody')">mark nobody</button>
  </div>
</template>

<style scoped>
.bulk {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px;
  background: var(--calm);
  padding: 2px 8px;
}
</style>
