<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { dayWords } from '@/days'
import { count } from '@/stick'

/** The records of each source and kind, and whether they come as they use to. */
defineProps<{ feeds: Schemas['FeedView'][] }>()

function rhythm(feed: Schemas['FeedView']): string {
  if (feed.usualDays === 0) {
    return ''
  }
  return feed.usualDays === 1 ? 'every day' : `every ${count(feed.usualDays)} days`
}
</script>

<template>
  <p v-if="feeds.length === 0" class="quiet">No records are there yet.</p>
  <table v-else class="on-sheet">
    <thead>
      <tr>
        <th>Source</th>
        <th>Kind</th>
        <th class="number">Records</th>
        <th class="number">No exact day</th>
        <th>First</th>
        <th>Last</th>
        <th>Usually</th>
        <th>Longest without any</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="feed in feeds" :key="`${feed.source} ${feed.kind}`">
        <td>{{ feed.source }}<span v-if="!feed.source" class="quiet">no source named</span></td>
        <td>{{ feed.kind }}</td>
        <td class="number">{{ count(feed.records) }}</td>
        <td class="number">{{ feed.undated ? count(feed.undated) : '' }}</td>
        <td>{{ feed.first && dayWords(feed.first) }}</td>
        <td>
          {{ feed.last && dayWords(feed.last) }}
          <strong v-if="feed.late" class="late">late</strong>
          <span v-else-if="feed.ended" class="quiet">ended</span>
        </td>
        <td>{{ rhythm(feed) }}</td>
        <td>
          <template v-if="feed.gap"
            >{{ dayWords(feed.gap.from) }} to {{ dayWords(feed.gap.to) }}</template
          >
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.late {
  color: var(--brick);
}
</style>
