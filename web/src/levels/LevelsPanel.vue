<script setup lang="ts">
import { useInAddress } from '@/address'
import { send, sentenceOf, type Schemas } from '@/api/client'
import { dayWords, monthWords } from '@/days'
import { meaningOf } from '@/help'
import { useLists } from '@/lists'
import { count, percent, Stick } from '@/stick'
import { useQuery } from '@tanstack/vue-query'
import { usePreferredDark } from '@vueuse/core'
import ChartJs from 'chart.js/auto'
import Chart from 'primevue/chart'
import { computed, ref } from 'vue'

/** How a list stood at its readings; what came of attempts; and how it stands by provider and site. */
const { data: lists, error: listsError } = useLists()
const chosen = useInAddress('list')
const list = computed(() => chosen.value || (lists.value?.[0]?.id ?? ''))

/** Of whom: a provider’s or a site’s people, as the field and the name; empty for everybody. */
const said = useInAddress('of')
const part = computed({
  get: () => partOf(said.value),
  set: (of) => {
    said.value = of[1] === '' && of[0] === '' ? '' : of.join(' ')
  },
})
function choose(id: string) {
  chosen.value = id
  part.value = ['', '']
}

const {
  data: lastLevels,
  error,
  isPlaceholderData,
} = useQuery({
  queryKey: computed(() => ['lists', list.value, 'readings', 'levels', ...part.value]),
  queryFn: () => {
    const of = new URLSearchParams({ field: part.value[0], part: part.value[1] })
    return send<Schemas['ListLevels']>(
      `/api/lists/${encodeURIComponent(list.value)}/levels?${of.toString()}`,
    )
  },
  // The parts of the list stay to choose from.
  placeholderData: (before, query) => (query?.queryKey[1] === list.value ? before : undefined),
  enabled: computed(() => list.value !== ''),
})

/** Of what is chosen; nothing while it is not known. */
const levels = computed(() => (isPlaceholderData.value ? undefined : lastLevels.value))

const isDark = usePreferredDark()
/** What is drawn on a canvas takes no colour from the page by itself. */
const colours = computed(() => {
  const page = getComputedStyle(document.documentElement)
  const of = (name: string) => page.getPropertyValue(name).trim()
  return {
    isDark: isDark.value,
    amber: of('--amber'),
    verdigris: of('--verdigris'),
    words: of('--soft-ink'),
    rule: of('--hair'),
  }
})

ChartJs.defaults.font.family = getComputedStyle(document.body).fontFamily

/** Text on a canvas does not wait for its typeface by itself. */
const typefaceReady = ref(false)
void document.fonts.ready.then(() => (typefaceReady.value = true))

const chart = computed(() => {
  const points = levels.value?.levels ?? []
  return {
    labels: points.map((point) => dayWords(point.asOf)),
    datasets: [
      {
        label: 'on the list',
        data: points.map((point) => point.onList),
        borderColor: colours.value.verdigris,
        backgroundColor: colours.value.verdigris,
        pointStyle: 'rect',
        yAxisID: 'people',
      },
      ...(levels.value?.shouldHave
        ? [
            {
              label: 'coverage, %',
              data: points.map((point) =>
                point.eligible ? Math.round((1000 * point.has) / point.eligible) / 10 : null,
              ),
              borderColor: colours.value.amber,
              backgroundColor: colours.value.amber,
              yAxisID: 'coverage',
            },
            ...(levels.value.target
              ? [
                  {
                    label: 'target, %',
                    data: points.map(() => levels.value?.target),
                    borderColor: colours.value.words,
                    backgroundColor: colours.value.words,
                    borderDash: [4, 4],
                    borderWidth: 1,
                    pointRadius: 0,
                    yAxisID: 'coverage',
                  },
                ]
              : []),
          ]
        : []),
    ],
  }
})
const options = computed(() => {
  const { words: color, rule } = colours.value
  const said = (text: string) => ({ title: { display: true, text, color }, ticks: { color } })
  return {
    animation: false,
    maintainAspectRatio: false,
    plugins: { legend: { labels: { usePointStyle: true, color } } },
    scales: {
      x: { ticks: { color }, grid: { display: false } },
      people: { position: 'left', beginAtZero: true, grid: { color: rule }, ...said('people') },
      // Lines of its own would cross those of people.
      coverage: { position: 'right', min: 0, max: 100, grid: { display: false }, ...said('%') },
    },
  }
})

const newestFirst = computed(() => levels.value?.levels.toReversed() ?? [])
const months = computed(() => [...new Set((levels.value?.attempts ?? []).map((one) => one.month))])
const outcomes = computed(() => [
  ...new Set((levels.value?.attempts ?? []).map((one) => one.outcome)),
])

const parts = computed(() => [
  ...(lastLevels.value?.bySite ?? []).map((one) => ({ field: 'site', name: one.name })),
  ...(lastLevels.value?.byProvider ?? []).map((one) => ({ field: 'provider', name: one.name })),
])

function partOf(chosen: string): readonly [string, string] {
  const space = chosen.indexOf(' ')
  return [chosen.slice(0, space), chosen.slice(space + 1)]
}

function attempts(outcome: string, month: string): number {
  return (
    levels.value?.attempts.find((one) => one.outcome === outcome && one.month === month)
      ?.attempts ?? 0
  )
}
</script>

<template>
  <section aria-label="Levels over time">
    <p class="chosen">
      <select
        class="plain"
        aria-label="List"
        :value="chosen"
        @change="choose(($event.target as HTMLSelectElement).value)"
      >
        <option v-for="(one, i) in lists" :key="one.id" :value="i === 0 ? '' : one.id">
          {{ one.name }}
        </option>
      </select>
      <select
        v-if="lastLevels"
        class="plain"
        aria-label="Of whom"
        :value="part.join(' ')"
        @change="part = partOf(($event.target as HTMLSelectElement).value)"
      >
        <option value=" ">everybody</option>
        <option
          v-for="one in parts"
          :key="one.field + one.name"
          :value="`${one.field} ${one.name}`"
        >
          {{ one.field }}: {{ one.name || 'none' }}
        </option>
      </select>
    </p>
    <p v-if="error ?? listsError" class="notice" role="alert">
      {{ sentenceOf(error ?? listsError) }}
    </p>
    <p v-else-if="lists?.length === 0" class="quiet">There is no list yet.</p>
    <p v-else-if="!levels" class="quiet" role="status">The levels are being read.</p>
    <template v-if="levels">
      <div class="chart" role="img" :aria-label="`${levels.name} at its readings`">
        <Chart v-if="typefaceReady" type="line" :data="chart" :options="options" class="canvas" />
      </div>
      <p v-if="levels.levels.length < 2" class="quiet">
        There is a point for each day on which the list was read; so far
        {{ levels.levels.length === 1 ? 'there is one' : 'there is none' }}.
      </p>
      <details v-if="levels.levels.length">
        <summary>The figures of each reading</summary>
        <table class="ledger">
          <thead>
            <tr>
              <th>Read as of</th>
              <th class="number" :title="meaningOf('onList')">On the list</th>
              <th class="number" :title="meaningOf('toCheck')">To check</th>
              <th v-if="levels.shouldHave" class="number" :title="meaningOf('haveIt')">Have it</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="point in newestFirst" :key="point.asOf">
              <td>{{ dayWords(point.asOf) }}</td>
              <td class="number">{{ count(point.onList) }}</td>
              <td class="number">{{ count(point.toCheck) }}</td>
              <td v-if="levels.shouldHave" class="number">
                {{ count(point.has) }} of {{ count(point.eligible)
                }}<template v-if="point.eligible"
                  >, {{ percent(point.has, point.eligible) }}</template
                >
              </td>
            </tr>
          </tbody>
        </table>
      </details>

      <h2>What came of attempts</h2>
      <p v-if="months.length === 0" class="quiet">Nobody was tried yet.</p>
      <table v-else class="ledger">
        <thead>
          <tr>
            <th>Outcome</th>
            <th v-for="month in months" :key="month" class="number">{{ monthWords(month) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="outcome in outcomes" :key="outcome">
            <td>{{ outcome }}</td>
            <td v-for="month in months" :key="month" class="number">
              {{ count(attempts(outcome, month)) }}
            </td>
          </tr>
        </tbody>
      </table>

      <template
        v-for="by in [
          { name: 'By site', shares: levels.bySite },
          { name: 'By provider', shares: levels.byProvider },
        ]"
        :key="by.name"
      >
        <h2>{{ by.name }}</h2>
        <table class="ledger">
          <thead>
            <tr>
              <th>Name</th>
              <th v-if="levels.shouldHave" colspan="2" :title="meaningOf('haveIt')">Have it</th>
              <th class="number" :title="meaningOf('onList')">On the list</th>
              <th class="number" :title="meaningOf('open')">Open</th>
              <th class="number" :title="meaningOf('cameToHave')">Came to have it</th>
              <th class="number" :title="meaningOf('daysToDone')">Days from joining to that</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="share in by.shares" :key="share.name">
              <td>{{ share.name || 'none' }}</td>
              <template v-if="levels.shouldHave">
                <td class="stick-cell">
                  <Stick
                    :value="share.has"
                    :total="share.eligible"
                    scale="linear"
                    :width="140"
                    :height="14"
                  />
                </td>
                <td>
                  {{ count(share.has) }} of {{ count(share.eligible) }},
                  {{ percent(share.has, share.eligible) }}
                </td>
              </template>
              <td class="number">{{ count(share.onList) }}</td>
              <td class="number">{{ count(share.open) }}</td>
              <td class="number">{{ count(share.done) }}</td>
              <td class="number">
                {{ share.medianDays === undefined ? '' : `${String(share.medianDays)} (median)` }}
              </td>
            </tr>
          </tbody>
        </table>
      </template>
    </template>
  </section>
</template>

<style scoped>
.chosen {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.chart {
  background: var(--sheet);
  border: 1px solid var(--rule);
  padding: 8px;
}

.canvas {
  height: 240px;
}

h2 {
  margin: 14px 0 4px;
}

.stick-cell {
  height: 20px;
}
</style>
