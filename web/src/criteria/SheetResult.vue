<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { meaningOf } from '@/help'
import { Stick, count, percent } from '@/stick'
import { HAS, ON_LIST, TO_CHECK, type Behind } from './who'

/** The foot of the sheet: both sides, who has it and who is on the list. */
const { levels, before, asksForSomething } = defineProps<{
  levels: Schemas['Levels']
  before: Schemas['Levels'] | undefined
  /** Whether anything should be on record. */
  asksForSomething: boolean
}>()
const emit = defineEmits<{ who: [behind: Behind] }>()
</script>

<template>
  <footer>
    <Stick
      :value="levels.list.yes"
      :unsure="levels.list.unsure"
      :total="levels.people"
      :ghost="before?.list.yes"
    />
    <p>
      <span>
        <button
          class="word"
          :title="meaningOf('eligible')"
          @click="emit('who', { part: 'ELIGIBLE', title: 'Eligible' })"
        >
          {{ count(levels.eligible.yes) }} eligible</button
        ><template v-if="asksForSomething"
          >, of whom
          <button class="word" :title="meaningOf('haveIt')" @click="emit('who', HAS)">
            {{ count(levels.has.yes) }} have it
          </button>
          ({{ percent(levels.has.yes, levels.eligible.yes) }})</template
        >.
      </span>
      <span>
        <button
          class="word big"
          data-level="list"
          :title="meaningOf('onList')"
          @click="emit('who', ON_LIST)"
        >
          {{ count(levels.list.yes) }} on the list</button
        ><span v-if="before && before.list.yes !== levels.list.yes" class="quiet">
          (was {{ count(before.list.yes) }})</span
        >,
        <button
          class="word"
          data-level="check"
          :title="meaningOf('toCheck')"
          @click="emit('who', TO_CHECK)"
        >
          {{ count(levels.list.unsure) }} can’t tell
        </button>
      </span>
    </p>
    <!-- Told when it changes, to who does not see it; what stands above has its buttons between. -->
    <p class="visually-hidden" role="status">
      {{ count(levels.list.yes) }} on the list, {{ count(levels.list.unsure) }} can’t tell
    </p>
  </footer>
</template>

<style scoped>
footer {
  display: grid;
  grid-template-columns: var(--stick) 1fr;
  gap: 10px;
  border-top: 2px solid var(--ink);
  background: var(--sheet);
}

p {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 18px;
  margin: 2px 0;
}

.word {
  min-height: 26px;
}

.big {
  font-size: 1.15rem;
  font-weight: 600;
}
</style>
