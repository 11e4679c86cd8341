<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { computed } from 'vue'
import { dayNumber } from '@/days'
import { lanes, place, spanOf, years } from './timeLine'

const { records, windows, asOf, lit } = defineProps<{
  records: Schemas['TimelineRecord'][]
  windows: Schemas['Bracket'][]
  asOf: string
  /** The numbers of the records that a reason speaks of. */
  lit: Set<number>
}>()

const WIDTH = 340
const LABEL = 92
const LANE = 17
const BRACKET = 9

const span = computed(() => spanOf(asOf, records, windows))
const rows = computed(() => lanes(records))
const top = computed(() => windows.length * BRACKET + 4)
const height = computed(() => top.value + rows.value.length * LANE + 18)

function x(iso: string | undefined, open: number): number {
  return LABEL + place(iso === undefined ? open : dayNumber(iso), span.value, WIDTH)
}

function isOld(record: Schemas['TimelineRecord']): boolean {
  return record.last !== undefined && dayNumber(record.last) < span.value.first
}

const older = computed(() => records.filter(isOld).length)
const undated = computed(() => records.filter((record) => record.first === undefined).length)
</script>

<template>
  <figure>
    <svg
      :width="LABEL + WIDTH + 8"
      :height="height"
      role="img"
      aria-label="Time line of the records; the same records are listed below"
    >
      <g v-for="(window, i) in windows" :key="i" class="bracket">
        <title>{{ window.criterion }}</title>
        <path
          :d="`M${x(window.first, span.first)} ${(i + 1) * BRACKET}v-5H${x(window.last, span.last)}v5`"
        />
      </g>
      <g v-for="mark in years(span)" :key="mark.year" class="year">
        <line
          :x1="LABEL + place(mark.day, span, WIDTH)"
          :x2="LABEL + place(mark.day, span, WIDTH)"
          :y1="top"
          :y2="height - 14"
        />
        <text :x="LABEL + place(mark.day, span, WIDTH) + 2" :y="height - 4">{{ mark.year }}</text>
      </g>
      <g v-for="(lane, i) in rows" :key="lane.kind">
        <text class="lane" x="0" :y="top + i * LANE + 12">{{ lane.kind }}</text>
        <line
          class="ground"
          :x1="LABEL"
          :x2="LABEL + WIDTH"
          :y1="top + i * LANE + 15"
          :y2="top + i * LANE + 15"
        />
        <template v-for="record in lane.records" :key="record.number">
          <rect
            v-if="record.first !== undefined && !isOld(record)"
            :class="{ lit: lit.has(record.number) }"
            class="tick"
            :x="x(record.first, 0) - 1"
            :y="top + i * LANE + (lit.has(record.number) ? 2 : 5)"
            :width="Math.max(2, x(record.last, 0) - x(record.first, 0))"
            :height="lit.has(record.number) ? 13 : 10"
          >
            <title>{{ record.what }}, {{ record.when }}</title>
          </rect>
        </template>
      </g>
      <line class="today" :x1="x(asOf, 0)" :x2="x(asOf, 0)" y1="0" :y2="height - 14" />
    </svg>
    <figcaption v-if="older || undated" class="quiet">
      <template v-if="older">{{ older }} older</template
      ><template v-if="older && undated">, </template
      ><template v-if="undated">{{ undated }} undated</template> not drawn, listed below
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}

.bracket path {
  fill: none;
  stroke: var(--verdigris);
  stroke-width: 1.5;
}

.year line {
  stroke: var(--rule);
}

.year text,
.lane {
  font-size: 11px;
  fill: var(--soft-ink);
}

.ground {
  stroke: var(--rule);
  stroke-width: 0.7;
}

.tick {
  fill: var(--ghost);
}

.tick.lit {
  fill: var(--amber-ink);
}

.today {
  stroke: var(--ink);
  stroke-dasharray: 2 3;
}
</style>
