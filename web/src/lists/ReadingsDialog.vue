<script setup lang="ts">
import { Dialog } from '@/controls'
import { useNumberInAddress } from '@/address'
import { send, sentenceOf, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import { dayWords, lapseWords, timeWords } from '@/days'
import { Drop } from '@/people'
import { count } from '@/stick'
import { Veiled, VeiledWords } from '@/veil'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, watch } from 'vue'
import { movesOf } from './moves'
import ReadingLevels from './ReadingLevels.vue'
import ReadingPlan from './ReadingPlan.vue'
import { turnedWords } from './readingPlan'

type Reading = Schemas['ReadingView']

/** The readings of a list; any two of them are compared: who joined, left and stayed, each with why. */
const visible = defineModel<boolean>('visible', { required: true })
const {
  id,
  name,
  mayChange = false,
} = defineProps<{
  id: string
  name: string
  mayChange?: boolean
}>()

const OUTCOMES = { ON: 'YES', CHECK: 'UNSURE', OFF: 'NO' } as const
const OCCASIONS: Record<Reading['occasion'], string> = {
  BY_HAND: '',
  RECORDS_CAME: 'when records came',
  PUBLISHED: 'when it was published',
  SCHEDULED: 'at its time',
  DIALS_TURNED: 'when its dials were turned',
}

const queries = useQueryClient()
const address = computed(() => `/api/lists/${encodeURIComponent(id)}` as const)
const key = computed(() => ['lists', id, 'readings'])
const { save, saving: taking, problem } = useSaving(() => id)
const chosen = useNumberInAddress('reading')
const beside = useNumberInAddress('beside')

const { data: readings, error } = useQuery({
  queryKey: key,
  queryFn: () => send<Reading[]>(`${address.value}/readings`),
  enabled: visible,
})
const opened = computed(
  () => readings.value?.find((one) => one.id === chosen.value) ?? readings.value?.[0],
)
/** The one that is compared with: the one before, unless another is chosen. */
const other = computed(() => {
  const all = readings.value ?? []
  const index = all.findIndex((one) => one.id === opened.value?.id)
  return all.find((one) => one.id === beside.value && one.id !== opened.value?.id) ?? all[index + 1]
})
const { data: compared, error: comparedError } = useQuery({
  queryKey: computed(() => [...key.value, other.value?.id, opened.value?.id]),
  queryFn: () =>
    send<Schemas['ReadingsCompared']>(
      `${address.value}/readings-compared?from=${String(other.value?.id)}&to=${String(opened.value?.id)}`,
    ),
  enabled: computed(() => visible.value && opened.value !== undefined && other.value !== undefined),
})
const moves = computed(() => movesOf(compared.value?.people ?? []))
const stayed = computed(() =>
  (compared.value?.people ?? []).filter((one) => one.was === one.nowIs && one.nowIs !== 'OFF'),
)
const excused = computed(() =>
  (compared.value?.people ?? []).filter((one) => one.excused !== undefined),
)

watch(visible, () => {
  chosen.value = undefined
  beside.value = undefined
})

async function take() {
  await save(
    () => send<Reading>(`${address.value}/readings`, { method: 'POST' }),
    (taken) => {
      chosen.value = taken.id
    },
  )
  await queries.invalidateQueries({ queryKey: key.value })
}

function whence(one: Reading): string {
  return OCCASIONS[one.occasion] || one.takenBy
}

/** What is different of somebody who stayed. */
function differs(one: Schemas['Moved']): string {
  const due = (iso: string) => lapseWords(iso) || 'no due date'
  return [
    one.dueWas === one.dueIs ? '' : `due ${due(one.dueWas)}, now ${due(one.dueIs)}`,
    one.bandWas === one.bandIs ? '' : `${one.bandWas || 'no band'}, now ${one.bandIs || 'no band'}`,
  ]
    .filter((words) => words !== '')
    .join('; ')
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="`Readings of “${name}”`"
    :style="{ width: '1040px', maxWidth: '97vw' }"
  >
    <p v-if="problem || error || comparedError" class="notice" role="alert">
      {{ problem || sentenceOf(error ?? comparedError) }}
    </p>
    <ReadingPlan :id="id" :may-change="mayChange" />
    <div class="sides">
      <section aria-label="Readings">
        <Button
          v-if="mayChange"
          size="small"
          label="Take a reading now"
          :loading="taking"
          @click="take"
        />
        <p v-if="!readings && !error" class="quiet">The readings are being fetched.</p>
        <p v-if="readings?.length === 0" class="quiet">
          None was taken yet. One is taken whenever records are brought in, at its time, or by hand;
          each is kept with who was on the list.
        </p>
        <ol>
          <li v-for="one in readings" :key="one.id">
            <button class="reading" :aria-pressed="one.id === opened?.id" @click="chosen = one.id">
              <strong>{{ dayWords(one.asOf) }}</strong>
              <span>
                {{ count(one.onList) }} on the list<template v-if="one.toCheck"
                  >, {{ count(one.toCheck) }} to check</template
                >
              </span>
              <span class="quiet">
                {{ count(one.joined) }} joined, {{ count(one.gone) }} left · version
                {{ one.version }} · {{ whence(one) }}, {{ timeWords(one.takenAt)
                }}<template v-if="Object.keys(one.turned).length">
                  · {{ turnedWords(one.turned) }}</template
                >
              </span>
            </button>
          </li>
        </ol>
      </section>
      <section v-if="opened" aria-label="What changed at this reading" class="changes">
        <p v-if="!other" class="quiet">
          This is the first reading, so there is none to compare it with.
        </p>
        <p v-else class="beside">
          <label for="beside">{{ dayWords(opened.asOf) }} compared with</label>
          <select
            id="beside"
            class="plain"
            :value="other.id"
            @change="beside = Number(($event.target as HTMLSelectElement).value)"
          >
            <option
              v-for="one in readings?.filter((reading) => reading.id !== opened?.id)"
              :key="one.id"
              :value="one.id"
            >
              {{ timeWords(one.takenAt) }}
            </option>
          </select>
        </p>
        <ReadingLevels :key="opened.id" :list="id" :reading="opened.id" />
        <p v-if="compared && moves.length === 0" class="quiet">
          Nobody’s place was another one than at that reading.
        </p>
        <template v-for="move in moves" :key="move.name">
          <h2>{{ move.name }}: {{ count(move.people.length) }}</h2>
          <ul>
            <li v-for="one in move.people" :key="one.person.id">
              <Drop :outcome="OUTCOMES[one.nowIs]" />
              <span>
                <Veiled :text="one.person.name" />
                <span v-if="one.person.age" class="quiet">, {{ one.person.age }}</span>
                <br />
                <span class="quiet">
                  <VeiledWords
                    :text="one.words"
                    :telling="[one.person.born, one.person.name, one.person.phone]"
                  />
                </span>
              </span>
            </li>
          </ul>
        </template>
        <template v-if="excused.length">
          <h2>Excused since: {{ count(excused.length) }}</h2>
          <ul>
            <li v-for="one in excused" :key="one.person.id">
              <Drop :outcome="OUTCOMES[one.nowIs]" />
              <span
                ><Veiled :text="one.person.name" /><br /><span class="quiet">{{
                  one.excused
                }}</span></span
              >
            </li>
          </ul>
        </template>
        <details v-if="stayed.length">
          <summary>Stayed: {{ count(stayed.length) }}</summary>
          <ul>
            <li v-for="one in stayed" :key="one.person.id">
              <Drop :outcome="OUTCOMES[one.nowIs]" />
              <span
                ><Veiled :text="one.person.name" />
                <span class="quiet">{{ differs(one) }}</span></span
              >
            </li>
          </ul>
        </details>
      </section>
    </div>
  </Dialog>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: 400px minmax(0, 1fr);
  gap: 18px;
}

ol,
ul {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}

section {
  max-height: 60vh;
  overflow: auto;
}

.reading {
  display: grid;
  gap: 1px;
  width: 100%;
  padding: 5px 9px;
  border: 0;
  border-bottom: 1px solid var(--rule);
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}

.reading[aria-pressed='true'] {
  background: var(--pressed);
}

.beside {
  display: flex;
  align-items: center;
  gap: 8px;
  margin: 0;
}

summary {
  cursor: pointer;
  font-weight: 600;
  margin-top: 8px;
}

h2 {
  margin: 6px 0 0;
  font-size: 1em;
}

.changes li {
  display: flex;
  gap: 7px;
  align-items: baseline;
  padding: 3px 0;
}
</style>
