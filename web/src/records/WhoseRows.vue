<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { count } from '@/stick'
import { computed, ref } from 'vue'

/** Whose rows a file's are: each is of one person, of nobody who is found, or fits several; the last two open to their rows. */
const { trial } = defineProps<{ trial: Schemas['TrialView'] }>()

type Group = Schemas['TroublesView']
type Reason = Group['reason']

const opened = ref<Reason>()

function pile(reason: Reason, words: (rows: number) => string) {
  const groups = trial.troubles.filter((group) => group.reason === reason)
  const rows = groups.reduce((sum, group) => sum + group.count, 0)
  return { reason, rows, said: words(rows), first: groups.flatMap((group) => group.first) }
}

const piles = computed(() =>
  [
    pile('PERSON_NOT_FOUND', (rows) => `${rowsOf(rows)} of nobody who is on file`),
    pile('PERSON_FOUND_TWICE', (rows) =>
      rows === 1 ? '1 row fits several people' : `${count(rows)} rows fit several people`,
    ),
    pile('NO_PERSON', (rows) =>
      rows === 1
        ? '1 row does not say whose it is'
        : `${count(rows)} rows do not say whose they are`,
    ),
  ].filter((one) => one.rows > 0),
)
const found = computed(() => trial.rows - piles.value.reduce((sum, one) => sum + one.rows, 0))

function rowsOf(rows: number): string {
  return rows === 1 ? '1 row' : `${count(rows)} rows`
}

function toggle(reason: Reason) {
  opened.value = opened.value === reason ? undefined : reason
}
</script>

<template>
  <section v-if="piles.length" aria-label="Whose rows">
    <h2>Whose rows</h2>
    <ul>
      <li>{{ rowsOf(found) }} of one person each</li>
      <li v-for="one in piles" :key="one.reason">
        <button
          type="button"
          class="word"
          :aria-expanded="opened === one.reason"
          @click="toggle(one.reason)"
        >
          {{ one.said }}</button>, left out
        <ul v-if="opened === one.reason">
          <li v-for="row in one.first" :key="row.line">Line {{ row.line }}: {{ row.said }}</li>
          <li v-if="one.first.length < one.rows" class="quiet">
            and {{ count(one.rows - one.first.length) }} more, in the download below
          </li>
        </ul>
      </li>
    </ul>
  </section>
</template>
