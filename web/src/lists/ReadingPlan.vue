<script setup lang="ts">
import { Problem, send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import { useTyping } from '@/api/typing'
import { timeWords } from '@/days'
import { ScheduleChoice } from '@/schedule'
import { count } from '@/stick'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import DialChoices from './DialChoices.vue'
import { dialsOf, planWords, settingsOf, type Plan } from './readingPlan'

/** When a list is read by itself, and with which dials. */
const { id, mayChange } = defineProps<{ id: string; mayChange: boolean }>()

const queries = useQueryClient()
const address = computed(() => `/api/lists/${encodeURIComponent(id)}/reading-plan` as const)
const changing = ref(false)
const { save: keep, saving, problem: refused, failure } = useSaving(() => id)
const problem = computed(() =>
  failure.value instanceof Problem && failure.value.type === 'incomplete'
    ? 'The time is written as 06:00, the day of the month from 1 to 31. Nothing was saved.'
    : refused.value,
)

const { data: plan, error } = useQuery({
  queryKey: computed(() => ['lists', id, 'readings', 'plan']),
  queryFn: () => send<Plan>(address.value),
})
const dials = computed(() => dialsOf(plan.value))

const {
  draft: typed,
  ifMatch,
  saved,
  begin,
} = useTyping(
  () => id,
  () => {
    const now = plan.value
    if (now === undefined) {
      return undefined
    }
    const { every, dayOfWeek, dayOfMonth, at, turned, revision } = now
    return { value: { every, dayOfWeek, dayOfMonth, at, turned }, revision }
  },
)
/** The form is shown once there is a plan to change. */
const draft = computed(() => typed.value as Exclude<typeof typed.value, undefined>)

function open() {
  begin()
  changing.value = true
}

/** What the list would be with the dials as they are set here, before it is saved. */
const tried = refDebounced(
  computed(() => settingsOf(typed.value?.turned ?? {})),
  300,
)
const { data: trial, error: trialError } = useQuery({
  queryKey: computed(() => ['lists', id, 'readings', 'trial', tried.value]),
  queryFn: () =>
    sendJson<Schemas['Tried']>('POST', `${address.value}/trial`, { turned: tried.value }),
  enabled: computed(() => changing.value && dials.value.length > 0),
  staleTime: 0,
})

async function save() {
  const sent = { ...draft.value, turned: { ...draft.value.turned } }
  const turned = settingsOf(sent.turned)
  const done = await keep(
    () => sendJson<Plan>('PUT', address.value, { ...sent, turned }, ifMatch.value),
    (answer) => {
      // What was changed since is still to be saved.
      changing.value = JSON.stringify(draft.value) !== JSON.stringify(sent)
      saved(sent, answer.revision)
    },
  )
  if (done) {
    await queries.invalidateQueries({ queryKey: ['lists', id, 'readings'] })
  }
}
</script>

<template>
  <form v-if="changing" class="plan" @submit.prevent="save">
    <p v-if="problem" class="notice" role="alert">{{ problem }}</p>
    <ScheduleChoice v-model="draft" of="plan" does="Read" />
    <DialChoices v-model="draft.turned" of="plan" :dials="dials" :values="plan?.values ?? {}" />
    <p v-if="dials.length" class="trial" aria-live="polite">
      <template v-if="trialError">{{ sentenceOf(trialError) }}</template>
      <template v-else-if="trial">
        The list would have {{ count(trial.on) }} on it and {{ count(trial.toCheck) }} to check; it
        has {{ count(trial.onNow) }} and {{ count(trial.toCheckNow) }}.
        <span v-for="doubt in trial.doubts" :key="doubt" class="doubt">{{ doubt }} </span>
      </template>
      <template v-else>What the list would be is being read.</template>
    </p>
    <Button type="submit" size="small" label="Save" :loading="saving" />
    <Button type="button" size="small" text label="Leave as it was" @click="changing = false" />
  </form>
  <p v-else-if="plan" class="plan">
    {{ planWords(plan) }}
    <span v-if="plan.next" class="quiet">Next: {{ timeWords(plan.next) }}.</span>
    <button v-if="mayChange" class="word" @click="open">Change it</button>
  </p>
  <p v-else-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
  <p v-else class="quiet">When it is read is being looked up.</p>
</template>

<style scoped>
.plan {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin: 0 0 8px;
}

.plan .notice {
  flex-basis: 100%;
  margin: 0;
}

.trial {
  flex-basis: 100%;
  margin: 0;
}

.doubt {
  color: var(--brick);
}
</style>
