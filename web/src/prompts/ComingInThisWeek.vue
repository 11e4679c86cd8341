<script setup lang="ts">
import spans from '@/spans.json'
import { sentenceOf, type Schemas } from '@/api/client'
import { dayWords } from '@/days'
import { useSession } from '@/session'
import { count } from '@/stick'
import { Veiled, VeiledWords } from '@/veil'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import { comingInQuery } from './comingIn'
import DismissDialog from './DismissDialog.vue'
import { useDismissing } from './useDismissing'

/** Who on a list comes in within a week, with everything to mention at once, and what to say. */
const { nobody } = defineProps<{
  /** As whoever may see some people alone is told of none. */
  nobody: string
}>()

const session = useSession()
const { data: coming, error } = useQuery(comingInQuery)

const { dismiss } = useDismissing()
const asked = ref<{ person: string; mention: Schemas['Mention'] }>()
const dismissing = computed({
  get: () => asked.value !== undefined,
  set: (open: boolean) => {
    if (!open) {
      asked.value = undefined
    }
  },
})

function dayOf(one: Schemas['ComingIn']): string {
  return one.on === session.today ? 'today' : dayWords(one.on).replace(/ \d{4}$/, '')
}

function save(reason: string, until: string) {
  if (asked.value) {
    void dismiss(asked.value.mention.set, asked.value.person, reason, until)
  }
}
</script>

<template>
  <section aria-label="Coming in">
    <div class="top">
      <h2>
        Coming in this week <span v-if="coming" class="quiet">{{ count(coming.length) }}</span>
      </h2>
      <RouterLink to="/today/coming-in">Sheet for the morning</RouterLink>
    </div>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="!coming" class="quiet">Who comes in is being looked up.</p>
    <p v-else-if="coming.length === 0" class="quiet">
      {{ nobody }} on a list has an appointment on record for the next {{ spans.comingIn }} days.
    </p>
    <ol class="coming">
      <li v-for="one in coming" :key="one.person.id" :class="{ now: one.on === session.today }">
        <span class="when">{{ dayOf(one) }}</span>
        <span>
          <strong><Veiled :text="one.person.name" /></strong>
          <span class="quiet with"> {{ one.provider }}{{ one.site ? `, ${one.site}` : '' }}</span>
          <span v-for="mention in one.mention" :key="mention.set" class="mention">
            <strong v-if="mention.prompt && mention.say">“{{ mention.say }}” </strong>
            <RouterLink
              :to="{
                path: `/lists/${encodeURIComponent(mention.set)}`,
                query: { person: one.person.id },
              }"
              >{{ mention.list }}</RouterLink><template v-if="mention.toCheck">, to check</template
            >:
            <VeiledWords :text="mention.why" :telling="[one.person.born, one.person.name]" />
            <span v-if="mention.not" class="quiet"> {{ mention.not }}</span>
            <button
              v-else-if="mention.prompt && session.has('WORK_LISTS')"
              class="word"
              @click="asked = { person: one.person.id, mention }"
            >
              Not for a while…
            </button>
          </span>
        </span>
      </li>
    </ol>
    <DismissDialog v-model:visible="dismissing" :list="asked?.mention.list ?? ''" @dismiss="save" />
  </section>
</template>

<style scoped>
section {
  background: var(--sheet);
  border: 1px solid var(--rule);
  padding: 8px 14px;
  max-height: 360px;
  overflow: auto;
}

.top {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: baseline;
  gap: 0 10px;
  margin: 8px 0 4px;
}

h2 {
  margin: 0;
}

h2 .quiet {
  font-weight: 400;
}

ol {
  list-style: none;
  margin: 0;
  padding: 0;
}

li {
  display: flex;
  gap: 10px;
  padding: 2px 0;
  border-bottom: 1px solid var(--hair);
}

.when {
  flex: 0 0 52px;
  color: var(--soft-ink);
}

.now .when {
  color: var(--amber-ink);
  font-weight: 600;
}

.with {
  margin-left: 8px;
}

.mention {
  display: block;
}

.mention .word {
  margin-left: 8px;
}
</style>
