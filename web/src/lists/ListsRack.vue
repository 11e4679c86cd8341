<script setup lang="ts">
import { sentenceOf } from '@/api/client'
import { dayWords } from '@/days'
import { Stick, count, percent } from '@/stick'
import { RouterLink } from 'vue-router'
import DialsSet from './DialsSet.vue'
import { useLists } from './useLists'

/** Each list as a stick: the fluid is how many have what they should have. */
const { data, error, isPending } = useLists()
</script>

<template>
  <div>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="isPending" class="quiet">The lists are being fetched.</p>
    <p v-else-if="data && data.length === 0">
      There is no list yet. Every saved criteria set has one; a coordinator makes them in Criteria.
    </p>
    <ul v-else class="rack">
      <li v-for="list in data" :key="list.id">
        <template v-if="list.problem">
          <span class="name">{{ list.name }}</span>
          <span class="notice">{{ list.problem }}</span>
        </template>
        <template v-else>
          <RouterLink class="name" :to="`/lists/${encodeURIComponent(list.id)}`">
            {{ list.name }}
          </RouterLink>
          <span class="numbers">
            <strong>{{ count(list.on) }}</strong> on the list<template v-if="list.toCheck"
              >, {{ count(list.toCheck) }} to check</template
            >
          </span>
          <template v-if="list.shouldHave">
            <Stick
              :value="list.has"
              :total="list.eligible"
              :parts="list.bands.map((one) => one.people)"
              scale="linear"
              :width="200"
              :height="16"
            />
            <span class="quiet">
              {{ count(list.has) }} of {{ count(list.eligible) }} have it,
              {{ percent(list.has, list.eligible) }}
            </span>
          </template>
          <span v-if="list.bands.length" class="purpose bands">
            <span v-for="(one, i) in list.bands" :key="one.band"
              ><span class="swatch" :style="{ opacity: 0.55 / (i + 1) }" aria-hidden="true"></span
              >{{ one.band || 'in no band' }} <strong>{{ count(one.people) }}</strong></span
            >
          </span>
          <span class="purpose quiet">
            {{ list.purpose }}
            <template v-if="list.dials.length"><DialsSet :dials="list.dials" />. </template>
            <template v-if="list.readOn">Read {{ dayWords(list.readOn) }}.</template>
            <template v-else>Not read yet: the numbers are of the records of now.</template>
            {{ list.sharing[0]?.toUpperCase() }}{{ list.sharing.slice(1) }}.
          </span>
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
      </li>
    </ul>
  </div>
</template>

<style scoped>
.rack {
  list-style: none;
  margin: 0;
  padding: 0;
  background: var(--sheet);
  border: 1px solid var(--rule);
}

.rack > li {
  display: grid;
  grid-template-columns: 280px 210px 200px 1fr;
  gap: 2px 18px;
  align-items: center;
  padding: 9px 14px;
  border-bottom: 1px solid var(--hair);
}

.name {
  font-weight: 600;
}

.purpose {
  grid-column: 1 / -1;
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
  grid-column: 1 / -1;
  margin: 0;
  color: var(--brick);
}

@media (max-width: 1000px) {
  .rack > li {
    grid-template-columns: minmax(0, 1fr);
  }
}

.rack .notice {
  grid-column: 2 / -1;
}
</style>
