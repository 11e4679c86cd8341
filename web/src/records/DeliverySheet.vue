<script setup lang="ts">
import { json, send, sentenceOf, type Schemas } from '@/api/client'
import { timeWords } from '@/days'
import { DateOrder, ReadAs } from '@/files'
import { count } from '@/stick'
import Button from 'primevue/button'
import { computed, onMounted, onUnmounted, ref, shallowRef, watch } from 'vue'
import ColumnsTable from './ColumnsTable.vue'
import FirstRecords from './FirstRecords.vue'
import HowFar from './HowFar.vue'
import KeptOtherwise from './KeptOtherwise.vue'
import NeverSeen from './NeverSeen.vue'

import WhatChanges from './WhatChanges.vue'
import WhatIsWrong from './WhatIsWrong.vue'
import WhatItMeans from './WhatItMeans.vue'
import WhoseRows from './WhoseRows.vue'

import { isWorking, untilSettled, type DeliveryView } from './deliveries'
import {
  amount,
  kindOfRecords,
  withBlank,
  withDates,
  withDecimal,
  withKind,
  withTarget,
  withTranslation,
  type Intake,
  type Target,
} from './intake'

/** A file of another system: what it means, what it would change, what is wrong with it; taken or left. */
const { delivery } = defineProps<{ delivery: DeliveryView }>()
const emit = defineEmits<{ taken: []; left: []; working: [now: boolean] }>()

const KINDS = [
  'appointment',
  'contact',
  'document',
  'medication',
  'problem',
  'procedure',
  'result',
  'vaccination',
  'visit',
]

const view = shallowRef(delivery)
const refused = ref('')
const address = computed(() => `/api/deliveries/${delivery.id}` as const)
const found = computed(() => view.value.found)
const trial = computed(() => view.value.trial)
const intake = computed(() => view.value.intake as Intake | undefined)

const working = computed(() => isWorking(view.value.stage))
const open = computed(() => (view.value.stage === 'TRIED' || working.value) && found.value)
const decided = ref(new Set<string>())
const mayBeReadAnew = computed(() => view.value.stage !== 'TAKING' && view.value.stage !== 'TAKEN')
const questions = computed(() =>
  (found.value?.questions ?? []).filter((one) => !decided.value.has(one.what)),
)

watch(
  working,
  (now) => {
    emit('working', now)
  },
  { immediate: true },
)

let shown = true

onMounted(() => follow())
onUnmounted(() => {
  shown = false
})

async function follow(): Promise<void> {
  try {
    await untilSettled<DeliveryView>(
      address.value,
      (now) => {
        view.value = now
      },
      () => shown,
    )
  } catch (failure) {
    refused.value = sentenceOf(failure)
  }
}

async function mend(next: Intake, what = '') {
  if (working.value) {
    return
  }
  refused.value = ''
  try {
    view.value = await send<DeliveryView>(`${address.value}/intake`, json('PUT', next))
    if (what) {
      decided.value = new Set([...decided.value, what])
    }
    await follow()
  } catch (failure) {
    refused.value = sentenceOf(failure)
  }
}

function mendColumn(column: string, target: Target) {
  if (intake.value) {
    void mend(withTarget(intake.value, column, target), target === 'number' ? 'WHOSE' : '')
  }
}

/** Reads the file anew, from another sheet or in another encoding. */
async function readAs(wanted: Schemas['ReadingWanted']) {
  refused.value = ''
  decided.value = new Set()
  try {
    view.value = await send<DeliveryView>(`${address.value}/reading`, json('PUT', wanted))
    await follow()
  } catch (failure) {
    refused.value = sentenceOf(failure)
  }
}

function translate(ofPeople: boolean, field: string, word: string, to: string) {
  if (intake.value) {
    void mend(withTranslation(intake.value, ofPeople, field, word, to))
  }
}

async function take() {
  refused.value = ''
  try {
    view.value = await send<DeliveryView>(`${address.value}/take`, { method: 'POST' })
    await follow()
    if (view.value.stage === 'TAKEN') {
      emit('taken')
    }
  } catch (failure) {
    refused.value = sentenceOf(failure)
  }
}

async function leave() {
  try {
    await send(address.value, { method: 'DELETE' })
  } catch (failure) {
    refused.value = sentenceOf(failure)
    return
  }
  emit('left')
}

function counts(of: Schemas['CountsView']): string {
  return `${count(of.added)} new, ${count(of.changed)} changed, ${count(of.unchanged)} unchanged`
}
</script>

<template>
  <div class="sheet">
    <p v-if="refused" class="notice" role="alert">{{ refused }}</p>
    <div role="status">
      <p v-if="view.stage === 'READING'">Finding out what {{ view.fileName }} is …</p>
      <p v-else-if="view.stage === 'TRYING'">Trying {{ view.fileName }}; nothing is kept …</p>
      <p v-else-if="view.stage === 'TAKING'">Taking {{ view.fileName }} …</p>
      <template v-else-if="view.stage === 'TAKEN' && view.taken">
        <p>
          <strong>{{ view.fileName }} is in.</strong> People: {{ counts(view.taken.people) }}.
          Records: {{ counts(view.taken.events)
          }}<template v-if="view.trial?.badRows"
            >; {{ count(view.trial.badRows) }} rows left out</template
          ><template v-if="view.taken.gone"
            >; {{ count(view.taken.gone) }} people are not on file any more</template
          ><template v-if="view.taken.otherwise"
            >; {{ count(view.taken.otherwise) }} values stay as another source brought
            them</template
          >. The next file of this kind is known by its columns.
        </p>
        <p v-if="view.reason" class="notice">{{ view.reason }}</p>
      </template>
      <p v-else-if="view.stage === 'FAILED'" class="notice">
        <strong>{{ view.fileName }} cannot be taken.</strong> {{ view.reason }}
      </p>
    </div>

    <HowFar
      v-if="found && (view.stage === 'TRYING' || view.stage === 'TAKING')"
      :done="view.rowsRead"
      :of="found.rows"
    />

    <ReadAs
      v-if="mayBeReadAnew && found"
      :found="found.readAs"
      :working="working"
      @change="readAs"
    />

    <template v-if="open && found">
      <p>
        <strong>{{ view.fileName }}</strong>: {{ found.format
        }}<template v-if="found.headerLine">, header in line {{ found.headerLine }}</template
        >, {{ count(found.rows) }} {{ found.rows === 1 ? 'row' : 'rows' }}.
        <template v-if="found.known && intake">
          Known: it is read as <strong>{{ intake.name }}</strong>.
        </template>
      </p>

      <section v-if="questions.length && intake" class="questions" aria-label="To be said">
        <div v-for="question in questions" :key="question.what">
          <p>{{ question.said }}</p>
          <div class="buttons">
            <DateOrder
              v-if="question.what === 'DATE_ORDER'"
              :disabled="working"
              @chosen="mend(withDates(intake, $event), question.what)"
            />
            <template v-else-if="question.what === 'DECIMAL'">
              <Button
                size="small"
                outlined
                label="4,2 is four and two tenths"
                :disabled="working"
                @click="mend(withDecimal(intake, 'comma'), question.what)"
              />
              <Button
                size="small"
                outlined
                label="4.2 is"
                :disabled="working"
                @click="mend(withDecimal(intake, 'point'), question.what)"
              />
            </template>
            <template v-else-if="question.what === 'KIND'">
              <Button
                v-for="kind in KINDS"
                :key="kind"
                size="small"
                outlined
                :label="kind"
                :disabled="working"
                @click="mend(withKind(intake, kind), question.what)"
              />
            </template>
          </div>
        </div>
      </section>

      <div class="sides">
        <div>
          <section v-if="trial" aria-label="What taking it does">
            <h2>What taking it does</h2>
            <ul>
              <li v-if="intake?.people">People: {{ counts(trial.brought.people) }}</li>
              <li v-if="intake?.events?.length">
                Records<template v-if="kindOfRecords(intake)">
                  ({{ kindOfRecords(intake) }})</template
                >: {{ counts(trial.brought.events)
                }}<template v-if="trial.brought.unknownPeople"
                  >; of {{ count(trial.brought.unknownPeople) }} people who are not on file, kept
                  until they are</template
                >
              </li>
              <li v-if="trial.brought.changedFields.length">
                <WhatChanges :brought="trial.brought" />
              </li>
              <li v-if="trial.brought.gone" class="gone">
                {{ count(trial.brought.gone) }} people go off file
              </li>
              <li v-if="trial.brought.goneEvents" class="gone">
                {{ count(trial.brought.goneEvents) }} records go: their source no longer has them
              </li>
              <li v-for="effect in trial.effects" :key="effect.id + effect.name">
                <em>{{ effect.name }}</em>: {{ count(effect.joined) }} join,
                {{ count(effect.left) }} leave
              </li>
              <li v-if="trial.leftOut">
                {{ count(trial.leftOut) }} {{ trial.leftOut === 1 ? 'row is' : 'rows are' }} a total
                and no person's
              </li>
              <li v-if="trial.brought.erased">
                {{ count(trial.brought.erased) }} of people who were erased here: left out
              </li>
            </ul>
            <p v-if="trial.takenBefore" class="notice">
              This very file was taken before, {{ timeWords(trial.takenBefore) }}.
            </p>
            <NeverSeen :never-seen="trial.neverSeen" :working="working" @translate="translate" />
            <p v-for="strange in trial.strange" :key="strange" class="notice">{{ strange }}</p>
            <p v-if="!trial.good" class="notice">
              Nothing would come in: no row can be read as it stands. See what is wrong below.
            </p>
          </section>

          <p v-if="trial?.good && questions.length" class="quiet">Say first what is open above.</p>
          <div class="buttons">
            <Button
              v-if="view.stage === 'TRIED' && trial?.good && questions.length === 0"
              :label="`Take it: ${amount(trial.brought)}`"
              @click="take"
            />
            <Button v-if="!working" text label="Leave it" @click="leave" />
          </div>
          <WhoseRows v-if="trial" :trial="trial" />
          <KeptOtherwise v-if="trial" :brought="trial.brought" />
          <WhatIsWrong
            v-if="trial"
            :trial="trial"
            :intake="intake"
            :address="address"
            :working="working"
            @leave-blank="intake && mend(withBlank(intake, $event))"
          />
          <WhatItMeans v-if="intake" :intake="intake" :working="working" @mend="mend($event)" />
        </div>
        <ColumnsTable
          v-if="intake"
          :choices="found.choices"
          :intake="intake"
          :working="working"
          @mend="mendColumn"
        />
      </div>
      <FirstRecords v-if="trial?.first.length" :records="trial.first" />
    </template>

    <Button
      v-if="view.stage === 'TAKEN' || view.stage === 'FAILED'"
      size="small"
      :label="view.stage === 'TAKEN' ? 'Done' : 'Leave it'"
      @click="leave"
    />
  </div>
</template>

<style scoped>
.sheet {
  border-top: 1px solid var(--rule);
  margin-top: 10px;
}

/* Its parts look alike, whichever of them a file has. */
.sheet :deep(section) {
  margin-bottom: 12px;
}

.sheet :deep(ul) {
  margin: 4px 0 8px;
  padding-left: 18px;
}

.sheet :deep(table) {
  border-collapse: collapse;
}

.sheet :deep(:is(th, td)) {
  text-align: left;
  padding: 2px 14px 2px 0;
  border-bottom: 1px solid var(--hair);
}

.sheet :deep(.number) {
  text-align: right;
}

.sides {
  display: grid;
  grid-template-columns: minmax(280px, 4fr) minmax(0, 6fr);
  gap: 12px 36px;
  align-items: start;
}

@media (max-width: 900px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
}

.questions {
  border-left: 3px solid var(--amber);
  padding-left: 12px;
}

.gone {
  color: var(--brick);
}

.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 12px;
}
</style>
