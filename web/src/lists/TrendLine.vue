<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { shortDayWords } from '@/days'
import { useSession } from '@/session'
import { percent } from '@/stick'
import { computed } from 'vue'
import { lineOf } from './trend'

/** How many of the eligible had it at the readings of the last twelve months: a line, and where it began. */
const { trend } = defineProps<{ trend: readonly Schemas['LevelPoint'][] }>()

const { today } = useSession()
const points = computed(() => trend.filter((one) => one.eligible > 0))
const line = computed(() =>
  lineOf(points.value.map((one) => ({ day: one.asOf, share: one.has / one.eligible }))),
)
const began = computed(() => points.value[0])
</script>

<template>
  <div v-if="line && began" class="trend">
    <svg viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true">
      <polyline :points="line" />
    </svg>
    <span class="quiet"
      >{{ percent(began.has, began.eligible) }} on {{ shortDayWords(began.asOf, today) }}</span
    >
  </div>
  <span v-else class="quiet">read once so far</span>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-width: 150px;
  height: 20px;
  overflow: visible;
}

polyline {
  fill: none;
  stroke: var(--verdigris);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}
</style>
