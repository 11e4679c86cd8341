<script setup lang="ts">
import type { Schemas } from '@/api/client'
import Drop from './Drop.vue'

defineProps<{ reason: Schemas['ReasonView'] }>()
</script>

<template>
  <div class="reason">
    <Drop :outcome="reason.outcome" />
    <div>
      {{ reason.words }}
      <ReasonLine v-for="(part, i) in reason.parts" :key="i" :reason="part" />
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
