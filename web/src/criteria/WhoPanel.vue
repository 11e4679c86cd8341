<script setup lang="ts">
import { useInAddress } from '@/address'
import { sendJson, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { PersonPanel } from '@/people'
import { count } from '@/stick'
import Button from 'primevue/button'
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue'
import type { Draft } from './levels'
import { termSetsOf, type JsonObject } from './document'
import NearList from './NearList.vue'
import RecordMenu from './RecordMenu.vue'
import WhoList from './WhoList.vue'
import { HAS, nearBehind, ON_LIST, sameBehind, TO_CHECK, type Behind } from './who'

/** The people behind a number, and one of them opened beside the sheet. */
const { draft, behind, levels, stuck, asOf } = defineProps<{
  draft: Draft
  behind: Behind
  levels: Schemas['Levels'] | undefined
  /** Whether there are no levels until somebody mends the set. */
  stuck: boolean
  asOf: string
}>()
const emit = defineEmits<{
  who: [behind: Behind]
  /** What a record of the opened person teaches the set. */
  counts: [member: JsonObject, termSet: string | undefined]
  exempt: [member: JsonObject, name: string, kind: string]
}>()

const termSets = computed(() => termSetsOf(draft.document))

type Line = Schemas['Line']

const people = shallowRef<Line[]>([])
/** Nothing until it is known. */
const total = ref<number>()
/** What the set shows of each besides. */
const show = shallowRef<readonly Schemas['ShownColumn'][]>([])
/** How many of those on the list the set shows. */
const top = ref<number>()
const after = ref<string>()
const person = shallowRef<Schemas['PersonView']>()
/** Who is open; nobody where it is empty. */
const personId = useInAddress('person')
const opened = useTemplateRef('opened')

const crossings = shallowRef<Schemas['Crossing'][]>([])

const tabs = computed<{ behind: Behind; count?: number }[]>(() => [
  { behind: ON_LIST, count: levels?.list.yes },
  { behind: TO_CHECK, count: levels?.list.unsure },
  { behind: HAS, count: levels?.has.yes },
  { behind: nearBehind(behind.criterion) },
])

const listing = useNewest()
const opening = useNewest()
const problem = computed(() => listing.problem.value || opening.problem.value)

function load(from?: string): Promise<void> {
  const { part, criterion, band } = behind
  if (part === 'NEAR') {
    return listing.ask(
      (signal) =>
        sendJson<Schemas['NearPage']>('POST', '/api/bench/near', { draft, criterion }, { signal }),
      (near) => {
        crossings.value = near.crossings
        people.value = near.crossings.map(({ person }) => ({ person, why: '', shown: [] }))
        total.value = near.total
        top.value = undefined
        after.value = undefined
      },
    )
  }
  return listing.ask(
    (signal) =>
      sendJson<Schemas['WhoPage']>(
        'POST',
        '/api/bench/who',
        { draft, part, criterion, band, after: from },
        { signal },
      ),
    (page) => {
      people.value = from ? [...people.value, ...page.people] : page.people
      total.value = page.total
      show.value = page.show
      top.value = page.top
      after.value = page.after
    },
  )
}

async function open(id: string) {
  personId.value = id
  await opening.ask(
    (signal) =>
      sendJson<Schemas['PersonView']>(
        'POST',
        '/api/bench/person',
        { draft, person: id },
        { signal },
      ),
    (view) => {
      const isFirst = person.value === undefined
      person.value = view
      if (isFirst) {
        // From here the arrow keys go on to the next person.
        void nextTick(() => opened.value?.focus())
      }
    },
  )
}

function close() {
  opening.forget()
  person.value = undefined
  personId.value = ''
}

/** Closes the person and goes back to their line. */
function back() {
  const id = personId.value
  close()
  void nextTick(() => {
    document.querySelector<HTMLElement>(`[data-person="${CSS.escape(id)}"]`)?.focus()
  })
}

const index = computed(() => people.value.findIndex((one) => one.person.id === personId.value))

function step(by: 1 | -1) {
  const next = people.value[index.value + by]
  if (next) {
    void open(next.person.id)
  }
}

function onKey(event: KeyboardEvent) {
  if (!person.value || event.target instanceof HTMLInputElement) {
    return
  }
  if (event.key === 'Escape') {
    back()
  } else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
    event.preventDefault()
    step(event.key === 'ArrowDown' ? 1 : -1)
  }
}

// What comes after those who stand there is of the criteria by which they were listed.
watch(
  () => draft,
  () => {
    after.value = undefined
  },
  { flush: 'sync' },
)

// The list follows the levels: when they are new, so are the people behind a number.
watch(
  () => [levels, behind] as const,
  ([shown], old) => {
    // Of another number, or another set: those who are behind it are not known yet.
    if (!shown || old?.[1] !== behind) {
      listing.forget()
      people.value = []
      total.value = undefined
      after.value = undefined
      // Whoever the address names from the start stays open.
      if (old) {
        close()
      }
    }
    if (shown) {
      void load()
      if (personId.value) {
        void open(personId.value)
      }
    }
  },
  { immediate: true },
)
</script>

<template>
  <aside class="who" aria-label="Who" @keydown="onKey">
    <nav class="tabs one-of" aria-label="People">
      <button
        v-for="tab in tabs"
        :key="tab.behind.part"
        :aria-pressed="sameBehind(tab.behind, behind)"
        @click="emit('who', tab.behind)"
      >
        {{ tab.behind.title }}
        <strong v-if="tab.count !== undefined">{{ count(tab.count) }}</strong>
      </button>
    </nav>

    <p v-if="problem" class="notice" role="alert">{{ problem }}</p>

    <div v-if="person" ref="opened" class="opened" tabindex="-1">
      <div class="steps">
        <Button size="small" text icon="pi pi-arrow-left" label="Back" @click="back" />
        <span v-if="total === undefined" class="quiet" role="status">Looking …</span>
        <span v-else-if="index < 0" class="quiet"
          >not among the {{ count(people.length) }} listed here</span
        >
        <span v-else class="quiet"
          >{{ index + 1 }} of {{ count(total) }}, arrow keys for the next</span
        >
        <Button
          size="small"
          text
          icon="pi pi-chevron-up"
          aria-label="Previous person"
          :disabled="index <= 0"
          @click="step(-1)"
        />
        <Button
          size="small"
          text
          icon="pi pi-chevron-down"
          aria-label="Next person"
          :disabled="index >= people.length - 1"
          @click="step(1)"
        />
      </div>
      <PersonPanel :view="person" :as-of="asOf">
        <template #record="{ record }">
          <RecordMenu
            :record="record"
            :term-sets="termSets"
            @counts="(member, termSet) => emit('counts', member, termSet)"
            @exempt="(member, name, kind) => emit('exempt', member, name, kind)"
          />
        </template>
      </PersonPanel>
    </div>

    <template v-else>
      <h2 class="title">
        {{ behind.title }}<template v-if="total !== undefined">: {{ count(total) }}</template>
      </h2>
      <p v-if="stuck" class="quiet empty">
        Who it is, is known once the mistake that is pointed out is mended.
      </p>
      <p v-else-if="total === undefined" class="quiet empty" role="status">
        {{ problem ? '' : 'Looking …' }}
      </p>
      <p v-else-if="total === 0" class="quiet empty">Nobody.</p>
      <NearList
        v-else-if="behind.part === 'NEAR'"
        :crossings
        :total
        :of-list="!behind.criterion"
        @open="open"
      />
      <WhoList
        v-else
        :people
        :show
        :top
        :total
        :more-can-come="after !== undefined"
        @open="open"
        @more="load(after)"
      />
    </template>
  </aside>
</template>

<style scoped>
.who {
  background: var(--sheet);
  border: 1px solid var(--rule);
  display: flex;
  flex-direction: column;
  min-height: 0;
  overflow: hidden;
}

.tabs {
  flex-wrap: nowrap;
  border-bottom: 1px solid var(--rule);
}

.tabs button {
  flex: 1;
  padding: 6px 4px 4px;
}

.title {
  padding: 8px 12px 4px;
}

.empty {
  padding: 0 12px;
}

/* The whole panel takes the keys; a ring around it would say nothing. */
.opened:focus {
  outline: none;
}

.opened {
  overflow: auto;
  padding: 4px 12px 12px;
}

.steps {
  display: flex;
  align-items: center;
  gap: 4px;
}

.steps .quiet {
  flex: 1;
  text-align: center;
}
</style>
