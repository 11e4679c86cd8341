<script setup lang="ts">
import { answerOf, send, sentenceOf, type Schemas } from '@/api/client'
import { count } from '@/stick'
import Button from 'primevue/button'
import ProgressBar from 'primevue/progressbar'
import { computed, onMounted, ref, shallowRef, useTemplateRef } from 'vue'
import DeliverySheet from './DeliverySheet.vue'
import {
  kindOf,
  sendFile,
  together,
  untilSettled,
  type DeliveryView,
  type ImportView,
  type Step,
} from './imports'

/** Brings one file in: send it, see what is in it and what is wrong with it, take its good lines or none. */
const emit = defineEmits<{ taken: [] }>()

/** A bar for less would only flicker. */
const BAR_FROM_BYTES = 3_000_000
const HEADER_BYTES = 4096

const step = shallowRef<Step>({ at: 'nothing' })
const picker = useTemplateRef('picker')
const over = ref(false)
/** Whether the file names everybody, so that whoever is not in it goes off file. */
const everybody = ref(false)

const inside = computed(() => (step.value.at === 'inside' ? step.value.file : undefined))
const words = computed(() => (inside.value?.kind === 'PEOPLE' ? 'people' : 'records'))

/** A file of another system that is on its way in. */
const other = shallowRef<DeliveryView>()

/** A number with its noun: 1 good line, 2 good lines. */
function counted(number: number, noun: string): string {
  return `${count(number)} ${noun}${number === 1 ? '' : 's'}`
}

const bar = computed(() => {
  const now = step.value
  if (now.at === 'sending' && now.total > BAR_FROM_BYTES) {
    return { label: 'Sending', percent: (100 * now.sent) / now.total }
  }
  if (now.at === 'inside' && now.file.bytes > BAR_FROM_BYTES) {
    const label = { CHECKING: 'Reading through', TAKING: 'Taking' }[now.file.stage as string]
    return label && { label, percent: (100 * now.file.read) / now.file.bytes }
  }
  return undefined
})

/** Whether it can stand for everybody: nobody goes for a line that could not be read. */
const mayBeEverybody = computed(
  () => inside.value !== undefined && inside.value.absent > 0 && inside.value.badLines === 0,
)

function show(file: ImportView) {
  step.value = { at: 'inside', file }
}

/** Whether a file is on its way; another one waits for its end, so that neither is told of as the other. */
const busy = computed(
  () =>
    step.value.at === 'sending' ||
    inside.value?.stage === 'CHECKING' ||
    inside.value?.stage === 'TAKING',
)
const waits = ref('')

async function start(files: Iterable<File> | undefined | null) {
  const chosen = [...(files ?? [])]
  const file = together(chosen)
  if (!file) {
    waits.value = chosen.length
      ? 'Several files come in at once where they are of one export in FHIR, HL7, vCard or iCalendar. Bring in others one by one; none was sent.'
      : ''
    return
  }
  if (busy.value) {
    waits.value = `One file after another: ${file.name} was not sent. Bring it in once this one is through.`
    return
  }
  waits.value = ''
  step.value = { at: 'sending', name: file.name, sent: 0, total: file.size }
  other.value = undefined
  everybody.value = false
  try {
    const kind = kindOf((await file.slice(0, HEADER_BYTES).text()).split(/\r?\n/, 1)[0] ?? '')
    const name = encodeURIComponent(file.name)
    const progress = (bytes: number) => {
      step.value = { at: 'sending', name: file.name, sent: bytes, total: file.size }
    }
    if (kind === 'OTHER') {
      const sent = await sendFile<DeliveryView>(file, `/api/deliveries?name=${name}`, progress)
      step.value = { at: 'nothing' }
      other.value = sent
    } else {
      const sent = await sendFile<ImportView>(
        file,
        `/api/imports?kind=${kind}&name=${name}`,
        progress,
      )
      await untilSettled(`/api/imports/${sent.id}`, show)
    }
  } catch (failure) {
    step.value = { at: 'refused', reason: sentenceOf(failure) }
  } finally {
    if (picker.value) {
      picker.value.value = ''
    }
  }
}

async function take() {
  const file = inside.value
  if (!file) {
    return
  }
  try {
    const whole = everybody.value && mayBeEverybody.value
    show(
      await send<ImportView>(`/api/imports/${file.id}/take?everybody=${String(whole)}`, {
        method: 'POST',
      }),
    )
    const settled = await untilSettled(`/api/imports/${file.id}`, show)
    if (settled.stage === 'TAKEN') {
      emit('taken')
    }
  } catch (failure) {
    step.value = { at: 'refused', reason: sentenceOf(failure) }
  }
}

async function leave() {
  const file = inside.value
  step.value = { at: 'nothing' }
  if (file) {
    try {
      await send(`/api/imports/${file.id}`, { method: 'DELETE' })
    } catch (failure) {
      step.value = { at: 'refused', reason: sentenceOf(failure) }
    }
  }
}

const samples = shallowRef<Schemas['SampleView'][]>([])

onMounted(async () => {
  try {
    samples.value = await send<Schemas['SampleView'][]>('/api/deliveries/samples')
  } catch {
    // Without them nothing is missing: they are there to try things with.
    samples.value = []
  }
})

async function trySample(name: string) {
  try {
    const answer = await answerOf(`/api/deliveries/samples/${encodeURIComponent(name)}`)
    await start([new File([await answer.blob()], name)])
  } catch (failure) {
    step.value = { at: 'refused', reason: sentenceOf(failure) }
  }
}

function dropped(event: DragEvent) {
  over.value = false
  void start(event.dataTransfer?.files)
}
</script>

<template>
  <section
    class="import"
    :class="{ over }"
    aria-label="Bring a file in"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="dropped"
  >
    <div class="pick">
      <label for="file">Bring a file in, as any of your systems writes it</label>
      <input
        id="file"
        ref="picker"
        type="file"
        multiple
        accept=".csv,.tsv,.txt,.xlsx,.ods,.json,.ndjson,.hl7,.vcf,.ics,.gz,.zip,text/csv"
        @change="start(picker?.files)"
      />
      <span class="quiet">
        or drop the file here. Nothing is taken before you have seen what is in it.
      </span>
    </div>

    <p v-if="samples.length" class="quiet samples">
      Try it with these:
      <template v-for="(sample, i) in samples" :key="sample.name"
        ><template v-if="i">, </template
        ><button type="button" class="word" @click="trySample(sample.name)">
          {{ sample.name }}
        </button>
        ({{ sample.what }})</template
      >
    </p>

    <ProgressBar v-if="bar" :value="Math.round(bar.percent)" :aria-label="bar.label" />
    <p v-else-if="step.at === 'sending'" role="status">Sending {{ step.name }} …</p>
    <p v-if="step.at === 'refused'" class="notice" role="alert">{{ step.reason }}</p>

    <p v-if="waits" class="notice" role="alert">{{ waits }}</p>

    <DeliverySheet
      v-if="other"
      :key="other.id"
      :delivery="other"
      @taken="emit('taken')"
      @left="other = undefined"
    />

    <div v-if="inside" class="report" role="status">
      <p v-if="inside.stage === 'CHECKING'">Reading {{ inside.fileName }} through …</p>
      <p v-else-if="inside.stage === 'TAKING'">Taking {{ inside.fileName }} …</p>
      <p v-else-if="inside.stage === 'FAILED'" class="notice">{{ inside.reason }}</p>

      <template v-else-if="inside.stage === 'TAKEN'">
        <p>
          <strong>{{ inside.fileName }} is in.</strong>
          {{ count(inside.newRows) }} {{ words }} were new, {{ count(inside.changedRows) }} changed,
          {{ count(inside.unchangedRows) }} unchanged<template v-if="inside.badLines"
            >; {{ counted(inside.badLines, 'bad line') }} left out</template
          ><template v-if="inside.goneRows"
            >; {{ count(inside.goneRows) }}
            {{ inside.goneRows === 1 ? 'person is' : 'people are' }} not on file any more</template
          >.
        </p>
        <p v-if="inside.reason" class="notice">{{ inside.reason }}</p>
        <p v-if="inside.unknownPeople">
          Records of {{ count(inside.unknownPeople) }} people who are not on file are kept; they
          count once these people are brought in.
        </p>
        <Button label="Done" size="small" @click="leave" />
      </template>

      <template v-else>
        <p v-if="inside.unreadable" class="notice">
          <strong>{{ inside.fileName }} cannot be taken.</strong>
          {{ inside.problems.at(-1)?.reason }}
          <template v-if="(inside.problems.at(-1)?.line ?? 1) > 1"
            >(line {{ inside.problems.at(-1)?.line }})</template
          >
          Nothing was changed.
        </p>
        <p v-else>
          <strong>{{ inside.fileName }}</strong> holds
          {{ counted(inside.goodRows, 'good line') }} of {{ words
          }}<template v-if="inside.badLines"
            >, and {{ counted(inside.badLines, 'bad one') }}</template
          >.
        </p>
        <table
          v-if="inside.problems.length && !(inside.unreadable && inside.problems.length === 1)"
        >
          <caption class="visually-hidden">
            What is wrong
          </caption>
          <thead>
            <tr>
              <th>Line</th>
              <th>Column</th>
              <th>What is wrong</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(problem, i) in inside.problems" :key="i">
              <td>{{ problem.line }}</td>
              <td>{{ problem.column }}</td>
              <td>{{ problem.reason }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="inside.badLines > inside.problems.length" class="quiet">
          These are the first of them.
          <a :href="`/api/imports/${inside.id}/problems`" download>Download all bad lines</a>
        </p>
        <p v-if="inside.erased" class="quiet">
          {{ counted(inside.erased, 'line') }} of people who were erased here: left out, whatever
          you take.
        </p>
        <label v-if="mayBeEverybody" class="everybody">
          <input v-model="everybody" type="checkbox" />
          This file names everybody: the
          {{ inside.absent === 1 ? 'person' : `${count(inside.absent)} people` }} on file who
          {{ inside.absent === 1 ? 'is' : 'are' }} not in it
          {{ inside.absent === 1 ? 'goes' : 'go' }} off file. What was recorded and logged of them
          is kept, and counts again if they come back.
        </label>
        <p
          v-else-if="inside.kind === 'PEOPLE' && inside.absent && !inside.unreadable"
          class="quiet"
        >
          {{ count(inside.absent) }} people on file are not in this file. They stay; a file with a
          bad line cannot stand for everybody.
        </p>
        <div class="buttons">
          <Button
            v-if="!inside.unreadable && inside.goodRows > 0"
            :label="
              inside.badLines
                ? `Take the ${counted(inside.goodRows, 'good line')}`
                : `Take all ${counted(inside.goodRows, 'line')}` +
                  (everybody && mayBeEverybody ? `, ${count(inside.absent)} off file` : '')
            "
            @click="take"
          />
          <Button text label="Take none" @click="leave" />
        </div>
      </template>
    </div>
  </section>
</template>

<style scoped>
/* What stands over two lines is far enough apart to be pressed. */
.samples {
  line-height: 30px;
}

.import {
  border: 1px dashed var(--soft-ink);
  background: var(--sheet);
  padding: 12px 16px;
  margin-bottom: 16px;
}

.import.over {
  border-color: var(--verdigris);
  background: #e4efec;
}

.pick {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}

label {
  font-weight: 600;
}

input::file-selector-button {
  font: inherit;
  color: var(--paper);
  background: var(--verdigris);
  border: 0;
  border-radius: 3px;
  padding: 5px 10px;
  margin-right: 8px;
  cursor: pointer;
}

.everybody {
  display: block;
  margin-bottom: 8px;
  font-weight: 400;
}

.report {
  border-top: 1px solid var(--rule);
  margin-top: 10px;
}

table {
  border-collapse: collapse;
  display: block;
  max-height: 260px;
  overflow: auto;
  margin-bottom: 10px;
}

th,
td {
  text-align: left;
  padding: 2px 14px 2px 0;
  border-bottom: 1px solid #eee5d2;
  vertical-align: top;
}

[role='progressbar'] {
  margin: 8px 0;
}

.buttons {
  display: flex;
  gap: 8px;
}
</style>
