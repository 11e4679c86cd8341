<script setup lang="ts">
import { Dialog } from '@/controls'
import { useColleagues } from '@/accounts'
import { ifMatch, Problem, send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import { timeWords } from '@/days'
import { ScheduleChoice, whenWords, type When } from '@/schedule'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import MultiSelect from 'primevue/multiselect'
import { computed, reactive, ref, watch } from 'vue'

type Sending = Schemas['SendingView']
type What = Sending['what']

/** What is sent to colleagues by e-mail, at which time; and what it is like, sent to oneself. */
const visible = defineModel<boolean>('visible', { required: true })
const { id, name, mayChange } = defineProps<{
  /** The list; empty for the morning sheet of all. */
  id: string
  name: string
  mayChange: boolean
}>()

const NAMES: Record<What, string> = {
  LIST: 'the whole list',
  NEW: 'who is new on it',
  MORNING: 'its morning sheet',
}

const queries = useQueryClient()
const { withDuty, problem: noColleagues } = useColleagues()
const whats = computed<readonly What[]>(() =>
  id === '' ? ['MORNING'] : ['LIST', 'NEW', 'MORNING'],
)
const { data: all, error } = useQuery({
  queryKey: ['sendings'],
  queryFn: () => send<Sending[]>('/api/sendings'),
  enabled: computed(() => visible.value && mayChange),
})
const mine = computed(() => all.value?.filter((one) => one.set === id))

/** What is being changed; a new one has revision 0. */
const draft = reactive({
  id: '',
  revision: 0,
  what: 'NEW' as What,
  when: { every: 'DAY', dayOfWeek: 'MONDAY', dayOfMonth: 1, at: '07:00' } as When,
  onlyNew: true,
  colleagues: [] as string[],
})
const changing = ref(false)
const opened = ref(0)
const { save: keep, say, saving, problem: refused, failure } = useSaving(opened)
const problem = computed(() =>
  failure.value instanceof Problem && failure.value.type === 'incomplete'
    ? 'Somebody has to be chosen; the time is written as 07:00. Nothing was saved.'
    : refused.value,
)
const sentNow = ref<Schemas['SentNow']>()
const nowProblem = ref('')
const sendingNow = ref(false)

watch([visible, () => id], () => {
  changing.value = false
  sentNow.value = undefined
  nowProblem.value = ''
})

function change(one: Sending | undefined) {
  Object.assign(draft, {
    id: one?.id ?? crypto.randomUUID(),
    revision: one?.revision ?? 0,
    what: one?.what ?? (id === '' ? 'MORNING' : 'NEW'),
    when: one
      ? { every: one.every, dayOfWeek: one.dayOfWeek, dayOfMonth: one.dayOfMonth, at: one.at }
      : { every: 'DAY', dayOfWeek: 'MONDAY', dayOfMonth: 1, at: '07:00' },
    onlyNew: one?.onlyNew ?? true,
    colleagues: one?.colleagues.map((to) => to.name) ?? [],
  })
  opened.value += 1
  say('')
  changing.value = true
}

async function readAgain() {
  await queries.invalidateQueries({ queryKey: ['sendings'] })
}

async function save() {
  const { what, when, onlyNew } = draft
  await keep(
    () =>
      sendJson<Sending>(
        'PUT',
        `/api/sendings/${draft.id}`,
        { set: id, what, ...when, onlyNew, colleagues: draft.colleagues },
        draft.revision > 0 ? ifMatch(draft.revision) : {},
      ),
    () => {
      changing.value = false
    },
  )
  await readAgain()
}

async function remove(one: Sending) {
  await keep(() => send(`/api/sendings/${one.id}`, { method: 'DELETE' }))
  await readAgain()
}

/** To oneself, as it would be. */
async function sendMe(what: What) {
  sendingNow.value = true
  nowProblem.value = ''
  sentNow.value = undefined
  try {
    sentNow.value = await sendJson<Schemas['SentNow']>('POST', '/api/sendings/now', {
      set: id,
      what,
    })
  } catch (failed) {
    nowProblem.value = sentenceOf(failed)
  } finally {
    sendingNow.value = false
  }
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="`Send “${name}” by e-mail`"
    :style="{ width: '680px', maxWidth: '97vw' }"
  >
    <p class="quiet">
      A table without contact details, with a way back here. Each colleague is sent only what they
      may see.
    </p>
    <template v-if="mayChange">
      <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
      <p v-else-if="!mine" class="quiet">What is sent is being fetched.</p>
      <p v-else-if="mine.length === 0" class="quiet">Nothing of it is sent by itself yet.</p>
      <ul>
        <li v-for="one in mine" :key="one.id">
          <span>
            {{ NAMES[one.what] }}, {{ whenWords(one) || 'not by itself'
            }}{{ one.onlyNew ? ', only if there is something new' : '' }}
            <span v-if="one.next" class="quiet">next: {{ timeWords(one.next) }}</span>
            <button class="word" @click="change(one)">Change it</button>
            <button class="word" @click="remove(one)">Send it no more</button>
          </span>
          <span v-for="to in one.colleagues" :key="to.name" class="to">
            to {{ to.displayName }}<span v-if="to.problem" class="brick">: {{ to.problem }}</span
            ><span v-else-if="!to.reachable" class="brick"
              >: has no e-mail address here; an administrator adds it to the account</span
            >
          </span>
        </li>
      </ul>
      <p v-if="problem || noColleagues" class="notice" role="alert">
        {{ problem || noColleagues }}
      </p>
      <button v-if="!changing" class="word" @click="change(undefined)">
        Have something sent at a time
      </button>
      <form v-else @submit.prevent="save">
        <p v-if="whats.length > 1" class="when">
          <label for="sending-what">Send</label>
          <select id="sending-what" v-model="draft.what" class="plain">
            <option v-for="one in whats" :key="one" :value="one">{{ NAMES[one] }}</option>
          </select>
        </p>
        <p class="when"><ScheduleChoice v-model="draft.when" of="sending" does="When" /></p>
        <p>
          <label
            ><input v-model="draft.onlyNew" type="checkbox" /> only when there is something
            new</label
          >
        </p>
        <MultiSelect
          v-model="draft.colleagues"
          :show-toggle-all="false"
          :options="withDuty('READ_LISTS', draft.colleagues)"
          option-label="displayName"
          option-value="name"
          placeholder="to whom"
          aria-label="To whom it is sent"
          fluid
        />
        <p>
          <Button type="submit" size="small" label="Save" :loading="saving" />
          <Button
            type="button"
            size="small"
            text
            label="Leave as it was"
            @click="changing = false"
          />
        </p>
      </form>
    </template>
    <h2>Send me this now</h2>
    <p class="when">
      <Button
        v-for="one in whats"
        :key="one"
        size="small"
        outlined
        :label="NAMES[one]"
        :disabled="sendingNow"
        @click="sendMe(one)"
      />
    </p>
    <p v-if="nowProblem" class="notice" role="alert">{{ nowProblem }}</p>
    <template v-if="sentNow">
      <p role="status">Sent to {{ sentNow.to }}: {{ sentNow.subject }}</p>
    </template>
  </Dialog>
</template>

<style scoped>
p {
  margin: 5px 0;
}

h2 {
  margin: 12px 0 4px;
  font-size: 1em;
}

ul {
  list-style: none;
  margin: 0;
  padding: 0;
}

li {
  padding: 3px 0;
  border-bottom: 1px solid var(--hair);
}

.to {
  display: block;
  padding-left: 14px;
}

.brick {
  color: var(--brick);
}

.when {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
</style>
