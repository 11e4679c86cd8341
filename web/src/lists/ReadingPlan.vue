<script setup lang="ts">
import { Problem, send, sendJson } from '@/api/client'
import { useSaving } from '@/api/saving'
import { useTyping } from '@/api/typing'
import { timeWords } from '@/days'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { planWords, type DialOfSet, type Plan } from './readingPlan'

/** When a list is read by itself, and with which dials. */
const { id, mayChange } = defineProps<{ id: string; mayChange: boolean }>()

const EVERY: readonly { every: Plan['every']; name: string }[] = [
  { every: 'DAY', name: 'every day' },
  { every: 'WEEK', name: 'every week' },
  { every: 'MONTH', name: 'every month' },
  { every: 'NEVER', name: 'not by itself' },
]
const DAYS: readonly Plan['dayOfWeek'][] = [
  'MONDAY',
  'TUESDAY',
  'WEDNESDAY',
  'THURSDAY',
  'FRIDAY',
  'SATURDAY',
  'SUNDAY',
]

const queries = useQueryClient()
const address = computed(() => `/api/lists/${encodeURIComponent(id)}/reading-plan`)
const changing = ref(false)
const { save: keep, saving, problem: refused, failure } = useSaving(() => id)
const problem = computed(() =>
  failure.value instanceof Problem && failure.value.type === 'incomplete'
    ? 'The time is written as 06:00, the day of the month from 1 to 31. Nothing was saved.'
    : refused.value,
)

const { data: plan } = useQuery({
  queryKey: computed(() => ['lists', id, 'readings', 'plan']),
  queryFn: () => send<Plan>(address.value),
})
const dials = computed(() => (plan.value?.dials ?? []) as unknown as DialOfSet[])

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

async function save() {
  const sent = { ...draft.value, turned: { ...draft.value.turned } }
  const turned = Object.fromEntries(
    Object.entries(sent.turned).filter(([, value]) => value.trim() !== ''),
  )
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
  <p v-if="plan && !changing" class="plan">
    {{ planWords(plan) }}
    <span v-if="plan.next" class="quiet">Next: {{ timeWords(plan.next) }}.</span>
    <button v-if="mayChange" class="word" @click="open">Change it</button>
  </p>
  <form v-else-if="changing" class="plan" @submit.prevent="save">
    <p v-if="problem" class="notice" role="alert">{{ problem }}</p>
    <label for="plan-every">Read</label>
    <select id="plan-every" v-model="draft.every" class="plain">
      <option v-for="one in EVERY" :key="one.every" :value="one.every">{{ one.name }}</option>
    </select>
    <select
      v-if="draft.every === 'WEEK'"
      v-model="draft.dayOfWeek"
      class="plain"
      aria-label="Day of the week"
    >
      <option v-for="day in DAYS" :key="day" :value="day">
        {{ day[0] + day.slice(1).toLowerCase() }}
      </option>
    </select>
    <template v-if="draft.every === 'MONTH'">
      <label for="plan-day">on day</label>
      <input
        id="plan-day"
        v-model.number="draft.dayOfMonth"
        class="day"
        type="number"
        min="1"
        max="31"
      />
    </template>
    <template v-if="draft.every !== 'NEVER'">
      <label for="plan-at">at</label>
      <InputText id="plan-at" v-model="draft.at" size="small" class="at" placeholder="06:00" />
    </template>
    <template v-for="dial in dials" :key="dial.name">
      <label :for="`plan-${dial.name}`">{{ dial.label || dial.name }}</label>
      <select
        v-if="dial.choices"
        :id="`plan-${dial.name}`"
        v-model="draft.turned[dial.name]"
        class="plain"
      >
        <option value="">as it is</option>
        <option v-for="choice in dial.choices" :key="String(choice)" :value="String(choice)">
          {{ choice }}
        </option>
      </select>
      <InputText
        v-else
        :id="`plan-${dial.name}`"
        v-model="draft.turned[dial.name]"
        size="small"
        class="dial"
        :placeholder="String(dial.default)"
      />
    </template>
    <Button type="submit" size="small" label="Save" :loading="saving" />
    <Button type="button" size="small" text label="Leave as it was" @click="changing = false" />
  </form>
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

.at,
.day {
  width: 64px;
}

.dial {
  width: 100px;
}
</style>
