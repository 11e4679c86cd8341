<script setup lang="ts">
import { fieldWords, KNOWN_FIELDS } from '@/fields'
import { Veiled } from '@/veil'
import { computed } from 'vue'

/** The first people and records of a file, as they would become. */
const { records } = defineProps<{ records: readonly Record<string, string>[] }>()

const MOST = 6

/** In the order in which fields are shown everywhere; the practice's own come last. */
const ORDER: Record<string, string[]> = {
  person: KNOWN_FIELDS.person,
  record: KNOWN_FIELDS.event,
}

function place(what: string, field: string): number {
  const at = ORDER[what]?.indexOf(field) ?? -1
  return at < 0 ? Number.MAX_SAFE_INTEGER : at
}

const groups = computed(() =>
  ['person', 'record']
    .map((what) => {
      const rows = records.filter((record) => record[''] === what).slice(0, MOST)
      const fields = [...new Set(rows.flatMap((row) => Object.keys(row)))].filter(
        (field) => field !== '',
      )
      return {
        what,
        rows,
        fields: fields.sort((one, other) => place(what, one) - place(what, other)),
      }
    })
    .filter((group) => group.rows.length > 0),
)
</script>

<template>
  <section aria-label="First rows">
    <template v-for="group in groups" :key="group.what">
      <h2>{{ group.what === 'person' ? 'The first people' : 'The first records' }}</h2>
      <div
        class="wide"
        tabindex="0"
        role="region"
        :aria-label="`The first ${group.what === 'person' ? 'people' : 'records'}`"
      >
        <table>
          <thead>
            <tr>
              <th v-for="field in group.fields" :key="field">{{ fieldWords(field) }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, i) in group.rows" :key="i">
              <td v-for="field in group.fields" :key="field">
                <Veiled :text="row[field] ?? ''" :what="field" />
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </section>
</template>

<style scoped>
.wide {
  overflow-x: auto;
}

th,
td {
  white-space: nowrap;
}
</style>
