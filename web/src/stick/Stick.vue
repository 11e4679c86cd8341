<script lang="ts">
export interface StickProps {
  /** How many there certainly are. */
  value: number
  /** How many more there may be; hatched. */
  unsure?: number
  /** How many would fill the stick. */
  total: number
  /** The level before the last edit, as a thin line. */
  ghost?: number
  /** How many are meant to be reached, as a notch. */
  target?: number
  /** Who is beyond the level, in parts that follow it, the most urgent first. */
  parts?: readonly number[]
  scale?: 'root' | 'linear'
  /** In pixels; as wide as its cell where it is left out. */
  width?: number
  /** In pixels; as high as its row where it is left out, so that the rows make one stick. */
  height?: number
}
</script>

<script setup lang="ts">
import { computed, useId } from 'vue'
import { reach } from './stick'

const {
  value,
  unsure = 0,
  total,
  ghost = undefined,
  target = undefined,
  parts = [],
  scale = 'root',
  width = undefined,
  height = undefined,
} = defineProps<StickProps>()

const hatch = useId()
/** In hundredths of the stick, as all that follow. */
const sure = computed(() => reach(value, total, scale) * 100)
const possible = computed(() => reach(value + unsure, total, scale) * 100)
/** Each fainter than the one before. */
const beyond = computed(() =>
  parts.map((people, i) => {
    const from = value + parts.slice(0, i).reduce((sum, one) => sum + one, 0)
    const left = reach(from, total, scale) * 100
    return {
      left,
      width: reach(from + people, total, scale) * 100 - left,
      opacity: 0.55 / (i + 1),
    }
  }),
)
const wanted = computed(() =>
  target === undefined ? undefined : reach(target, total, scale) * 100,
)
const before = computed(() => (ghost === undefined ? undefined : reach(ghost, total, scale) * 100))
</script>

<template>
  <div
    class="stick"
    :style="{ width: width ? `${width}px` : undefined, height: height ? `${height}px` : undefined }"
  >
    <svg width="100%" height="100%" aria-hidden="true">
      <defs>
        <pattern :id="hatch" width="5" height="5" patternUnits="userSpaceOnUse">
          <path d="M-1 6L6 -1M-1 1L1 -1M4 6L6 4" class="hatch" />
        </pattern>
      </defs>
      <rect class="rod" width="100%" height="100%" />
      <rect class="fluid" :width="`${sure}%`" height="100%" />
      <rect
        :x="`${sure}%`"
        :width="`${Math.max(0, possible - sure)}%`"
        height="100%"
        :fill="`url(#${hatch})`"
      />
      <rect
        v-for="(part, i) in beyond"
        :key="i"
        class="part"
        :x="`${part.left}%`"
        :width="`${part.width}%`"
        :fill-opacity="part.opacity"
        height="100%"
      />
      <line
        v-if="before !== undefined"
        class="ghost"
        :x1="`${before}%`"
        :x2="`${before}%`"
        y2="100%"
      />
      <svg v-if="wanted !== undefined" class="target" :x="`${wanted}%`">
        <path d="M0 0V100" />
        <path d="M-5 0H5L0 6Z" />
      </svg>
      <line class="mark" x1="25%" x2="25%" y2="4" />
      <line class="mark" x1="50%" x2="50%" y2="6" />
      <line class="mark" x1="75%" x2="75%" y2="4" />
    </svg>
  </div>
</template>

<style scoped>
.stick {
  position: relative;
  align-self: stretch;
  flex: none;
}

svg {
  position: absolute;
  inset: 0;
}

.rod {
  fill: var(--pressed);
}

.fluid {
  fill: var(--amber);
  transition: width 0.15s ease-out;
}

.hatch {
  stroke: var(--amber);
  stroke-width: 1.4;
}

.part {
  fill: var(--ink);
  stroke: var(--sheet);
  stroke-width: 1;
}

.ghost {
  stroke: var(--ink);
  stroke-width: 1;
  stroke-dasharray: 3 2;
}

.target {
  overflow: visible;
}

.target path {
  fill: var(--verdigris);
  stroke: var(--verdigris);
  stroke-width: 2;
}

.mark {
  stroke: var(--ink);
  stroke-width: 1;
  opacity: 0.5;
}

@media (prefers-reduced-motion: reduce) {
  .fluid {
    transition: none;
  }
}
</style>
