<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { timeWords } from '@/days'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { onlyIn, wordsOf, type Member } from './members'

/** What each version of a shared term set changed, the newest first. */
const { id, version } = defineProps<{ id: string; version: number }>()

const shown = ref(false)
const { data: versions, error } = useQuery({
  queryKey: computed(() => ['termSets', id, 'versions', version]),
  queryFn: () =>
    send<Schemas['TermSetView'][]>(`/api/term-sets/${encodeURIComponent(id)}/versions`),
  enabled: shown,
})

const told = computed(() =>
  (versions.value ?? []).map((one, i, all) => ({ one, words: changes(one, all[i + 1]) })),
)

function changes(now: Schemas['TermSetView'], before: Schemas['TermSetView'] | undefined): string {
  const members = now.members as Member[]
  if (!before) {
    return members.map(wordsOf).join(', ')
  }
  const old = before.members as Member[]
  return (
    [
      now.name === before.name ? '' : `named “${now.name}”`,
      ...onlyIn(members, old).map((words) => `added ${words}`),
      ...onlyIn(old, members).map((words) => `removed ${words}`),
    ]
      .filter(Boolean)
      .join(', ') || 'what is left out on purpose'
  )
}
</script>

<template>
  <details @toggle="shown = ($event.target as HTMLDetailsElement).open">
    <summary>Versions: {{ version }}</summary>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="shown && !versions" class="quiet">The versions are being fetched.</p>
    <ol>
      <li v-for="{ one, words } in told" :key="one.version">
        Version {{ one.version }},
        <span class="quiet">{{ one.changedBy }}, {{ timeWords(one.changedAt) }}:</span>
        {{ words }}
      </li>
    </ol>
  </details>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 2px 0;
  padding: 0;
  max-height: 110px;
  overflow: auto;
}
</style>
