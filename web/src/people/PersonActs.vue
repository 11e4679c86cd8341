<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { timeWords } from '@/days'
import { VeiledWords } from '@/veil'
import { ACTS } from './acts'

/** What was done about somebody, the newest first. */
const { acts, telling } = defineProps<{
  acts: readonly Schemas['LoggedAct'][]
  telling: readonly string[]
}>()

function what(act: Schemas['LoggedAct']): string {
  const words = act.kind === 'ATTEMPT' ? act.outcome : ACTS[act.kind]
  return act.words ? `${words}: ${act.words}` : words
}
</script>

<template>
  <ol class="log">
    <li v-for="(act, i) in acts" :key="i" :class="{ undone: act.undone }">
      <span class="quiet when">{{ timeWords(act.at) }}</span>
      <span>
        <span class="what"><VeiledWords :text="what(act)" :telling="telling" /></span>
        <span class="quiet"
          >{{ act.by ? ` · ${act.by}` : '' }}{{ act.list ? ` · ${act.list}` : ''
          }}{{ act.undone ? ' · undone' : '' }}</span
        >
      </span>
    </li>
  </ol>
</template>

<style scoped>
.log {
  list-style: none;
  margin: 0;
  padding: 0;
}

li {
  display: grid;
  grid-template-columns: 136px 1fr;
  gap: 8px;
  padding: 2px 0;
  border-top: 1px solid var(--hair);
}

.undone .what {
  text-decoration: line-through;
  color: var(--soft-ink);
}
</style>
