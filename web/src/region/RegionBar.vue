<script setup lang="ts">
import { percent } from '@/stick'
import { computed } from 'vue'
import { placeOf, topOf, type Beside } from './beside'

/** Where one stands on a line between nobody and all, with what is usual; said in words beside it. */
const { beside } = defineProps<{ beside: Beside }>()

const WIDTH = 220
const top = computed(() => topOf(beside))
const band = computed(() => {
  const { quarterUpTo, quarterFrom } = beside
  if (!quarterUpTo || !quarterFrom) {
    return undefined
  }
  const from = placeOf(quarterUpTo, top.value, WIDTH)
  return { from, width: Math.max(2, placeOf(quarterFrom, top.value, WIDTH) - from) }
})
const here = computed(() => beside.here && placeOf(beside.here, top.value, WIDTH))
const all = computed(() => beside.everywhere && placeOf(beside.everywhere, top.value, WIDTH))
</script>

<template>
  <div class="line">
    <svg :width="WIDTH + 12" height="24" viewBox="-6 0 232 24" aria-hidden="true">
      <line x1="0" x2="220" y1="12" y2="12" class="base" />
      <line x1="0" x2="0" y1="8" y2="16" class="base" />
      <line x1="220" x2="220" y1="8" y2="16" class="base" />
      <rect v-if="band" :x="band.from" :width="band.width" y="7" height="10" class="band" />
      <line v-if="all !== undefined" :x1="all" :x2="all" y1="3" y2="21" class="all" />
      <path
        v-if="here !== undefined"
        :transform="`translate(${String(here)} 12)`"
        d="M0 -6L6 0L0 6L-6 0Z"
        class="here"
      />
    </svg>
    <p class="ends quiet" aria-hidden="true">
      <span>0%</span><span>{{ percent(top * 1000, 1000) }}</span>
    </p>
  </div>
</template>

<style scoped>
.line {
  width: 232px;
}

.ends {
  display: flex;
  justify-content: space-between;
  margin: -4px 0 0;
  font-size: 0.8rem;
}

.base {
  stroke: var(--rule);
}

.band {
  fill: var(--amber-pale);
}

.all {
  stroke: var(--amber-ink);
  stroke-width: 2;
}

.here {
  fill: var(--verdigris);
}
</style>
