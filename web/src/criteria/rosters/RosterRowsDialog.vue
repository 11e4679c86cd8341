<script setup lang="ts">
import { Dialog } from '@/controls'
import { sentenceOf } from '@/api/client'
import { dayWords } from '@/days'
import { fieldWords } from '@/fields'
import { count } from '@/stick'
import { Veiled } from '@/veil'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { rosterOf, type SharedRoster } from './shared'

/** The rows of a shared roster, each with how many on file it means. */
const { roster } = defineProps<{ roster: SharedRoster }>()
const emit = defineEmits<{ close: [] }>()

const MOST = 200

const { data, error } = useQuery({
  queryKey: ['rosters', roster.id, roster.version],
  queryFn: () => rosterOf(roster.id),
})

type Pile = 'all' | 'one' | 'nobody' | 'several'
const pile = ref<Pile>('all')

const piles = computed(() => {
  const rows = data.value?.rows ?? []
  return [
    { pile: 'all' as const, words: 'all', rows },
    { pile: 'one' as const, words: 'one person', rows: rows.filter((row) => row.people === 1) },
    { pile: 'nobody' as const, words: 'nobody', rows: rows.filter((row) => row.people === 0) },
    {
      pile: 'several' as const,
      words: 'several people',
      rows: rows.filter((row) => row.people > 1),
    },
  ]
})
const shown = computed(() => piles.value.find((one) => one.pile === pile.value)?.rows ?? [])
</script>

<template>
  <Dialog
    visible
    modal
    :header="`Roster: ${roster.name}`"
    :style="{ width: '44rem' }"
    @update:visible="emit('close')"
  >
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="!data" role="status">The rows are being fetched.</p>
    <template v-else>
      <p class="one-of">
        On file they mean
        <button
          v-for="one in piles"
          :key="one.pile"
          type="button"
          :aria-pressed="pile === one.pile"
          @click="pile = one.pile"
        >
          {{ one.words }}: {{ count(one.rows.length) }}
        </button>
      </p>
      <table v-if="shown.length" class="on-sheet">
        <thead>
          <tr>
            <th v-for="field in roster.key" :key="field">{{ fieldWords(field) }}</th>
            <th>until</th>
            <th class="number">people</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, at) in shown.slice(0, MOST)" :key="at">
            <td v-for="(cell, place) in row.cells" :key="place">
              <Veiled :text="cell" :what="fieldWords(roster.key[place] ?? '')" />
            </td>
            <td>{{ row.until && dayWords(row.until) }}</td>
            <td class="number">{{ count(row.people) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="shown.length > MOST" class="quiet">
        The first {{ MOST }} of {{ count(shown.length) }}; all can be seen in Compare two files.
      </p>
      <p v-if="shown.length === 0" class="quiet">No row.</p>
    </template>
  </Dialog>
</template>
