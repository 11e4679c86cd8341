<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { count } from '@/stick'
import { Veiled } from '@/veil'
import type { Described } from '@/api/address'
import { useQuery } from '@tanstack/vue-query'

/** Records in doubt, one by one, and all of them as a file for whoever keeps the source. */
const { address, query = '' } = defineProps<{
  address: Described
  /** What is asked of the address, after the question mark. */
  query?: string
}>()

const OPEN_TO_ALL = [
  'source',
  'id',
  'person_id',
  'kind',
  'code',
  'text',
  'records',
  'record',
  'field',
  'brought_by',
  'said_by',
]

const { data, error } = useQuery({
  queryKey: ['records', address, query],
  queryFn: () => send<Schemas['OddTable']>(query ? `${address}?${query}` : address),
})
</script>

<template>
  <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
  <p v-else-if="!data" role="status">Looking them up …</p>
  <template v-else>
    <p>
      {{ count(data.total) }} in all<template v-if="data.rows.length < data.total"
        >, the first {{ count(data.rows.length) }} here</template
      >.
      <a :href="`${address}/file${query && `?${query}`}`" download
        >All of them as a list for whoever keeps the source</a
      >
    </p>
    <table class="on-sheet">
      <thead>
        <tr>
          <th v-for="column in data.columns" :key="column">{{ column.replaceAll('_', ' ') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, at) in data.rows" :key="at">
          <td v-for="(cell, place) in row" :key="place">
            <template v-if="OPEN_TO_ALL.includes(data.columns[place] ?? '')">{{ cell }}</template>
            <Veiled v-else :text="cell" :what="data.columns[place]" />
          </td>
        </tr>
      </tbody>
    </table>
  </template>
</template>

<style scoped>
td {
  overflow-wrap: anywhere;
}
</style>
