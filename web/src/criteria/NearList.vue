<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { dayWords } from '@/days'
import { vOneStop } from '@/keys'
import { count } from '@/stick'
import { Veiled } from '@/veil'
import { criterionTurn, listTurn } from './near'

/** Whose answer changes within a month before or after the as-of date. */
const { crossings, total, ofList } = defineProps<{
  crossings: Schemas['Crossing'][]
  total: number
  ofList: boolean
}>()
const emit = defineEmits<{ open: [person: string] }>()
</script>

<template>
  <ol v-one-stop class="near">
    <li v-for="one in crossings" :key="one.person.id + one.day" :class="{ ahead: one.ahead }">
      <button class="person-row" :data-person="one.person.id" @click="emit('open', one.person.id)">
        <span class="day">{{ dayWords(one.day) }}</span>
        <span class="name"><Veiled :text="one.person.name" /></span>
        <span class="turn">{{ ofList ? listTurn(one) : criterionTurn(one) }}</span>
        <span class="quiet why">{{ one.why }}</span>
      </button>
    </li>
    <li v-if="total > crossings.length" class="quiet more">
      The first {{ count(crossings.length) }} of {{ count(total) }} are shown.
    </li>
  </ol>
</template>

<style scoped>
.near {
  list-style: none;
  margin: 0;
  padding: 0;
  overflow: auto;
  flex: 1;
}

.person-row {
  grid-template-columns: 92px 1fr auto;
}

.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.ahead .day {
  font-weight: 600;
}

/* The as-of date lies between what was and what will be. */
li:not(.ahead) + .ahead {
  border-top: 2px solid var(--ink);
}

.why {
  grid-column: 2 / -1;
}

.more {
  padding: 8px 12px;
}
</style>
