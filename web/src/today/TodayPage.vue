<script setup lang="ts">
import spans from '@/spans.json'
import { usePageTitle } from '@/address'
import { send, sentenceOf, type Schemas } from '@/api/client'
import { dayWords, timeWords } from '@/days'
import { HandOver } from '@/accounts'
import { CalendarAddress } from '@/exchange'
import { WalkOffer } from '@/help'
import { ListsRack } from '@/lists'
import { stepWords } from '@/outreach'
import { ComingInThisWeek, comingInQuery } from '@/prompts'
import { useSession } from '@/session'
import { count } from '@/stick'
import { Veiled } from '@/veil'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { toDo } from './first'
import FirstThings from './FirstThings.vue'

/** What needs whoever sits down: what is due, who joined, what was handed over, who comes in; and the rack of sticks. */
const session = useSession()
usePageTitle(() => ['Today'])

const { data: day, error } = useQuery({
  queryKey: ['today'],
  queryFn: () => send<Schemas['MyDay']>('/api/today'),
})
const { data: records } = useQuery({
  queryKey: ['records'],
  queryFn: () => send<Schemas['Overview']>('/api/records'),
})

const { data: coming } = useQuery(comingInQuery)
const things = computed(() => (day.value ? toDo(day.value, coming.value, session.today) : []))

/** Whoever may see their own people only is told of nobody else. */
const nobody = computed(() =>
  day.value?.peopleOf ? `None of ${day.value.peopleOf}’s people` : 'Nobody',
)

function address(list: string) {
  return `/lists/${encodeURIComponent(list)}`
}
</script>

<template>
  <div class="page today">
    <div class="page-head">
      <h1 class="grow">{{ dayWords(session.today) }}</h1>
      <span v-if="records" class="quiet">
        {{ count(records.people) }} people, {{ count(records.records) }} records, made ready
        {{ timeWords(records.builtAt) }}
      </span>
    </div>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="!day" class="quiet">What is due is being fetched.</p>
    <WalkOffer />
    <FirstThings v-if="things.length" :things="things" />
    <div v-if="day" class="sides">
      <section aria-label="My follow-ups">
        <h2>
          My follow-ups <span class="quiet">{{ count(day.followUps.length) }}</span>
        </h2>
        <p v-if="day.followUps.length === 0" class="quiet">
          Nothing of yours is due.
          <template v-if="session.has('WORK_LISTS')"
            >Take somebody on one of the lists below.</template
          >
        </p>
        <ul v-else>
          <li v-for="one in day.followUps" :key="one.person.id + one.set">
            <RouterLink :to="{ path: address(one.set), query: { person: one.person.id } }"
              ><Veiled :text="one.person.name"
            /></RouterLink>
            <span>{{ stepWords(one.step) }}</span>
            <span class="quiet">{{ one.list }}, {{ dayWords(one.on) }}</span>
          </li>
        </ul>
        <template v-if="session.has('WORK_LISTS')">
          <CalendarAddress />
          <HandOver />
        </template>
        <template v-if="day.handedOver.length">
          <h2>Handed over to me</h2>
          <ul>
            <li v-for="one in day.handedOver" :key="one.person.id">
              <RouterLink :to="{ path: address(one.set), query: { person: one.person.id } }"
                ><Veiled :text="one.person.name"
              /></RouterLink>
              <span>{{ one.words }}</span>
              <span class="quiet">{{ one.list }}</span>
            </li>
          </ul>
        </template>
        <h2>Joined in the last {{ spans.joined }} days</h2>
        <p v-if="day.joined.length === 0" class="quiet">{{ nobody }} joined a list of yours.</p>
        <p v-else-if="day.peopleOf" class="quiet">Counted are {{ day.peopleOf }}’s people.</p>
        <ul v-if="day.joined.length">
          <li v-for="one in day.joined" :key="one.set">
            <RouterLink :to="{ path: address(one.set), query: { queue: 'joined' } }">{{
              one.list
            }}</RouterLink>
            <span>{{ count(one.people) }} {{ one.people === 1 ? 'person' : 'people' }}</span>
          </li>
        </ul>
      </section>
      <ComingInThisWeek :nobody="nobody" />
    </div>
    <h2>The lists</h2>
    <ListsRack />
  </div>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 18px;
  margin-bottom: 12px;
}

section {
  background: var(--sheet);
  border: 1px solid var(--rule);
  padding: 8px 14px;
  max-height: 360px;
  overflow: auto;
}

@media (max-width: 900px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }

  section {
    max-height: none;
  }
}

h2 {
  margin: 8px 0 4px;
}

h2 .quiet {
  font-weight: 400;
}

ul {
  list-style: none;
  margin: 0;
  padding: 0;
}

li {
  display: flex;
  gap: 10px;
  padding: 2px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
