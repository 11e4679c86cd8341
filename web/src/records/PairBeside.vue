<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { count } from '@/stick'
import { Veiled } from '@/veil'
import Button from 'primevue/button'
import { computed } from 'vue'

/** Two people side by side: what is the same of both, and what is not. */
const { pair } = defineProps<{ pair: Schemas['Pair']; busy: boolean }>()
const emit = defineEmits<{ join: [person: string, other: string]; apart: [] }>()

const sides = computed(() => [pair.one, pair.other])
/** What differs decides, and has a line of its own; what agrees is said in one. */
const differing = computed(() => pair.fields.filter((field) => !field.agrees))
const agreeing = computed(() => pair.fields.filter((field) => field.agrees))

function records(side: Schemas['Side']): string {
  const number = count(side.records) + (side.records === 1 ? ' record' : ' records')
  return side.lastRecord ? `${number}, the last of ${side.lastRecord}` : number
}
</script>

<template>
  <section class="pair" :aria-label="`${pair.one.id} and ${pair.other.id}`">
    <p v-if="pair.why.length" class="why">{{ pair.why.join(' ') }}</p>
    <table class="on-sheet">
      <thead>
        <tr>
          <td></td>
          <th v-for="side in sides" :key="side.id" scope="col">
            <RouterLink :to="`/people/${encodeURIComponent(side.id)}`">{{ side.id }}</RouterLink>
            <span class="name"><Veiled :text="side.name" /></span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="field in differing" :key="field.field">
          <th scope="row">{{ field.field }}</th>
          <td><Veiled :text="field.one" :what="field.field" /></td>
          <td><Veiled :text="field.other" :what="field.field" /></td>
        </tr>
        <tr v-if="agreeing.length">
          <th scope="row">in both</th>
          <td colspan="2" class="quiet">
            <template v-for="(field, at) in agreeing" :key="field.field"
              >{{ at ? ', ' : '' }}{{ field.field }} <Veiled :text="field.one" :what="field.field"
            /></template>
          </td>
        </tr>
        <tr>
          <th scope="row">on record</th>
          <td v-for="side in sides" :key="side.id">{{ records(side) }}</td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <td></td>
          <td v-for="(side, at) in sides" :key="side.id">
            <Button
              size="small"
              outlined
              :disabled="busy"
              :label="`The same, goes on as ${side.id}`"
              @click="emit('join', side.id, sides[1 - at]?.id ?? '')"
            />
          </td>
        </tr>
      </tfoot>
    </table>
    <Button
      class="two"
      size="small"
      text
      :disabled="busy"
      label="Two people"
      :aria-label="`${pair.one.id} and ${pair.other.id} are two people`"
      @click="emit('apart')"
    />
  </section>
</template>

<style scoped>
.pair {
  margin: 12px 0 20px;
}

.why {
  margin: 0;
}

table {
  width: min(100%, 56rem);
  table-layout: fixed;
}

th[scope='row'],
thead td {
  width: 9rem;
  font-weight: normal;
  color: var(--soft-ink);
}

.name {
  margin-left: 8px;
}

td {
  overflow-wrap: anywhere;
}

tfoot td {
  border-bottom: 0;
}

.two {
  margin-top: 4px;
}
</style>
