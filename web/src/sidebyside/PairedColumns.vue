<script setup lang="ts">
import Button from 'primevue/button'
import ColumnPair from './ColumnPair.vue'
import { SPLITS, type ComparedPair, type KeyPair, type Side } from './sidebyside'

/** Which columns of two lists mean the same: what tells things apart, and what is held beside each other. */
const key = defineModel<KeyPair[]>('pairedKey', { required: true })
const compared = defineModel<ComparedPair[]>('compared', { required: true })
const { here, there } = defineProps<{ here: Side; there: Side }>()

function free(): KeyPair {
  const used = new Set([...key.value, ...compared.value].map((pair) => pair.here))
  const one = here.columns.find((column) => !used.has(column.name)) ?? here.columns[0]
  return { here: one?.name ?? '', there: there.columns[0]?.name ?? '' }
}

function changeCompared(at: number, part: Partial<ComparedPair>) {
  compared.value = compared.value.map((one, place) => (place === at ? { ...one, ...part } : one))
}
</script>

<template>
  <div class="paired">
    <section aria-label="What tells them apart">
      <h2>The same thing is what has the same</h2>
      <ColumnPair
        v-for="(pair, at) in key"
        :key="at"
        :here="here"
        :there="there"
        :pair="pair"
        between="="
        :what="`Column ${at + 1} of the key`"
        @change="key = key.map((one, place) => (place === at ? $event : one))"
        @without="key = key.filter((_, place) => place !== at)"
      />
      <Button size="small" text label="Add a column" @click="key = [...key, free()]" />
    </section>
    <details :open="compared.length <= 4">
      <summary>
        Held beside each other: {{ compared.length || 'no' }}
        {{ compared.length === 1 ? 'column' : 'columns' }}
      </summary>
      <ColumnPair
        v-for="(pair, at) in compared"
        :key="at"
        :here="here"
        :there="there"
        :pair="pair"
        between="and"
        :what="`Column ${at + 1} held beside the other`"
        @change="changeCompared(at, $event)"
        @without="compared = compared.filter((_, place) => place !== at)"
      >
        <select
          class="plain"
          :value="pair.split"
          :aria-label="`How ${pair.here} is held beside ${pair.there}`"
          @change="changeCompared(at, { split: ($event.target as HTMLSelectElement).value })"
        >
          <option v-for="one in SPLITS" :key="one.split" :value="one.split">{{ one.words }}</option>
        </select>
      </ColumnPair>
      <p v-if="compared.length === 0" class="quiet">Nothing: whoever is in both says the same.</p>
      <Button
        size="small"
        text
        label="Another column"
        @click="compared = [...compared, { ...free(), split: '' }]"
      />
    </details>
  </div>
</template>

<style scoped>
.paired {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(360px, 100%), 1fr));
  gap: 12px 36px;
}

summary {
  font-weight: 600;
  cursor: pointer;
  min-height: 24px;
}
</style>
