<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { dayNumber, dayWords, monthWords } from '@/days'
import { count, percent } from '@/stick'
import { useElementSize, useThrottleFn } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { dayAt, placeOf, stepped } from './ribbon'

/** The list's size and coverage from a year back to a year ahead; the as-of date is dragged along it. */
const asOf = defineModel<string>({ required: true })
const {
  ribbon,
  asksForSomething,
  behind = false,
} = defineProps<{
  ribbon: Schemas['Ribbon']
  /** Whether it is of the criteria as they were before the last change. */
  behind?: boolean
  /** Whether anything should be on record, so that there is a coverage. */
  asksForSomething: boolean
}>()

const HEIGHT = 40
const LABELS = 28
/** Half a month at each end, for the labels. */
const EDGE = 24
/** In pixels, of the name of a month. */
const WIDEST_LABEL = 36

const strip = useTemplateRef('strip')
const { width } = useElementSize(strip)
const inner = computed(() => Math.max(1, width.value - 2 * EDGE))
/** Of how many months one is named: of each where their names have room. */
const labelled = computed(() =>
  Math.ceil((WIDEST_LABEL * (ribbon.months.length - 1)) / inner.value),
)

const scale = computed(() => ({
  first: ribbon.months[0]?.day ?? ribbon.today,
  last: ribbon.months.at(-1)?.day ?? ribbon.today,
}))
const tallest = computed(() =>
  Math.max(1, ...ribbon.months.map((month) => month.list.yes + month.list.unsure)),
)

function x(day: string): number {
  return EDGE + placeOf(day, scale.value) * inner.value
}

const points = computed(() =>
  ribbon.months.map((month) => ({
    ...month,
    x: x(month.day),
    top: HEIGHT - (month.list.yes / tallest.value) * (HEIGHT - 4),
    topOfUnsure: HEIGHT - ((month.list.yes + month.list.unsure) / tallest.value) * (HEIGHT - 4),
    coverage:
      asksForSomething && month.eligible.yes > 0 ? month.has.yes / month.eligible.yes : undefined,
  })),
)

function line(of: { x: number; y: number }[]): string {
  return of
    .map(({ x: at, y }, i) => `${i === 0 ? 'M' : 'L'}${at.toFixed(1)} ${y.toFixed(1)}`)
    .join('')
}

const sizeArea = computed(() => {
  const first = points.value[0]
  const last = points.value.at(-1)
  return first && last
    ? `${line(points.value.map((one) => ({ x: one.x, y: one.top })))}V${String(HEIGHT)}H${first.x.toFixed(1)}Z`
    : ''
})
const unsureLine = computed(() =>
  line(points.value.map((one) => ({ x: one.x, y: one.topOfUnsure }))),
)
const coverageLine = computed(() =>
  line(
    points.value.flatMap((one) =>
      one.coverage === undefined ? [] : [{ x: one.x, y: 2 + (1 - one.coverage) * (HEIGHT - 4) }],
    ),
  ),
)

/** The year stands at its first month alone. */
function monthLabel(day: string): string {
  const words = monthWords(day.slice(0, 7))
  return words.startsWith('Jan') ? words : words.slice(0, 3)
}

function said(month: Schemas['Month']): string {
  const covered =
    asksForSomething && month.eligible.yes
      ? `, ${percent(month.has.yes, month.eligible.yes)} have it`
      : ''
  const due = month.fallDue ? `, ${count(month.fallDue)} fall due in the month before` : ''
  return `${dayWords(month.day)}: ${count(month.list.yes)} on the list${covered}${due}`
}

// Dragging. The handle is with the pointer at once; everything else follows as fast as it can.
const FOLLOW_MS = 100
const dragged = ref<string>()
const shown = computed(() => dragged.value ?? asOf.value)
const followDrag = useThrottleFn(
  () => {
    asOf.value = shown.value
  },
  FOLLOW_MS,
  true,
)

function follow(event: PointerEvent) {
  const left = strip.value?.getBoundingClientRect().left ?? 0
  dragged.value = dayAt((event.clientX - left - EDGE) / inner.value, scale.value)
  void followDrag()
}

function letGo() {
  asOf.value = shown.value
  dragged.value = undefined
}

function grab(event: PointerEvent) {
  strip.value?.setPointerCapture(event.pointerId)
  follow(event)
}

function drag(event: PointerEvent) {
  if (strip.value?.hasPointerCapture(event.pointerId)) {
    follow(event)
  }
}

function onKey(event: KeyboardEvent) {
  const steps: Record<string, string> = {
    ArrowLeft: stepped(asOf.value, { days: -1 }),
    ArrowRight: stepped(asOf.value, { days: 1 }),
    PageDown: stepped(asOf.value, { months: -1 }),
    PageUp: stepped(asOf.value, { months: 1 }),
    Home: ribbon.today,
  }
  const next = steps[event.key]
  if (next) {
    event.preventDefault()
    asOf.value = next
  }
}

const days = computed(() => dayNumber(scale.value.last) - dayNumber(scale.value.first))
const dayAlong = computed(() => Math.round(placeOf(asOf.value, scale.value) * days.value))
</script>

<template>
  <!-- What is in a slider is not read out, so the months stand beside it. -->
  <div class="ribbon" :class="{ behind }">
    <div
      ref="strip"
      class="strip"
      role="slider"
      tabindex="0"
      aria-label="As-of date, along the size of the list"
      :aria-valuemin="0"
      :aria-valuemax="days"
      :aria-valuenow="dayAlong"
      :aria-valuetext="dayWords(asOf)"
      title="Drag to see the list as of another day. Arrow keys: a day; Page Up and Down: a month; Home: today."
      @pointerdown="grab"
      @pointermove="drag"
      @lostpointercapture="letGo"
      @keydown="onKey"
    >
      <svg v-if="width" :width="width" :height="HEIGHT + LABELS" aria-hidden="true">
        <path class="size" :d="sizeArea" />
        <path class="unsure" :d="unsureLine" />
        <path class="coverage" :d="coverageLine" />
        <line class="ground" :x1="0" :x2="width" :y1="HEIGHT" :y2="HEIGHT" />
        <g v-for="(month, i) in points" :key="month.day">
          <title>{{ said(month) }}</title>
          <rect
            class="hover"
            :x="month.x - inner / 48"
            :y="0"
            :width="inner / 24"
            :height="HEIGHT + LABELS"
          />
          <line class="tick" :x1="month.x" :x2="month.x" :y1="HEIGHT" :y2="HEIGHT + 3" />
          <text v-if="i % labelled === 0" class="month" :x="month.x" :y="HEIGHT + 13">
            {{ monthLabel(month.day) }}
          </text>
          <text
            v-if="month.fallDue && labelled === 1"
            class="due"
            :x="month.x - inner / 48"
            :y="HEIGHT + 25"
          >
            {{ count(month.fallDue) }} due
          </text>
        </g>
        <g
          v-if="labelled === 1"
          class="legend"
          :transform="`translate(${EDGE - 14} ${HEIGHT + 25})`"
        >
          <rect class="size" x="0" y="-8" width="12" height="8" />
          <text x="16">on the list</text>
          <path class="unsure" d="M84 -4h14" />
          <text x="102">with those we can’t tell</text>
          <template v-if="asksForSomething">
            <path class="coverage" d="M236 -4h14" />
            <text x="254">have it, of the eligible</text>
          </template>
        </g>
        <line class="today" :x1="x(ribbon.today)" :x2="x(ribbon.today)" :y1="0" :y2="HEIGHT" />
        <g class="handle" :transform="`translate(${x(shown)} 0)`">
          <line :y1="0" :y2="HEIGHT + 3" />
          <path d="M-5 0H5V5L0 11L-5 5Z" />
        </g>
      </svg>
    </div>
    <ul class="visually-hidden" aria-label="The size of the list, month by month">
      <li v-for="month in ribbon.months" :key="month.day">{{ said(month) }}</li>
    </ul>
  </div>
</template>

<style scoped>
.ribbon {
  position: relative;
  height: 72px;
  margin-bottom: 8px;
  background: var(--sheet);
  border: 1px solid var(--rule);
  overflow: hidden;
}

/* It is drawn along; up and down the page goes on. */
.strip {
  height: 100%;
  cursor: ew-resize;
  touch-action: pan-y;
  user-select: none;
}

.behind svg {
  opacity: 0.5;
}

svg {
  display: block;
}

.size {
  fill: var(--amber-pale);
}

.unsure {
  fill: none;
  stroke: var(--amber);
  stroke-dasharray: 3 3;
}

.coverage {
  fill: none;
  stroke: var(--verdigris);
  stroke-width: 1.5;
}

.ground,
.tick {
  stroke: var(--rule);
}

.hover {
  fill: transparent;
}

text {
  font-size: 11px;
  fill: var(--soft-ink);
}

.month,
.due {
  text-anchor: middle;
}

.due {
  fill: var(--amber-ink);
}

.today {
  stroke: var(--ink);
  stroke-dasharray: 1 3;
}

.handle line {
  stroke: var(--ink);
  stroke-width: 2;
}

.handle path {
  fill: var(--ink);
}
</style>
