<script setup lang="ts">
import { FormDialog } from '@/controls'
import { send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { LIMITS } from '@/api/limits'
import { useSaving } from '@/api/saving'
import { fieldWords } from '@/fields'
import { useSession } from '@/session'
import { count } from '@/stick'
import { Veiled } from '@/veil'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, reactive, ref, watch } from 'vue'
import LetterEditor from './LetterEditor.vue'
import SentMail from './SentMail.vue'
import {
  COLUMNS,
  copyTable,
  download,
  FORMATS,
  mayCopy,
  needsReason,
  usualTable,
  type Column,
  type Format,
} from './takeOut'

/** Takes people of a list out: as a table, a call sheet, letters, labels or e-mail. */
const visible = defineModel<boolean>('visible', { required: true })
const {
  list,
  people,
  example,
  toCheck = 0,
  mayChange = false,
  show = [],
} = defineProps<{
  list: string
  /** Their ids, in the order in which they are to come. */
  people: readonly string[]
  /** For whom a letter is previewed. */
  example: string
  /** How many of them are to check and not on the list. */
  toCheck?: number
  mayChange?: boolean
  /** What the set of the list shows besides. */
  show?: readonly Schemas['ShownColumn'][]
}>()
const emit = defineEmits<{ written: [people: string[], outcome: string] }>()

const session = useSession()
const queries = useQueryClient()
const address = computed(() => `/api/lists/${encodeURIComponent(list)}/out` as const)
const draft = reactive({
  format: 'XLSX' as Format | 'MAIL',
  columns: [] as Column[],
  fields: [] as string[],
  template: 'Recall',
  reason: '',
  /** Also to those to whom the same went just now, and those who are to check: both only on purpose. */
  again: false,
  toCheck: false,
})
const told = ref('')
const editing = ref(false)
const sentShown = ref(false)
/** To whom letters were made, which are not yet logged. */
const written = ref<readonly string[]>([])
/** To whom nothing went, or of whom it could not be logged, each with why. */
const leftOut = ref<readonly Schemas['LeftOut'][]>([])

const isTable = computed(() => draft.format === 'CSV' || draft.format === 'XLSX')
const isPaper = computed(() => !isTable.value && draft.format !== 'MAIL')
const isWritten = computed(() => draft.format === 'LETTERS' || draft.format === 'MAIL')

const reasonNeeded = computed(() => needsReason(draft.format, draft.columns))

const further = computed(() => usualTable(show).fields)

watch(
  () => [list, ...show.map(({ name }) => name)],
  () => {
    Object.assign(draft, usualTable(show))
  },
  { immediate: true },
)

watch(visible, (shown) => {
  if (shown) {
    told.value = ''
    draft.again = false
    draft.toCheck = false
    editing.value = false
    sentShown.value = false
    written.value = []
    leftOut.value = []
  }
})

// What was told is of what was taken out before.
watch(
  () => draft.format,
  () => {
    told.value = ''
  },
)

const { data: book, refetch } = useQuery({
  queryKey: ['letters'],
  queryFn: () => send<Schemas['LetterBook']>('/api/letters'),
  enabled: visible,
})
const { data: mail } = useQuery({
  queryKey: ['mail'],
  queryFn: () => send<Schemas['MailState']>('/api/mail'),
  enabled: visible,
})
const names = computed(() => [...new Set((book.value?.templates ?? []).map((one) => one.name))])

function wanted(format: Format | 'MAIL') {
  return {
    format,
    people: [...people],
    columns: isTable.value ? draft.columns : [],
    fields: isTable.value ? draft.fields : [],
    template: draft.template,
    reason: draft.reason,
    again: draft.again,
    toCheck: draft.toCheck,
  }
}

/** Who would get it, and who would be left out and why, before anything is written. */
const { data: check, error: checkError } = useQuery({
  queryKey: computed(() => [
    'letters',
    'check',
    list,
    people,
    draft.format,
    draft.template,
    draft.again,
    draft.toCheck,
  ]),
  queryFn: () =>
    sendJson<Schemas['PaperCheck']>('POST', `${address.value}/check`, wanted(draft.format)),
  enabled: computed(() => visible.value && !isTable.value && people.length > 0),
  staleTime: 0,
})

const { save, saving: busy, problem } = useSaving(() => [list, visible.value])

async function takeOut() {
  told.value = ''
  leftOut.value = []
  written.value = []
  if (draft.format === 'MAIL') {
    await sendMail()
  } else {
    const format = draft.format
    const to = check.value
    await save(
      () => download(address.value, wanted(format)),
      () => {
        told.value =
          format === 'CSV'
            ? 'The table is with your downloads, and beside it a file that says who took it out, when and why.'
            : 'The file is with your downloads.'
        if (format === 'LETTERS') {
          const without = new Set((to?.leftOut ?? []).map((one) => one.person))
          written.value = people.filter((id) => !without.has(id))
        }
      },
    )
  }
  await queries.invalidateQueries({ queryKey: ['letters', 'check'] })
}

async function copy() {
  told.value = ''
  await save(
    () => copyTable(address.value, wanted('CSV')),
    () => {
      told.value = `${count(people.length)} ${people.length === 1 ? 'line' : 'lines'} copied: paste them into a spreadsheet.`
    },
  )
}

async function sendMail() {
  await save(
    () =>
      sendJson<Schemas['Mailed']>('POST', `${address.value}/mail`, {
        people,
        template: draft.template,
        reason: draft.reason,
        again: draft.again,
        toCheck: draft.toCheck,
      }),
    (mailed) => {
      told.value = `${count(mailed.sent.length)} sent and logged.`
      leftOut.value = [...mailed.leftOut, ...mailed.notLogged]
    },
  )
  await queries.invalidateQueries({ queryKey: ['mail', 'sent'] })
  await queries.invalidateQueries({ queryKey: ['lists', list, 'desk'] })
}

function logWritten() {
  emit('written', [...written.value], 'sent-letter')
  visible.value = false
}
</script>

<template>
  <LetterEditor
    v-if="visible && editing && book"
    :list="list"
    :example="example"
    :templates="book.templates"
    :fields="book.fields"
    @saved="refetch()"
    @close="editing = false"
  />
  <FormDialog
    v-else
    v-model:visible="visible"
    :header="`Take out: ${count(people.length)} ${people.length === 1 ? 'person' : 'people'}`"
    :action="draft.format === 'MAIL' ? 'Send' : 'Take out'"
    leave="Close"
    :width="640"
    :problem="problem || sentenceOf(checkError)"
    :busy="busy"
    :ready="people.length > 0 && (isTable || check?.people !== 0)"
    @done="takeOut"
  >
    <label for="out-format">As</label>
    <select id="out-format" v-model="draft.format">
      <option v-for="one in FORMATS" :key="one.format" :value="one.format">{{ one.name }}</option>
    </select>
    <template v-if="isTable">
      <span>Columns</span>
      <span class="columns">
        <label v-for="one in COLUMNS" :key="one.column">
          <input v-model="draft.columns" type="checkbox" :value="one.column" /> {{ one.name }}
        </label>
        <label v-for="name in further" :key="name">
          <input v-model="draft.fields" type="checkbox" :value="name" /> {{ fieldWords(name) }}
        </label>
      </span>
    </template>
    <template v-if="isWritten">
      <label for="out-template">Letter</label>
      <span>
        <select id="out-template" v-model="draft.template">
          <option v-for="name in names" :key="name" :value="name">{{ name }}</option>
        </select>
        <button v-if="session.has('COORDINATE')" type="button" class="word" @click="editing = true">
          Change the letters
        </button>
      </span>
    </template>
    <template v-if="toCheck > 0">
      <span>To check</span>
      <label v-if="mayChange">
        <input v-model="draft.toCheck" type="checkbox" /> also
        {{ toCheck === 1 ? 'the one who is' : `the ${count(toCheck)} who are` }} to check: the
        records do not say whether they belong on the list
      </label>
      <span v-else>
        {{ count(toCheck) }} {{ toCheck === 1 ? 'person is' : 'people are' }} to check and left out.
      </span>
    </template>
    <template v-if="!isTable">
      <span>{{ isPaper ? 'Printed' : 'Sent' }}</span>
      <span v-if="!check" role="status">{{ checkError ? '' : 'Looking who can be …' }}</span>
      <span v-else>
        {{ count(check.people) }} of {{ count(people.length)
        }}<template v-if="Object.keys(check.byLanguage).length"
          >:
          {{
            Object.entries(check.byLanguage)
              .map(([language, letters]) => `${count(letters)} in ${language}`)
              .join(', ')
          }}</template
        >
      </span>
      <template v-if="check && (check.again > 0 || draft.again)">
        <span>Again</span>
        <label>
          <input v-model="draft.again" type="checkbox" /> also to those to whom the same went just
          now<template v-if="check.again"> ({{ count(check.again) }})</template>
        </label>
      </template>
      <template v-if="check?.leftOut.length">
        <span>Left out</span>
        <ul class="left-out" tabindex="0" aria-label="Would be left out">
          <li v-for="one in check.leftOut" :key="one.person">
            <Veiled :text="one.name" />: {{ one.why }}
          </li>
        </ul>
      </template>
    </template>
    <template v-if="reasonNeeded">
      <label for="out-reason">Why</label>
      <InputText
        id="out-reason"
        v-model="draft.reason"
        required
        :maxlength="LIMITS.Wanted.reason.maxLength"
        placeholder="kept in the audit log"
      />
    </template>
    <div v-if="draft.format === 'MAIL' && mail" class="whole">
      <p v-if="!mail.ready" class="notice">
        No mail server is set up here, so nothing can be sent.
      </p>
      <p v-else-if="mail.standIn" class="quiet">
        This is the demo: mail goes to a stand-in, which keeps it and delivers nothing.
        <button
          v-if="session.has('COORDINATE')"
          type="button"
          class="word"
          :aria-expanded="sentShown"
          @click="sentShown = !sentShown"
        >
          {{ sentShown ? 'Hide what was sent' : 'Show what was sent' }}
        </button>
      </p>
      <SentMail v-if="sentShown" />
    </div>
    <p v-if="told" class="whole" role="status">
      {{ told }}
      <button v-if="written.length" type="button" class="word" @click="logWritten">
        Log it for {{ count(written.length) }} {{ written.length === 1 ? 'person' : 'people' }}
      </button>
    </p>
    <ul v-if="leftOut.length" class="left-out whole" tabindex="0" aria-label="Left out">
      <li v-for="one in leftOut" :key="one.person"><Veiled :text="one.name" />: {{ one.why }}</li>
    </ul>
    <template #more>
      <Button
        v-if="isTable && mayCopy()"
        type="button"
        outlined
        label="Copy"
        :disabled="people.length === 0 || busy || (reasonNeeded && draft.reason.trim() === '')"
        @click="copy"
      />
    </template>
  </FormDialog>
</template>

<style scoped>
.columns {
  columns: 3;
}

.columns label {
  display: block;
  padding-left: 24px;
  text-indent: -24px;
  break-inside: avoid;
}

.left-out {
  margin: 0;
  padding: 0;
  list-style: none;
  max-height: 120px;
  overflow: auto;
}
</style>
