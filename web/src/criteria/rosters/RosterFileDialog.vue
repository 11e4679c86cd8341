<script setup lang="ts">
import { FormDialog } from '@/controls'
import { ifMatch, send, sendJson, type Schemas } from '@/api/client'
import { LIMITS } from '@/api/limits'
import { useNewest } from '@/api/newest'
import { useSaving } from '@/api/saving'
import { firstFree, slug } from '../document'
import { fromIso, toIso } from '@/days'
import { fieldWords } from '@/fields'
import { OpenDates, ReadAs } from '@/files'
import { count } from '@/stick'
import { Veiled } from '@/veil'
import DatePicker from 'primevue/datepicker'
import InputText from 'primevue/inputtext'
import MultiSelect from 'primevue/multiselect'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { addressOf, firstKey, ofKey, onlyIn, rosterOf, ROSTERS, type SharedRoster } from './shared'

/** A file as a new roster, or in place of what a roster holds; nothing is kept before it is said so. */
const { file, roster, taken } = defineProps<{
  file: File
  /** The one that the file replaces; nothing for a new one. */
  roster: SharedRoster | undefined
  /** The ids that other rosters have. */
  taken: Set<string>
}>()
const emit = defineEmits<{ close: []; saved: [name: string] }>()

const read = shallowRef<Schemas['RosterRead']>()
const before = shallowRef<Schemas['RosterView']>()
const effects = shallowRef<Schemas['Effect'][]>()
const name = ref(roster?.name ?? file.name.replace(/\.[^.]*$/, ''))
const key = ref<string[]>(roster?.key ?? [])
const until = ref(roster?.until ?? '')
/** The column that says until when a row holds; undefined until somebody chooses. */
const untilColumn = ref<string>()
const dates = ref('')
/** How its bytes are read as rows, where somebody says it otherwise. */
const readAs = ref<Schemas['ReadingWanted']>()
const reading = useNewest()
const comparing = useNewest()
const telling = useNewest()
const { save: keep, saving, problem: refused } = useSaving(() => file.name)
const problem = computed(() => reading.problem.value || comparing.problem.value || refused.value)

const fields = computed(() =>
  (read.value?.fields ?? []).map((field) => ({ field, label: fieldWords(field) })),
)
const untilChoices = computed(() =>
  [read.value?.until ?? '', ...(read.value?.days ?? [])].filter(Boolean),
)
const made = computed(() => read.value && ofKey(read.value, key.value))
const change = computed(() => ({
  name: name.value.trim(),
  key: key.value,
  rows: made.value?.rows ?? [],
  until: until.value,
  intake: read.value?.intake,
}))
const joined = computed(() => onlyIn(change.value.rows, before.value?.rows ?? []))
const left = computed(() => onlyIn(before.value?.rows ?? [], change.value.rows))
const complete = computed(
  () =>
    change.value.name !== '' &&
    key.value.length > 0 &&
    change.value.rows.length > 0 &&
    !reading.asking.value &&
    reading.problem.value === '' &&
    (roster === undefined || before.value !== undefined),
)

onMounted(() => {
  void readFile()
  if (roster) {
    void comparing.ask(
      () => rosterOf(roster.id),
      (one) => {
        before.value = one
      },
    )
  }
})

watch([untilColumn, dates, readAs], () => readFile())

function readFile(): Promise<void> {
  const how = new URLSearchParams({ name: file.name })
  if (roster?.fromFile) {
    how.set('roster', roster.id)
  }
  if (untilColumn.value !== undefined) {
    how.set('until', untilColumn.value)
  }
  if (dates.value) {
    how.set('dates', dates.value)
  }
  for (const [what, said] of Object.entries(readAs.value ?? {})) {
    how.set(what, said)
  }

  return reading.ask(
    (signal) =>
      send<Schemas['RosterRead']>(`${ROSTERS}/file?${how.toString()}`, {
        method: 'POST',
        body: file,
        headers: { 'Content-Type': 'application/octet-stream' },
        signal,
      }),
    (answer) => {
      read.value = answer
      const known = key.value.filter((field) => answer.fields.includes(field))
      key.value = known.length ? known : firstKey(answer.fields)
    },
  )
}

watch([change, complete], () => {
  effects.value = undefined
  if (roster && complete.value) {
    void telling.ask(
      (signal) =>
        sendJson<Schemas['Effect'][]>('POST', `${addressOf(roster.id)}/effects`, change.value, {
          signal,
        }),
      (answer) => {
        effects.value = answer
      },
    )
  }
})

function save() {
  const sent = change.value
  const id = roster?.id ?? firstFree(slug(sent.name) || 'roster', taken)
  void keep(
    () => sendJson('PUT', addressOf(id), sent, roster ? ifMatch(roster.version) : {}),
    () => {
      emit('saved', sent.name)
    },
  )
}
</script>

<template>
  <FormDialog
    visible
    :header="roster ? `${roster.name}: replaced by ${file.name}` : `A roster of ${file.name}`"
    :action="roster ? 'Replace it in every set' : 'Share this roster'"
    leave="Leave it"
    :width="704"
    stacked
    :problem="problem"
    :fetching="read ? '' : `Reading ${file.name} …`"
    :busy="saving"
    :ready="complete"
    @done="save"
    @update:visible="emit('close')"
  >
    <div class="from-file">
      <ReadAs
        v-if="read"
        :found="read.readAs"
        :working="reading.asking.value"
        @change="readAs = $event"
      />
      <template v-if="read && !reading.problem.value">
        <label>
          What it is called
          <InputText
            v-model="name"
            autofocus
            fluid
            :maxlength="LIMITS.RosterChange.name.maxLength"
          />
        </label>
        <div v-if="!roster">
          <span id="roster-file-key">People are known by</span>
          <MultiSelect
            v-model="key"
            :options="fields"
            option-label="label"
            option-value="field"
            fluid
            display="chip"
            aria-labelledby="roster-file-key"
          />
        </div>
        <div class="ends">
          <div>
            <label for="roster-until">All of it holds until</label>
            <DatePicker
              :model-value="fromIso(until)"
              date-format="d M yy"
              input-id="roster-until"
              show-button-bar
              placeholder="taken away"
              @update:model-value="until = $event instanceof Date ? toIso($event) : ''"
            />
          </div>
          <div v-if="!roster && untilChoices.length > 0">
            <label for="roster-file-until">Each row until the day in</label>
            <select
              id="roster-file-until"
              class="plain"
              :value="untilColumn ?? read.until"
              @change="untilColumn = ($event.target as HTMLSelectElement).value"
            >
              <option value="">no column</option>
              <option v-for="one in untilChoices" :key="one">{{ one }}</option>
            </select>
          </div>
        </div>
        <OpenDates v-if="read.openDates" @chosen="dates = $event" />
        <section aria-label="What is in the file">
          <p role="status">
            {{ read.format }}: <strong>{{ count(change.rows.length) }}</strong>
            {{ change.rows.length === 1 ? 'row' : 'rows'
            }}<template v-if="before"
              >, {{ count(joined) }} new; {{ count(left) }} of before are gone</template
            >.
            <template v-if="made?.incomplete">
              {{ count(made.incomplete) }} left out: a field is blank by which people are known.
            </template>
          </p>
          <p v-if="read.leftOut" class="notice">
            {{ count(read.leftOut) }}
            {{ read.leftOut === 1 ? 'row is left out, since it' : 'rows are left out, since they' }}
            cannot be read. {{ read.troubles[0] }}
          </p>
          <p v-if="key.length && change.rows.length === 0" class="notice">
            No row would be on it as it stands.
          </p>
          <table v-if="change.rows.length" class="on-sheet">
            <thead>
              <tr>
                <th v-for="field in key" :key="field">{{ fieldWords(field) }}</th>
                <th>until</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in change.rows.slice(0, 4)" :key="row.cells.join()">
                <td v-for="(cell, at) in row.cells" :key="at">
                  <Veiled :text="cell" :what="fieldWords(key[at] ?? '')" />
                </td>
                <td>{{ row.until }}</td>
              </tr>
            </tbody>
          </table>
        </section>
        <section v-if="roster" aria-label="What it does to lists">
          <p v-if="telling.problem.value" class="notice" role="alert">
            {{ telling.problem.value }}
          </p>
          <p v-else-if="!effects" class="quiet">Counting what it does to lists …</p>
          <p v-else-if="effects.length === 0" class="quiet">No set holds it.</p>
          <ul v-else>
            <li v-for="effect in effects" :key="effect.id + effect.name">
              <em>{{ effect.name }}</em>: {{ count(effect.joined) }} join,
              {{ count(effect.left) }} leave<template v-if="!effect.published">
                (not published yet)</template
              >
            </li>
          </ul>
        </section>
      </template>
    </div>
  </FormDialog>
</template>

<style scoped>
.from-file {
  display: grid;
  gap: 12px;
}

.ends > div {
  display: grid;
}

.ends {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
}
</style>
