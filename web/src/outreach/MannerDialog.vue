<script setup lang="ts">
import { LIMITS } from '@/api/limits'
import { FormDialog, WholeNumber } from '@/controls'
import { useColleagues } from '@/accounts'
import { send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import { useTyping } from '@/api/typing'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import MultiSelect from 'primevue/multiselect'
import { computed, watch } from 'vue'
import { STEPS } from './words'

type Manner = Schemas['Manner']

/** How a list is worked: its contact plan, whom it holds back, and its parts. */
const visible = defineModel<boolean>('visible', { required: true })
const { id, desk } = defineProps<{ id: string; desk: Schemas['DeskView'] }>()

/** As it stands in a letter. */
const LIST_FIELD = '{' + '{list}' + '}'

const queries = useQueryClient()
const { withDuty, problem: noColleagues } = useColleagues()
const {
  draft: typed,
  ifMatch,
  saved,
  begin,
} = useTyping<Manner>(
  () => id,
  () => ({ value: desk.manner, revision: desk.mannerRevision }),
)
/** There is always one, since there is a desk. */
const draft = computed(() => typed.value as Manner)
/** The field says null where it is blank. */
const target = computed({
  get: () => draft.value.target ?? null,
  set: (percent: number | null) => {
    draft.value.target = percent ?? undefined
  },
})
const { save: keep, say, saving, problem } = useSaving(() => id)

const { data: parting, error: notParted } = useQuery({
  queryKey: computed(() => ['lists', id, 'parting']),
  queryFn: () => send<Schemas['Parting']>(`/api/lists/${encodeURIComponent(id)}/desk/manner/parts`),
  enabled: visible,
})
const sites = computed(() => parting.value?.sites ?? [])
const providers = computed(() => parting.value?.providers ?? [])

function copy<T>(value: T): T {
  return JSON.parse(JSON.stringify(value)) as T
}

watch([visible, () => id], ([shown]) => {
  if (shown) {
    begin()
    say('')
  }
})

async function save() {
  const sent = copy(draft.value)
  const done = await keep(
    () =>
      sendJson<Schemas['MannerKept']>(
        'PUT',
        `/api/lists/${encodeURIComponent(id)}/desk/manner`,
        sent,
        ifMatch.value,
      ),
    (answer) => {
      // What was changed since is still to be saved.
      visible.value = JSON.stringify(draft.value) !== JSON.stringify(sent)
      saved(sent, answer.revision)
    },
  )
  if (done) {
    await queries.invalidateQueries({ queryKey: ['lists', id] })
  }
}
</script>

<template>
  <FormDialog
    v-model:visible="visible"
    :header="`How “${desk.name}” is worked`"
    action="Save"
    :width="760"
    :problem="problem || noColleagues || sentenceOf(notParted)"
    :busy="saving"
    stacked
    @done="save"
  >
    <h2>Contact plan</h2>
    <ol>
      <li v-for="(step, i) in draft.plan.steps" :key="i">
        <WholeNumber
          v-model="step.afterDays"
          :max="LIMITS.PlannedStep.afterDays.maximum"
          :aria-label="`Days before step ${String(i + 1)}`"
        />
        days after {{ i === 0 ? 'joining' : 'that' }}:
        <select v-model="step.step" class="plain" :aria-label="`Step ${String(i + 1)}`">
          <option v-for="one in STEPS" :key="one.step" :value="one.step">{{ one.name }}</option>
        </select>
        <button
          v-if="draft.plan.steps.length > 1"
          type="button"
          class="word"
          :aria-label="`Leave out step ${String(i + 1)}`"
          @click="draft.plan.steps.splice(i, 1)"
        >
          leave out
        </button>
      </li>
    </ol>
    <p>
      <button
        type="button"
        class="word"
        @click="draft.plan.steps.push({ step: 'CALL', afterDays: 7 })"
      >
        Add a step
      </button>
    </p>
    <p>
      When they were reached, look again after
      <WholeNumber
        v-model="draft.plan.afterReached"
        :max="LIMITS.ContactPlan.afterReached.maximum"
        aria-label="Days after they were reached"
      />
      days; when they have an appointment, after
      <WholeNumber
        v-model="draft.plan.afterBooked"
        :max="LIMITS.ContactPlan.afterBooked.maximum"
        aria-label="Days after they booked"
      />
      days.
    </p>

    <h2>What it is called to the people on it</h2>
    <p>
      <InputText
        v-model="draft.called"
        :maxlength="LIMITS.Manner.called.maxLength"
        placeholder="such as: your hearing check"
        aria-label="What the list is called to the people on it"
        class="called"
      />
      <span class="quiet">
        where a letter says <code>{{ LIST_FIELD }}</code></span
      >
    </p>

    <h2>How many should have it</h2>
    <p>
      <InputNumber
        v-model="target"
        :min="1"
        :max="100"
        suffix=" %"
        placeholder="no target"
        aria-label="Target, in percent of the eligible"
        :input-style="{ width: '90px' }"
      />
      <span class="quiet"> of the eligible; a notch on the stick of the list</span>
    </p>

    <h2>Held back, with the reason</h2>
    <p>
      Who has an appointment within
      <WholeNumber
        v-model="draft.hold.appointmentDays"
        :max="LIMITS.HoldRules.appointmentDays.maximum"
        aria-label="Days within which an appointment holds back"
      />
      days; who was reached on any list in the last
      <WholeNumber
        v-model="draft.hold.reachedDays"
        :max="LIMITS.HoldRules.reachedDays.maximum"
        aria-label="Days for which being reached holds back"
      />
      days (0: nobody).
    </p>
    <p class="checks">
      <label
        ><input v-model="draft.hold.doNotContact" type="checkbox" /> who asked not to be
        contacted</label
      >
      <label
        ><input v-model="draft.hold.noWay" type="checkbox" /> who has no phone, e-mail or
        address</label
      >
    </p>

    <h2>Parts, for several callers</h2>
    <div v-for="(one, i) in draft.parts" :key="i" class="part">
      <InputText
        v-model="one.name"
        :maxlength="LIMITS.ListPart.name.maxLength"
        placeholder="Name"
        :aria-label="`Name of part ${String(i + 1)}`"
      />
      <MultiSelect
        v-model="one.sites"
        :show-toggle-all="false"
        :options="sites"
        placeholder="all sites"
        :aria-label="`Sites of part ${String(i + 1)}`"
      />
      <MultiSelect
        v-model="one.providers"
        :show-toggle-all="false"
        :options="providers"
        placeholder="all providers"
        :aria-label="`Providers of part ${String(i + 1)}`"
      />
      <MultiSelect
        v-model="one.colleagues"
        :show-toggle-all="false"
        :options="withDuty('WORK_LISTS', one.colleagues)"
        option-label="displayName"
        option-value="name"
        placeholder="given to nobody"
        :aria-label="`Colleagues of part ${String(i + 1)}`"
      />
      <button
        type="button"
        class="word"
        :aria-label="`Leave out part ${String(i + 1)}`"
        @click="draft.parts.splice(i, 1)"
      >
        ×
      </button>
    </div>
    <p>
      <button
        type="button"
        class="word"
        @click="draft.parts.push({ name: '', sites: [], providers: [], colleagues: [] })"
      >
        Cut out a part
      </button>
    </p>
  </FormDialog>
</template>

<style scoped>
.called {
  width: 280px;
}

h2 {
  margin: 10px 0 4px;
  font-size: 1em;
}

h2 .quiet {
  font-weight: 400;
}

ol {
  margin: 0;
  padding-left: 22px;
}

li {
  padding: 2px 0;
}

p {
  margin: 5px 0;
}

li .word {
  margin-left: 8px;
}

.checks {
  display: flex;
  gap: 18px;
}

.part {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr 1fr auto;
  gap: 6px;
  margin-bottom: 4px;
}
</style>
