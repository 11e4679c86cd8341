<script setup lang="ts">
import { useColleagues } from '@/accounts'
import { Problem, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import MultiSelect from 'primevue/multiselect'
import Select from 'primevue/select'
import { computed, ref, shallowRef, watch } from 'vue'
import { EFFECTS, STEPS } from './words'

type Manner = Schemas['Manner']
type Outcome = Pick<Schemas['AttemptOutcome'], 'id' | 'name' | 'effect'>

/** How a list is worked: its contact plan, whom it holds back, its parts, and what can come of an attempt. */
const visible = defineModel<boolean>('visible', { required: true })
const { id, desk } = defineProps<{ id: string; desk: Schemas['DeskView'] }>()

const queries = useQueryClient()
const { colleagues } = useColleagues()
const draft = ref<Manner>(copy(desk.manner))
const outcomes = ref<Outcome[]>([])
const revision = shallowRef(0)
const problem = ref('')

const sites = computed(() => valuesOf((row) => row.person.site))
const providers = computed(() => valuesOf((row) => row.person.provider))

function copy<T>(value: T): T {
  return JSON.parse(JSON.stringify(value)) as T
}

function valuesOf(field: (row: Schemas['DeskRow']) => string): string[] {
  return [...new Set(desk.rows.map(field).filter((value) => value !== ''))].sort()
}

watch(visible, (shown) => {
  if (shown) {
    draft.value = copy(desk.manner)
    revision.value = desk.mannerRevision
    outcomes.value = desk.outcomes
      .filter((one) => one.inUse)
      .map(({ id: outcome, name, effect }) => ({ id: outcome, name, effect }))
    problem.value = ''
  }
})

function outcomeId(name: string): string {
  return name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
}

async function save() {
  const named = outcomes.value.map((one) => ({ ...one, id: one.id || outcomeId(one.name) }))
  try {
    await sendJson('PUT', `/api/lists/${encodeURIComponent(id)}/desk/manner`, draft.value, {
      headers: { 'If-Match': `"${String(revision.value)}"` },
    })
    revision.value += 1
    await sendJson('PUT', '/api/outcomes', { outcomes: named })
    await queries.invalidateQueries({ queryKey: ['lists', id] })
    visible.value = false
  } catch (failure) {
    const spots = failure instanceof Problem ? failure.errors.map((one) => one.pointer) : []
    problem.value = sentenceOf(failure) + (spots.length ? ` (${spots.join(', ')})` : '')
  }
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="`How “${desk.name}” is worked`"
    :style="{ width: '760px', maxWidth: '97vw' }"
  >
    <form @submit.prevent="save">
      <p v-if="problem" class="notice" role="alert">{{ problem }}</p>
      <h3>Contact plan</h3>
      <ol>
        <li v-for="(step, i) in draft.plan.steps" :key="i">
          <InputNumber
            v-model="step.afterDays"
            :min="0"
            :max="365"
            :input-style="{ width: '52px' }"
            :aria-label="`Days before step ${String(i + 1)}`"
          />
          days after {{ i === 0 ? 'joining' : 'that' }}:
          <Select
            v-model="step.step"
            :options="[...STEPS]"
            option-label="name"
            option-value="step"
            size="small"
            :aria-label="`Step ${String(i + 1)}`"
          />
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
        <InputNumber
          v-model="draft.plan.afterReached"
          :min="0"
          :max="365"
          :input-style="{ width: '52px' }"
          aria-label="Days after they were reached"
        />
        days; when they have an appointment, after
        <InputNumber
          v-model="draft.plan.afterBooked"
          :min="0"
          :max="365"
          :input-style="{ width: '52px' }"
          aria-label="Days after they booked"
        />
        days.
      </p>

      <h3>Held back, with the reason</h3>
      <p>
        Who has an appointment within
        <InputNumber
          v-model="draft.hold.appointmentDays"
          :min="0"
          :max="730"
          :input-style="{ width: '52px' }"
          aria-label="Days within which an appointment holds back"
        />
        days; who was reached on any list in the last
        <InputNumber
          v-model="draft.hold.reachedDays"
          :min="0"
          :max="730"
          :input-style="{ width: '52px' }"
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

      <h3>Parts, for several callers</h3>
      <div v-for="(one, i) in draft.parts" :key="i" class="part">
        <InputText
          v-model="one.name"
          placeholder="Name"
          :aria-label="`Name of part ${String(i + 1)}`"
        />
        <MultiSelect
          v-model="one.sites"
          :options="sites"
          placeholder="all sites"
          :aria-label="`Sites of part ${String(i + 1)}`"
        />
        <MultiSelect
          v-model="one.providers"
          :options="providers"
          placeholder="all providers"
          :aria-label="`Providers of part ${String(i + 1)}`"
        />
        <MultiSelect
          v-model="one.colleagues"
          :options="[...colleagues]"
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

      <h3>What can come of an attempt <span class="quiet">on all lists</span></h3>
      <ol class="outcomes">
        <li v-for="(outcome, i) in outcomes" :key="i">
          <InputText
            v-model="outcome.name"
            size="small"
            required
            :aria-label="`Name of outcome ${String(i + 1)}`"
          />
          means
          <Select
            v-model="outcome.effect"
            :options="[...EFFECTS]"
            option-label="name"
            option-value="effect"
            size="small"
            :aria-label="`What outcome ${String(i + 1)} means`"
          />
          <button
            type="button"
            class="word"
            :aria-label="`Offer ${outcome.name} no more`"
            @click="outcomes.splice(i, 1)"
          >
            offer no more
          </button>
        </li>
      </ol>
      <p>
        <button
          type="button"
          class="word"
          @click="outcomes.push({ id: '', name: '', effect: 'NOT_REACHED' })"
        >
          Add one of our own
        </button>
      </p>

      <p class="buttons">
        <Button type="submit" label="Save" />
        <Button type="button" text label="Leave as it was" @click="visible = false" />
      </p>
    </form>
  </Dialog>
</template>

<style scoped>
h3 {
  margin: 10px 0 4px;
  font-size: 1em;
}

h3 .quiet {
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
