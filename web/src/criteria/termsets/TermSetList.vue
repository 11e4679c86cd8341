<script setup lang="ts">
import { sentenceOf } from '@/api/client'
import { dayOfInstant, dayWords } from '@/days'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { wordsOf, type Member } from './members'
import { copyOf, sharedQuery } from './shared'
import TermSetDialog from './TermSetDialog.vue'

/** The term sets that criteria sets share, each opened to be looked at or changed. */
const { data: sets, error } = useQuery(sharedQuery)
const shown = ref(false)
const id = ref<string>()
const open = computed(() => {
  const one = sets.value?.find((set) => set.id === id.value)
  return one && copyOf(one)
})

function show(which: string) {
  id.value = which
  shown.value = true
}

function some(members: Member[]): string {
  const words = members.slice(0, 4).map(wordsOf).join(', ')
  return members.length > 4 ? `${words} and ${String(members.length - 4)} more` : words
}
</script>

<template>
  <section aria-label="Term sets">
    <h2>Term sets</h2>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="!sets" class="quiet">The term sets are being fetched.</p>
    <p v-else-if="sets.length === 0" class="quiet">
      None yet. A term set comes here when a criteria set that holds it is published.
    </p>
    <table v-else class="on-sheet">
      <thead>
        <tr>
          <th>Name</th>
          <th>Members</th>
          <th>Used by</th>
          <th>Changed</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="set in sets" :key="set.id">
          <td>
            <button class="word" @click="show(set.id)">{{ set.name }}</button>
          </td>
          <td>{{ some(set.members as Member[]) }}</td>
          <td>{{ set.usedBy.join(', ') || 'no set' }}</td>
          <td class="quiet when">
            version {{ set.version }}, {{ set.changedBy }},
            {{ dayWords(dayOfInstant(set.changedAt)) }}
          </td>
        </tr>
      </tbody>
    </table>
    <TermSetDialog
      v-model:visible="shown"
      :term-set="open"
      :taken="new Set<string>()"
      :own-allowed="false"
    />
  </section>
</template>

<style scoped>
.when {
  white-space: nowrap;
}
</style>
