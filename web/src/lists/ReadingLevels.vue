<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { count } from '@/stick'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'

/** The levels that a reading kept: how many people were left after each criterion. */
const { list, reading } = defineProps<{ list: string; reading: number }>()

type Section = Schemas['LevelView']['section']
type Sides = Schemas['Sides']

const SECTIONS: Record<Section, string> = {
  INCLUDE: 'Include',
  EXCLUDE: 'Exclude',
  SHOULD_HAVE: 'Should have',
}

const shown = ref(false)
const { data, error } = useQuery({
  queryKey: computed(() => ['lists', list, 'readings', reading, 'levels']),
  queryFn: () =>
    send<Schemas['KeptLevels']>(
      `/api/lists/${encodeURIComponent(list)}/readings/${String(reading)}/levels`,
    ),
  enabled: shown,
})
const levels = computed(() => data.value?.levels)

function sides(both: Sides): string {
  return count(both.yes) + (both.unsure ? `, ${count(both.unsure)} can’t tell` : '')
}
</script>

<template>
  <details @toggle="shown = ($event.target as HTMLDetailsElement).open">
    <summary>Levels</summary>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="data && !levels" class="quiet">This reading was taken before levels were kept.</p>
    <p v-else-if="!data" class="quiet">The levels are being fetched.</p>
    <table v-else-if="levels" class="ledger">
      <thead>
        <tr>
          <th colspan="2">Criterion</th>
          <th class="number">Left</th>
          <th class="number">Alone</th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <td colspan="2">Everybody</td>
          <td class="number">{{ count(levels.people) }}</td>
          <td></td>
        </tr>
        <tr v-for="(level, i) in levels.levels" :key="i">
          <td class="quiet">
            {{ level.section === levels.levels[i - 1]?.section ? '' : SECTIONS[level.section] }}
          </td>
          <td>{{ level.words }}</td>
          <td class="number">{{ level.remaining ? sides(level.remaining) : '' }}</td>
          <td class="number">{{ sides(level.alone) }}</td>
        </tr>
        <tr>
          <td colspan="2">Have it</td>
          <td class="number">{{ sides(levels.has) }}</td>
          <td></td>
        </tr>
        <tr>
          <td colspan="2"><strong>On the list</strong></td>
          <td class="number">
            <strong>{{ sides(levels.list) }}</strong>
          </td>
          <td></td>
        </tr>
      </tbody>
    </table>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  font-weight: 600;
  margin: 6px 0;
}

.number {
  white-space: nowrap;
}
</style>
