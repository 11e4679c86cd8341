<script setup lang="ts">
import { sentenceOf, type Schemas } from '@/api/client'
import { dayWords, timeWords } from '@/days'
import { useSession } from '@/session'
import { count } from '@/stick'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { stateQuery } from './state'

/** What counts, as of when, and which source is late: a list is as right as what it is made of. */
const { records } = defineProps<{ records: Schemas['Overview'] }>()

/** Only they may look at the state of the records. */
const coordinates = useSession().has('COORDINATE')
const { data: state, error } = useQuery({ ...stateQuery, enabled: coordinates })
const late = computed(() => (state.value?.feeds ?? []).filter((feed) => feed.late))
const last = computed(() => records.imports.find((one) => !one.takenBack))

function usually(feed: Schemas['FeedView']): string {
  return feed.usualDays === 1 ? 'every day' : `every ${count(feed.usualDays)} days`
}
</script>

<template>
  <section aria-label="How fresh the records are" class="fresh">
    <p>
      <strong>{{ count(records.people) }}</strong> people and
      <strong>{{ count(records.records) }}</strong> event records that count, as of
      {{ timeWords(records.builtAt)
      }}<template v-if="records.waiting"
        >; {{ count(records.waiting) }} more wait for their people</template
      >.
      <template v-if="last"
        >The last file was {{ last.fileName }}, {{ timeWords(last.takenAt) }}.</template
      >
    </p>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="coordinates && !state" class="quiet">Looking which sources are late …</p>
    <p v-else-if="coordinates && late.length === 0" class="quiet">No source is late.</p>
    <ul v-else-if="coordinates">
      <li v-for="feed in late" :key="`${feed.source} ${feed.kind}`">
        <strong class="late">late</strong>
        {{ feed.kind }}{{ feed.source && ` of ${feed.source}` }}: the last of
        {{ feed.last && dayWords(feed.last) }}, usually {{ usually(feed) }}
      </li>
    </ul>
    <RouterLink v-if="late.length" to="/records/state">The state of the records</RouterLink>
  </section>
</template>

<style scoped>
.fresh {
  margin: 0 0 12px;
  padding: 8px 14px;
  background: var(--sheet);
  border: 1px solid var(--rule);
}

p,
ul {
  margin: 2px 0;
}

ul {
  list-style: none;
  padding: 0;
}

.late {
  color: var(--brick);
}
</style>
