<script setup lang="ts">
import spans from '@/spans.json'
import { sentenceOf, type Schemas } from '@/api/client'
import { dayWords } from '@/days'
import { meaningOf } from '@/help'
import { Stick, count, percent } from '@/stick'
import { RouterLink, type RouteLocationRaw } from 'vue-router'
import DialsSet from './DialsSet.vue'
import TrendLine from './TrendLine.vue'
import { useLists } from './useLists'

/** Each list as a stick: the fluid is how many have what they should have. */
const { data, error, isPending } = useLists()

type List = Schemas['ListSummary']

function desk(list: List, queue?: string): RouteLocationRaw {
  return {
    path: `/lists/${encodeURIComponent(list.id)}`,
    query: queue === undefined ? {} : { queue },
  }
}

/** How many percent had it at the reading of another week before the last. */
function before(list: List): number | undefined {
  const one = list.trend.at(-2)
  return one?.eligible ? (100 * one.has) / one.eligible : undefined
}

/** So many percent of a list as people. */
function reached(list: List, wanted: number | undefined): number | undefined {
  return wanted === undefined ? undefined : (list.eligible * wanted) / 100
}
</script>

<template>
  <div>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="isPending" class="quiet">The lists are being fetched.</p>
    <p v-else-if="data && data.length === 0">
      There is no list yet. Every saved criteria set has one; a coordinator makes them in Criteria.
    </p>
    <table v-else class="rack on-sheet">
      <thead>
        <tr>
          <th>List</th>
          <th :title="meaningOf('haveIt')">Have it</th>
          <th>Twelve months</th>
          <th class="number" :title="meaningOf('onList')">On the list</th>
          <th class="number" :title="meaningOf('toCheck')">To check</th>
          <th :title="meaningOf('inHand')">In hand</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="list in data" :key="list.id">
          <td class="what">
            <template v-if="list.problem">
              <strong>{{ list.name }}</strong>
              <p class="notice">{{ list.problem }}</p>
            </template>
            <template v-else>
              <RouterLink class="name" :to="desk(list)">{{ list.name }}</RouterLink>
              <p class="quiet">
                {{ list.purpose }}
                <template v-if="list.dials.length"><DialsSet :dials="list.dials" />. </template>
                <template v-if="list.readOn">Read {{ dayWords(list.readOn) }}.</template>
                <template v-else>Not read yet: the numbers are of the records of now.</template>
                {{ list.sharing[0]?.toUpperCase() }}{{ list.sharing.slice(1) }}.
              </p>
              <p v-if="list.bands.length" class="bands">
                <span v-for="(one, i) in list.bands" :key="one.band"
                  ><span
                    class="swatch"
                    :style="{ opacity: 0.55 / (i + 1) }"
                    aria-hidden="true"
                  ></span
                  >{{ one.band || 'in no band' }} <strong>{{ count(one.people) }}</strong></span
                >
              </p>
              <p v-if="list.doubts.length === 1" class="doubts">{{ list.doubts[0] }}</p>
              <details v-else-if="list.doubts.length" class="doubts">
                <summary>
                  {{ list.doubts[0] }}
                  And {{ count(list.doubts.length - 1) }} more.
                </summary>
                <ul>
                  <li v-for="doubt in list.doubts.slice(1)" :key="doubt">{{ doubt }}</li>
                </ul>
              </details>
            </template>
          </td>
          <template v-if="!list.problem">
            <td data-head="Have it">
              <template v-if="list.shouldHave">
                <Stick
                  :value="list.has"
                  :total="list.eligible"
                  :parts="list.bands.map((one) => one.people)"
                  :ghost="reached(list, before(list))"
                  :target="reached(list, list.target)"
                  scale="linear"
                  :height="16"
                />
                {{ percent(list.has, list.eligible) }}
                <span class="quiet"
                  >{{ count(list.has) }} of {{ count(list.eligible)
                  }}<template v-if="list.target">; {{ list.target }}% wanted</template></span
                >
              </template>
            </td>
            <td data-head="Twelve months">
              <TrendLine v-if="list.shouldHave" :trend="list.trend" />
            </td>
            <td class="number" data-head="On the list">
              <RouterLink :to="desk(list)" class="on">{{ count(list.on) }}</RouterLink>
              <div v-if="list.joined">
                <RouterLink :to="desk(list, 'joined')">{{ count(list.joined) }} joined</RouterLink>
                <span class="quiet"> in {{ spans.joined }} days</span>
              </div>
            </td>
            <td class="number" data-head="To check">
              <RouterLink v-if="list.toCheck" :to="desk(list, 'check')">{{
                count(list.toCheck)
              }}</RouterLink>
              <template v-else>0</template>
            </td>
            <td data-head="In hand">
              <div v-for="one in list.inHandOf" :key="one.colleague">
                {{ one.colleague }} <strong>{{ count(one.people) }}</strong>
              </div>
              <span v-if="list.inHandOf.length === 0" class="quiet">nobody’s</span>
            </td>
          </template>
          <td v-else colspan="5"></td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.rack {
  width: 100%;
  margin: 0;
}

.rack td:nth-child(2) {
  min-width: 170px;
}

.rack td:nth-child(3) {
  min-width: 130px;
}

.rack td:last-child {
  min-width: 130px;
}

.what {
  width: 42%;
}

.what p {
  margin: 1px 0 0;
}

.name,
.on {
  font-weight: 600;
}

.bands {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
}

.swatch {
  display: inline-block;
  width: 10px;
  height: 10px;
  margin-right: 5px;
  background: var(--ink);
}

.doubts {
  color: var(--brick);
}

/* One beneath the other, each with the head of its column. */
@media (max-width: 900px) {
  .rack,
  .rack tbody,
  .rack tr,
  .rack td {
    display: block;
    width: auto;
  }

  .rack thead {
    display: none;
  }

  .rack tr {
    padding: 6px 0;
    border-bottom: 1px solid var(--rule);
  }

  .rack td,
  .rack .number {
    border: 0;
    padding: 1px 12px;
    text-align: left;
  }

  .rack td[data-head]:not(:empty)::before {
    content: attr(data-head) ' ';
    color: var(--soft-ink);
  }
}
</style>
