<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { dayWords, timeWords } from '@/days'
import { Drop } from '@/people'
import { count } from '@/stick'
import { Veiled, VeiledWords } from '@/veil'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import { computed, ref, watch } from 'vue'
import { movesOf } from './moves'

/** The readings of a list, and who joined and left at one of them, each with why. */
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

const queries = useQueryClient()
const address = computed(() => `/api/lists/${encodeURIComponent(id)}/readings`)
const key = computed(() => ['lists', id, 'readings'])
const problem = ref('')
const taking = ref(false)
const chosen = ref<number>()

const { data: readings, error } = useQuery({
  queryKey: key,
  queryFn: () => send<Schemas['ReadingView'][]>(address.value),
  enabled: visible,
})
const opened = computed(
  () => readings.value?.find((one) => one.id === chosen.value) ?? readings.value?.[0],
)
const { data: changes, error: changesError } = useQuery({
  queryKey: computed(() => [...key.value, opened.value?.id]),
  queryFn: () =>
    send<Schemas['ChangeView'][]>(`${address.value}/${String(opened.value?.id)}/changes`),
  enabled: computed(() => visible.value && opened.value !== undefined),
})
const moves = computed(() => movesOf(changes.value ?? []))

watch(visible, () => {
  chosen.value = undefined
})

async function take() {
  taking.value = true
  try {
    const taken = await send<Schemas['ReadingView']>(address.value, { method: 'POST' })
    problem.value = ''
    await queries.invalidateQueries({ queryKey: key.value })
    chosen.value = taken.id
  } catch (failure) {
    problem.value = sentenceOf(failure)
  } finally {
    taking.value = false
  }
}

function whence(one: Schemas['ReadingView']): string {
  return one.occasion === 'RECORDS_CAME' ? 'when records came' : one.takenBy
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="`Readings of “${name}”`"
    :style="{ width: '1000px', maxWidth: '97vw' }"
  >
    <p v-if="problem || error || changesError" class="notice" role="alert">
      {{ problem || sentenceOf(error ?? changesError) }}
    </p>
    <div class="sides">
      <section aria-label="Readings">
        <Button
          v-if="mayChange"
          size="small"
          label="Take a reading now"
          :loading="taking"
          @click="take"
        />
        <p v-if="readings?.length === 0" class="quiet">
          None was taken yet. One is taken whenever records are brought in, or by hand; each is kept
          with who was on the list.
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
                {{ one.version }} · {{ whence(one) }}, {{ timeWords(one.takenAt) }}
              </span>
            </button>
          </li>
        </ol>
      </section>
      <section v-if="opened" aria-label="What changed at this reading" class="changes">
        <p v-if="opened === readings?.at(-1)" class="quiet">
          This is the first reading, so there is none to compare it with.
        </p>
        <p v-else-if="changes?.length === 0" class="quiet">
          Nobody’s place was another one than at the reading before.
        </p>
        <template v-for="move in moves" :key="move.name">
          <h3>{{ move.name }}: {{ count(move.changes.length) }}</h3>
          <ul>
            <li v-for="change in move.changes" :key="change.person.id">
              <Drop :outcome="change.nowIs" />
              <span>
                <Veiled :text="change.person.name" />
                <span v-if="change.person.age" class="quiet">, {{ change.person.age }}</span>
                <br />
                <span class="quiet">
                  <VeiledWords
                    :text="change.words"
                    :telling="[change.person.born, change.person.name, change.person.phone]"
                  />
                </span>
              </span>
            </li>
          </ul>
        </template>
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
  background: #efe7d4;
}

h3 {
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
