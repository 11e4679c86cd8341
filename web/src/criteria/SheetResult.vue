<script setup lang="ts">
import type { Schemas } from '@/api/client'
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
    <div>
      <p>
        <button class="word" @click="emit('who', { part: 'ELIGIBLE', title: 'Eligible' })">
          {{ count(levels.eligible.yes) }} eligible</button
        ><template v-if="asksForSomething"
          >, of whom
          <button class="word" @click="emit('who', HAS)">
            {{ count(levels.has.yes) }} have it
          </button>
          ({{ percent(levels.has.yes, levels.eligible.yes) }})</template
        >.
      </p>
      <p>
        <button class="word big" data-level="list" @click="emit('who', ON_LIST)">
          {{ count(levels.list.yes) }} on the list</button
        >,
        <button class="word" data-level="check" @click="emit('who', TO_CHECK)">
          {{ count(levels.list.unsure) }} can’t tell
        </button>
      </p>
    </div>
  </footer>
</template>

<style scoped>
footer {
  display: grid;
  grid-template-columns: var(--stick) 1fr;
  gap: 10px;
  border-top: 2px solid var(--ink);
}

p {
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
