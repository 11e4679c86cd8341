<script setup lang="ts">
import spans from '@/spans.json'
import { send, sentenceOf, type Schemas } from '@/api/client'
import { count } from '@/stick'
import { useQuery } from '@tanstack/vue-query'

/** Who works which list: how many people everybody has in hand, what is due, and how many they tried lately. */
const { data: loads, error } = useQuery({
  queryKey: ['lists', 'workload'],
  queryFn: () => send<Schemas['Load'][]>('/api/workload'),
})
</script>

<template>
  <section aria-label="Workload">
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="!loads" class="quiet">The workload is being counted.</p>
    <p v-else-if="loads.length === 0" class="quiet">
      Nobody has anybody in hand, and nobody was tried in the last {{ spans.triedLong }} days. Work
      begins at the desk of a list.
    </p>
    <table v-else-if="loads" class="ledger">
      <thead>
        <tr>
          <th>Colleague</th>
          <th class="number">In hand</th>
          <th class="number">Tried in {{ spans.tried }} days</th>
          <th class="number">in {{ spans.triedLong }} days</th>
          <th>Of these lists</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="load in loads" :key="load.name">
          <td>{{ load.name }}<span v-if="load.closed" class="quiet">, closed</span></td>
          <td class="number">{{ count(load.inHand) }}</td>
          <td class="number">{{ count(load.attemptsOfWeek) }}</td>
          <td class="number">{{ count(load.attemptsOfFourWeeks) }}</td>
          <td>
            <span v-for="one in load.lists" :key="one.list" class="list">
              {{ one.list }}: {{ count(one.due) }} due<template v-if="one.ahead"
                >, {{ count(one.ahead) }} ahead</template
              >
            </span>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.list {
  display: block;
}
</style>
