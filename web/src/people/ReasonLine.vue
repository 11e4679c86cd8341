<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { VeiledWords } from '@/veil'
import Drop from './Drop.vue'

defineProps<{
  reason: Schemas['ReasonView']
  /** What tells who it is. */
  telling: readonly string[]
}>()
</script>

<template>
  <div class="reason">
    <Drop :outcome="reason.outcome" />
    <div>
      <VeiledWords :text="reason.words" :telling="telling" />
      <ReasonLine v-for="(part, i) in reason.parts" :key="i" :reason="part" :telling="telling" />
    </div>
  </div>
</template>

<style scoped>
.reason {
  display: flex;
  gap: 7px;
  align-items: baseline;
}
</style>
