<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { dayWords } from '@/days'
import { useKeys } from '@/keys'
import { Contact, PersonActs, PersonPanel } from '@/people'
import { PersonPrompts } from '@/prompts'
import { Veiled, VeiledWords } from '@/veil'
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useDeskKeys } from './deskKeys'
import type { DeskRow } from './queues'
import { STATES, STEPS } from './words'

/** Whoever is worked on: why they are on the list, how to reach them, what came of it, and what was done before. */
const note = defineModel<string>('note', { required: true })
const everywhere = defineModel<boolean>('everywhere', { required: true })
const { list, row, outcomes, asOf, mayWork } = defineProps<{
  list: string
  row: DeskRow
  outcomes: readonly Schemas['AttemptOutcome'][]
  asOf: string
  mayWork: boolean
}>()
const emit = defineEmits<{
  outcome: [id: string]
  note: []
  take: []
  letGo: []
  plan: []
  excuse: []
  back: []
  close: []
  reopen: []
  give: []
}>()

const { named } = useDeskKeys()
const keys = useKeys()

const WAYS = ['phone', 'mobile', 'email']
const ADDRESS = ['address', 'city', 'postcode']

const address = computed(() => `/api/lists/${encodeURIComponent(list)}` as const)
const id = computed(() => encodeURIComponent(row.person.id))
const noteField = useTemplateRef('noteField')

const { data: view, error } = useQuery({
  queryKey: computed(() => ['lists', list, 'people', row.person.id]),
  queryFn: () => send<Schemas['PersonView']>(`${address.value}/people/${id.value}`),
})
const { data: log } = useQuery({
  queryKey: computed(() => ['lists', list, 'desk', 'log', row.person.id]),
  queryFn: () => send<Schemas['PersonLog']>(`${address.value}/desk/people/${id.value}`),
})

const contacts = computed(() => {
  const details = view.value?.details ?? []
  const values = (fields: readonly string[]) =>
    fields.flatMap((field) => details.filter((detail) => detail.field === field))
  const parts = values(ADDRESS).map((detail) => detail.value)
  return [...values(WAYS), ...(parts.length ? [{ field: 'address', value: parts.join(', ') }] : [])]
})
const here = computed(() => log.value?.lists.find((one) => one.set === list))
const others = computed(() =>
  (log.value?.lists ?? []).filter((one) => one.set !== list && one.open),
)
const telling = computed(() => [row.person.born, row.person.name, row.person.phone])
const theirs = computed(() => row.inHand?.mine === false)
const free = computed(() => mayWork && !theirs.value)
const next = computed(() => {
  const step = STEPS.find((one) => one.step === row.nextStep)
  return step ? `${step.name}, ${dayWords(row.nextOn)}` : 'nothing planned'
})
const shownReasons = ref(false)

watch(
  () => row.person.id,
  () => {
    shownReasons.value = false
  },
)

function focusNote() {
  ;(noteField.value as unknown as { $el: HTMLElement } | null)?.$el.focus()
}

defineExpose({ focusNote })
</script>

<template>
  <section class="in-hand" aria-label="The person in hand">
    <header>
      <h2><Veiled :text="row.person.name" /></h2>
      <span v-if="row.person.age">{{ row.person.age }}</span>
      <span class="quiet"><Veiled :text="row.person.born" what="birth date" /></span>
      <span class="quiet">{{ row.person.provider }}</span>
      <span class="quiet">{{ row.person.site }}</span>
    </header>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-if="row.excused" class="notice" role="status">Excused. {{ row.excused }}</p>
    <p v-else-if="row.heldBack" class="notice" :class="{ calm: !row.held }" role="status">
      <template v-if="row.held">Held back: </template>{{ row.heldBack }}
    </p>
    <p v-if="theirs" class="notice calm" role="status">
      {{ row.inHand?.name }} has this person in hand.
    </p>

    <PersonPrompts :person="row.person.id" :telling="telling" :without="list" />
    <dl class="contacts">
      <template v-for="contact in contacts" :key="contact.field">
        <dt>{{ contact.field }}</dt>
        <dd><Contact :field="contact.field" :value="contact.value" /></dd>
      </template>
      <template v-if="row.language">
        <dt>language</dt>
        <dd>{{ row.language }}</dd>
      </template>
      <template v-if="row.contactBy">
        <dt>wants</dt>
        <dd>{{ row.contactBy }}</dd>
      </template>
    </dl>

    <h3>Why</h3>
    <p class="why">
      <strong v-if="row.band">{{ row.band }}. </strong>
      <VeiledWords :text="here?.why ?? row.why" :telling="telling" />
      <span v-if="row.due && row.due !== 'never'"> Due {{ dayWords(row.due) }}.</span>
      <span class="quiet"> Joined {{ dayWords(row.joinedOn) }}. </span>
      <button class="word" :aria-expanded="shownReasons" @click="shownReasons = !shownReasons">
        {{ shownReasons ? 'Fewer reasons' : 'All reasons and the time line' }}
      </button>
    </p>
    <ul v-if="others.length" class="others" aria-label="Also on">
      <li v-for="other in others" :key="other.set">
        Also on <strong>{{ other.name }}</strong>
        <span class="quiet">: <VeiledWords :text="other.why" :telling="telling" /></span>
      </li>
    </ul>
    <PersonPanel v-if="shownReasons && view" :view="view" :as-of="asOf" class="reasons" />

    <template v-if="row.open && !row.excused">
      <h3>
        What came of it <span class="quiet">next: {{ next }}</span>
      </h3>
      <div class="outcomes">
        <button
          v-for="(outcome, i) in outcomes"
          :key="outcome.id"
          class="outcome"
          :disabled="!free"
          :data-outcome="outcome.id"
          @click="emit('outcome', outcome.id)"
        >
          <kbd v-if="i < 9 && keys.single">{{ i + 1 }}</kbd> {{ outcome.name }}
        </button>
      </div>
      <label v-if="others.length" class="everywhere">
        <input v-model="everywhere" type="checkbox" />
        one call settles the other {{ others.length === 1 ? 'list' : 'lists' }} too
      </label>
    </template>
    <Textarea
      v-if="mayWork"
      ref="noteField"
      v-model="note"
      rows="2"
      fluid
      :placeholder="`${named('Note', 'note')}; goes with the outcome, or by itself with Ctrl+Enter`"
      aria-label="Note"
      @keydown.ctrl.enter.prevent="emit('note')"
      @keydown.esc.prevent.stop="($event.target as HTMLElement).blur()"
    />
    <div v-if="mayWork" class="do">
      <template v-if="row.open">
        <Button
          v-if="!row.inHand"
          size="small"
          :label="named('Take', 'take')"
          :disabled="row.excused !== undefined"
          @click="emit('take')"
        />
        <Button
          v-else-if="row.inHand.mine"
          size="small"
          outlined
          :label="named('Let go', 'take')"
          @click="emit('letGo')"
        />
        <template v-if="row.excused === undefined">
          <Button
            size="small"
            text
            :label="named('Call again on…', 'plan')"
            :disabled="!free"
            @click="emit('plan')"
          />
          <Button
            size="small"
            text
            :label="named('Excuse…', 'excuse')"
            :disabled="!free"
            @click="emit('excuse')"
          />
          <Button
            size="small"
            text
            :label="named('Done…', 'close')"
            :disabled="!free"
            @click="emit('close')"
          />
        </template>
        <Button
          v-else
          size="small"
          text
          :label="named('Bring back', 'back')"
          @click="emit('back')"
        />
        <Button size="small" text :label="named('Give to…', 'give')" @click="emit('give')" />
      </template>
      <template v-else-if="row.state === 'CLOSED'">
        <Button size="small" :label="named('Open again', 'back')" @click="emit('reopen')" />
      </template>
      <span v-if="!row.open" class="quiet">
        {{ STATES[row.state] }}, {{ dayWords(row.changedOn) }}
      </span>
    </div>

    <h3>Log</h3>
    <PersonActs v-if="log" :acts="log.acts" :telling="telling" />
  </section>
</template>

<style scoped>
.in-hand {
  overflow: auto;
  min-height: 0;
  background: var(--sheet);
  border: 1px solid var(--rule);
  padding: 10px 14px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 10px;
}

h3 {
  margin: 10px 0 4px;
  font-size: 1em;
}

h3 .quiet {
  font-weight: 400;
  margin-left: 8px;
}

.notice {
  margin: 6px 0;
  padding: 5px 10px;
}

.contacts {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 1px 10px;
  margin: 8px 0 0;
}

dt {
  color: var(--soft-ink);
}

dd {
  margin: 0;
  font-weight: 600;
}

.why {
  margin: 0;
}

.others {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}

.reasons {
  border-left: 3px solid var(--rule);
  padding-left: 10px;
  margin: 6px 0;
}

kbd {
  display: inline-block;
  min-width: 14px;
  text-align: center;
  border: 1px solid var(--rule);
  border-radius: 2px;
  background: var(--sheet);
  font: inherit;
  font-size: 0.86em;
}

.everywhere {
  display: block;
  margin: 5px 0 0;
}

.in-hand :deep(textarea) {
  margin-top: 7px;
}

.do {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px;
  margin-top: 4px;
}
</style>
