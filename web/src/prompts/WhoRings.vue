<script setup lang="ts">
import { Dialog } from '@/controls'
import { send, sentenceOf, type Schemas } from '@/api/client'
import { useFinding } from '@/api/finding'
import { LIMITS, PARAMETERS } from '@/api/limits'
import { sendWork, workOf } from '@/api/work'
import { dueWords } from '@/days'
import { count } from '@/stick'
import { Veiled, VeiledWords } from '@/veil'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import InputText from 'primevue/inputtext'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { RouterLink } from 'vue-router'
import DismissDialog from './DismissDialog.vue'
import { useDismissing } from './useDismissing'

type DueOn = Schemas['DueOn']

/** Who rings or walks in: found on one’s lists, with what is due and what to say, and logged at once. */
const visible = defineModel<boolean>('visible', { required: true })

const queries = useQueryClient()
const person = ref('')
const list = ref('')
const note = ref('')
const everywhere = ref(true)
const logging = ref(false)
const told = ref('')
const problem = ref('')
const results = useTemplateRef('results')

const {
  typed,
  nothingTyped,
  people,
  now: foundNow,
  problem: notFound,
} = useFinding('/api/who', ['prompts', 'found'], visible)

const { data: rings, error: ringsError } = useQuery({
  queryKey: computed(() => ['prompts', 'who', person.value]),
  queryFn: () => send<Schemas['WhoRings']>(`/api/who/${encodeURIComponent(person.value)}`),
  enabled: computed(() => visible.value && person.value !== ''),
})
const theirs = computed(() => (rings.value?.person.id === person.value ? rings.value : undefined))
const telling = computed(() => {
  const one = theirs.value?.person
  return one ? [one.born, one.name, one.phone] : []
})
/** A talk is logged on a list that they are on for certain; on others it is looked at. */
const chosen = computed(
  () => theirs.value?.lists.find((one) => one.place.set === list.value) ?? theirs.value?.lists[0],
)

const { dismiss, tellAgain } = useDismissing()
const dismissed = ref<DueOn>()
const dismissing = computed({
  get: () => dismissed.value !== undefined,
  set: (open: boolean) => {
    if (!open) {
      dismissed.value = undefined
    }
  },
})

watch(visible, (shown) => {
  if (shown) {
    typed.value = ''
    open('')
  }
})

function open(id: string) {
  firstWanted.value = false
  person.value = id
  list.value = ''
  note.value = ''
  everywhere.value = true
  told.value = ''
  problem.value = ''
}

/** The first who is found, where somebody types and presses Enter; once it is known who that is. */
const firstWanted = ref(false)

watch([foundNow, firstWanted], ([now, wanted]) => {
  if (now && wanted) {
    const first = now.people[0]
    open(first?.id ?? '')
  }
})

/** Goes from line to line, and from the first one back to what is typed. */
function step(event: KeyboardEvent, by: 1 | -1) {
  const lines = [...(results.value?.querySelectorAll<HTMLElement>('button') ?? [])]
  const next = lines[lines.indexOf(event.target as HTMLElement) + by]
  event.preventDefault()
  ;(next ?? (by < 0 ? document.getElementById('who-rings') : null))?.focus()
}

async function log(outcome: Schemas['AttemptOutcome']) {
  const on = chosen.value
  const id = person.value
  if (!on || logging.value) {
    return
  }
  logging.value = true
  problem.value = ''
  try {
    const answer = await sendWork(on.place.set, {
      ...workOf('ATTEMPT', {
        outcome: outcome.id,
        words: note.value.trim(),
        everywhere: everywhere.value && (theirs.value?.lists.length ?? 0) > 1,
      }),
      people: [{ person: id, revision: on.place.revision }],
    })
    if (person.value === id) {
      problem.value = answer.refused[0]?.why ?? ''
      told.value = answer.done.length > 0 ? `Logged on ${on.place.name}: ${outcome.name}.` : ''
      note.value = answer.done.length > 0 ? '' : note.value
    }
  } catch (failure) {
    if (person.value === id) {
      problem.value = sentenceOf(failure)
    }
  } finally {
    logging.value = false
    await queries.invalidateQueries({ queryKey: ['prompts'] })
    await queries.invalidateQueries({ queryKey: ['lists', on.place.set, 'desk'] })
  }
}

function saveDismissal(reason: string, until: string) {
  if (dismissed.value) {
    void dismiss(dismissed.value.place.set, person.value, reason, until)
  }
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    header="Who is it?"
    position="top"
    :style="{ width: '760px', maxWidth: '97vw' }"
  >
    <InputText
      id="who-rings"
      v-model="typed"
      autofocus
      fluid
      :maxlength="PARAMETERS['GET /api/who'].find.maxLength"
      autocomplete="off"
      placeholder="Name, birth date, or phone"
      aria-label="Find who rings or walks in"
      @keydown.down="step($event, 1)"
      @keydown.enter.prevent="firstWanted = true"
      @update:model-value="open('')"
    />
    <p v-if="notFound" class="notice" role="alert">{{ notFound }}</p>
    <template v-if="person === ''">
      <p class="quiet" role="status">
        <template v-if="nothingTyped">The people of the lists that you work.</template>
        <template v-else-if="foundNow?.total === 0"
          >Nobody on a list of yours; nothing is due by them.</template
        >
        <template v-else-if="foundNow && people.length < foundNow.total"
          >The first {{ people.length }} of {{ count(foundNow.total) }}; type more of it.</template
        >
        <template v-else-if="foundNow">{{ count(foundNow.total) }} found</template>
        <template v-else-if="!notFound">Looking …</template>
      </p>
      <ol
        ref="results"
        class="found"
        @keydown.down="step($event, 1)"
        @keydown.up="step($event, -1)"
      >
        <li v-for="one in people" :key="one.id">
          <button class="person-row" @click="open(one.id)">
            <span><Veiled :text="one.name" /></span>
            <span class="quiet"><Veiled :text="one.born" what="birth date" /></span>
            <span class="quiet"><Veiled :text="one.phone" what="phone" /></span>
          </button>
        </li>
      </ol>
    </template>
    <template v-else>
      <p v-if="ringsError" class="notice" role="alert">{{ sentenceOf(ringsError) }}</p>
      <p v-else-if="!theirs" class="quiet">What is due is being read.</p>
      <section v-if="theirs" aria-label="What is due">
        <h2>
          <Veiled :text="theirs.person.name" />
          <span class="quiet"
            >{{ theirs.person.age }}, born <Veiled :text="theirs.person.born" what="birth date"
          /></span>
          <span class="quiet"><Veiled :text="theirs.person.phone" what="phone" /></span>
          <span class="quiet">{{ theirs.person.provider }}</span>
        </h2>
        <p v-if="theirs.person.doNotContact" class="notice">Asked not to be contacted.</p>
        <ul class="due">
          <li v-for="one in theirs.lists" :key="one.place.set">
            <p v-if="one.say && !one.place.keptBack && !one.place.toCheck && !one.dismissed">
              <strong>“{{ one.say }}”</strong>
            </p>
            <p>
              <RouterLink
                :to="{ path: `/lists/${encodeURIComponent(one.place.set)}`, query: { person } }"
                @click="visible = false"
                >{{ one.place.name }}</RouterLink><template v-if="one.place.toCheck"
                >, to check</template
              >:
              <VeiledWords :text="one.place.why" :telling="telling" />
              <span class="quiet beside">{{ dueWords(one.place.due) }}</span>
            </p>
            <p v-if="one.place.keptBack" class="quiet">{{ one.place.keptBack }}</p>
            <p v-if="one.place.inHandOf" class="quiet">
              {{ one.place.inHandOf }} has this person in hand.
            </p>
            <p v-if="one.dismissed" class="quiet">
              Not to be mentioned {{ one.dismissed }}
              <button class="word" @click="tellAgain(one.place.set, one.dismissal ?? 0)">
                Mention it again
              </button>
            </p>
            <button
              v-else-if="!one.place.toCheck && !one.place.keptBack"
              class="word"
              @click="dismissed = one"
            >
              Not for a while…
            </button>
          </li>
        </ul>
        <p v-if="problem" class="notice" role="alert">{{ problem }}</p>
        <p v-if="told" role="status">
          {{ told }} <span class="quiet">Undo it at the desk of the list.</span>
        </p>
        <h3>What came of it</h3>
        <p v-if="theirs.lists.length > 1" class="where">
          on
          <select v-model="list" class="plain" aria-label="List on which it is logged">
            <option
              v-for="(one, i) in theirs.lists"
              :key="one.place.set"
              :value="i === 0 ? '' : one.place.set"
            >
              {{ one.place.name }}
            </option>
          </select>
          <label
            ><input v-model="everywhere" type="checkbox" /> one talk settles the other lists
            too</label
          >
        </p>
        <InputText
          v-model="note"
          fluid
          :maxlength="LIMITS.Work.words.maxLength"
          placeholder="Note"
          aria-label="Note"
        />
        <div class="outcomes">
          <button
            v-for="outcome in theirs.outcomes"
            :key="outcome.id"
            class="outcome"
            :disabled="logging"
            @click="log(outcome)"
          >
            {{ outcome.name }}
          </button>
        </div>
      </section>
    </template>
    <DismissDialog
      v-model:visible="dismissing"
      :list="dismissed?.place.name ?? ''"
      @dismiss="saveDismissal"
    />
  </Dialog>
</template>

<style scoped>
p {
  margin: 4px 0;
}

h2 {
  margin: 10px 0 6px;
}

h2 .quiet {
  font-weight: 400;
}

h2 .quiet,
.beside {
  margin-left: 8px;
}

h3 {
  margin: 10px 0 4px;
  font-size: 1em;
}

.found,
.due {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 44vh;
  overflow: auto;
}

.person-row {
  grid-template-columns: 1fr 110px 130px;
}

.due li {
  padding: 4px 10px;
  margin: 4px 0;
  border-left: 3px solid var(--amber);
  background: var(--paper);
}

.where {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 10px;
}

.outcomes {
  margin-top: 6px;
}
</style>
