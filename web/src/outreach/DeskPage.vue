<script setup lang="ts">
import { useInAddress, usePageTitle } from '@/address'
import { sentenceOf } from '@/api/client'
import type { WorkFields } from '@/api/work'
import { dayWords } from '@/days'
import { OutDialog } from '@/exchange'
import { isTyped, useKeys, useKeysOfPlace } from '@/keys'
import { DialsSet, ReadingsDialog } from '@/lists'
import { PromptRuleDialog } from '@/prompts'
import { SendingsDialog } from '@/sending'
import { useSession } from '@/session'
import { SharingDialog } from '@/sharing'
import { count } from '@/stick'
import { useVeil } from '@/veil'
import { refDebounced, until, useEventListener } from '@vueuse/core'
import Button from 'primevue/button'
import { computed, nextTick, ref, shallowRef, toRef, useTemplateRef, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { SET_ORDER, USUAL_VIEW, type ColumnId } from './columns'
import { useDeskKeys, type DeskAct } from './deskKeys'
import DeskQueues from './DeskQueues.vue'
import DeskTable from './DeskTable.vue'
import GiveDialog from './GiveDialog.vue'
import MannerDialog from './MannerDialog.vue'
import MarkedBar from './MarkedBar.vue'
import PersonInHand from './PersonInHand.vue'
import PlanDialog from './PlanDialog.vue'
import { ALL_BANDS, QUEUES, type DeskRow, type QueueId } from './queues'
import ReasonDialog from './ReasonDialog.vue'
import { useDesk } from './useDesk'
import { useDeskPages, type Asked, type DeskView, type Marked } from './useDeskPages'
import { useViews } from './useViews'
import ViewDialog from './ViewDialog.vue'
import { STEPS, type Step } from './words'

/** The desk of a list: the queue, the person in hand, and the log. */
const { id } = defineProps<{ id: string }>()

/** How the address says that the whole list is looked at, though a part of it is given. */
const WHOLE = '*'

const session = useSession()
const veil = useVeil()
const { work, warn, undo, told, canUndo } = useDesk(toRef(() => id))
const keys = useKeys()
const deskKeys = useDeskKeys()

const saidQueue = useInAddress('queue')
const queue = computed<QueueId>({
  get: () => QUEUES.find((one) => one.id === saidQueue.value)?.id ?? 'open',
  set: (pile) => (saidQueue.value = pile === 'open' ? '' : pile),
})
/** The part that was chosen; until then the desk opens on the one that is given to whoever sits down. */
const saidPart = useInAddress('part')
const chosenPart = computed(() =>
  saidPart.value === '' ? undefined : saidPart.value === WHOLE ? '' : saidPart.value,
)
const find = ref('')
/** Once the typing pauses. */
const found = refDebounced(find, 150)
const band = useInAddress('band', () => ALL_BANDS)
/** Whether those are shown too whom the set leaves out, since it shows only so many. */
const allShown = ref(false)
const current = useInAddress('person')
const lastIndex = ref(0)
/** Who is marked, by number, as they were seen. */
const marked = shallowRef<ReadonlyMap<string, Marked>>(new Map())
const note = ref('')
const everywhere = ref(true)
const shown = ref<
  | ''
  | 'readings'
  | 'manner'
  | 'sharing'
  | 'plan'
  | 'excuse'
  | 'close'
  | 'give'
  | 'view'
  | 'out'
  | 'prompt'
  | 'sending'
>('')
const panel = useTemplateRef('panel')

const shownDesk = shallowRef<DeskView>()
const {
  view,
  views,
  usual,
  columns,
  isPending,
  use,
  save: saveViews,
} = useViews(
  toRef(() => id),
  shownDesk,
)
const asked = computed<Asked>(() => {
  const { sortBy, descending, groupBy } = view.value
  const isUsual = sortBy === (shownDesk.value?.ordered ? SET_ORDER : USUAL_VIEW.sortBy)
  return {
    queue: queue.value,
    part: chosenPart.value,
    band: band.value,
    find: found.value,
    everybody: allShown.value,
    sort: isUsual ? undefined : sortBy,
    descending,
    group: groupBy,
  }
})
const {
  desk,
  answered,
  queues,
  error,
  rows,
  places,
  row,
  isNobody,
  inSight,
  rowAt,
  withAll,
  everybody,
  wholeList,
  nextToTake,
} = useDeskPages(
  toRef(() => id),
  asked,
  current,
  computed(() => !isPending.value),
)
watch(desk, (now) => (shownDesk.value = now), { immediate: true })
usePageTitle(
  () => [desk.value?.name, 'Lists'],
  () => row.value?.person.name,
)

const markedIds = computed(() => new Set(marked.value.keys()))
const mayWork = computed(() => desk.value?.right === 'WORK' || desk.value?.right === 'CHANGE')
const mayChange = computed(() => desk.value?.right === 'CHANGE')
const outcomes = computed(() => (desk.value?.outcomes ?? []).filter((one) => one.inUse))
const parts = computed(() => desk.value?.manner.parts ?? [])

const part = computed({
  get: () => chosenPart.value ?? desk.value?.part ?? '',
  set: (name) => (saidPart.value = name === '' ? WHOLE : name),
})
const beyond = computed(() => desk.value?.beyond ?? 0)
const counts = computed(() =>
  QUEUES.map((one) => ({
    ...one,
    people: queues.value.find(({ queue }) => queue.toLowerCase() === one.id)?.people,
  })),
)

/** Whom an act is about: all that are marked, else the one in hand. */
const targets = computed<readonly Marked[]>(() =>
  marked.value.size > 0
    ? [...marked.value.values()].map((one) => markOf(rowOf(one.person)) ?? one)
    : [markOf(row.value)].filter((one) => one !== undefined),
)

function rowOf(person: string): DeskRow | undefined {
  return rows.value.get(places.value.get(person) ?? -1)
}

function markOf(one: DeskRow | undefined): Marked | undefined {
  return (
    one && {
      person: one.person.id,
      revision: one.revision,
      standing: one.standing,
      mine: one.inHand?.mine ?? false,
    }
  )
}

/** Whether whoever is open goes on being so only if they are in the pile that is turned to. */
let turning = false
watch([queue, chosenPart, band], () => {
  marked.value = new Map()
  turning = true
})

watch(
  [rows, isNobody],
  () => {
    const at = places.value.get(current.value)
    const first = rows.value.get(0)
    if (first && (isNobody.value || (turning && at === undefined))) {
      current.value = first.person.id
    }
    if (answered.value) {
      turning = false
    }
    if (at !== undefined) {
      lastIndex.value = at
    }
  },
  { immediate: true },
)

watch(current, () => {
  note.value = ''
  everywhere.value = true
})

function open(one: DeskRow | undefined) {
  if (one) {
    current.value = one.person.id
    void nextTick(() =>
      document.querySelector<HTMLElement>(`.name[aria-current]`)?.focus({ preventScroll: true }),
    )
  }
}

async function step(by: 1 | -1) {
  const index = places.value.get(current.value)
  try {
    open(await rowAt(index === undefined ? lastIndex.value : index + by))
  } catch (failure) {
    warn(sentenceOf(failure))
  }
}

/** Goes to whoever is found, once what was typed is looked for. */
async function openFound() {
  await until(() => found.value === find.value && answered.value !== undefined).toBe(true)
  await step(1)
}

/** Takes whoever is open, if they are free; else goes on to the next who is free or mine. */
async function takeNext() {
  const from = places.value.get(current.value) ?? lastIndex.value
  let next: DeskRow | undefined
  try {
    next = await nextToTake(from)
  } catch (failure) {
    warn(sentenceOf(failure))
    return
  }
  if (next) {
    open(next)
    if (!next.inHand) {
      const { id: person } = next.person
      await work(
        'TAKE',
        [{ person, revision: next.revision }],
        veil.isDown ? 'Taken' : `Taken: ${next.person.name}`,
      )
    }
  } else {
    told.value = 'Nobody more in this queue is free and to be tried today.'
  }
}

async function about(kind: Parameters<typeof work>[0], words: string, fields: WorkFields = {}) {
  const whom = targets.value
  const one = whom[0] && (rowOf(whom[0].person) ?? row.value)
  const several =
    whom.length > 1 ? `${String(whom.length)} people` : veil.isDown ? '' : one?.person.name
  if (await work(kind, whom, several ? `${words}: ${several}` : words, fields)) {
    marked.value = new Map()
  }
}

async function takeOrLetGo() {
  const mine = targets.value.every((one) => one.mine)
  await (mine ? about('LET_GO', 'Let go') : about('TAKE', 'Taken'))
}

async function log(outcome: string | undefined) {
  const known = outcomes.value.find((one) => one.id === outcome)
  if (known && mayWork.value) {
    const fields = { outcome: known.id, words: note.value.trim(), everywhere: everywhere.value }
    await about('ATTEMPT', known.name, fields)
    note.value = ''
  }
}

/** What was written to many, logged for each of them. */
async function logWritten(people: string[], outcome: string) {
  const written = new Set(people)
  const name = outcomes.value.find((one) => one.id === outcome)?.name ?? outcome
  try {
    const now = (await wholeList()).filter((one) => written.has(one.person))
    await work('ATTEMPT', now, `${name}: ${String(now.length)} people`, { outcome })
  } catch (failure) {
    warn(`What was sent is not logged yet. ${sentenceOf(failure)}`)
  }
}

async function keepNote() {
  if (
    note.value.trim() &&
    (await work('NOTE', targets.value, 'Note kept', { words: note.value.trim() }))
  ) {
    note.value = ''
  }
}

function plan(next: Step, day: string) {
  const name = STEPS.find((one) => one.step === next)?.name ?? ''
  void about('PLAN', `${name} on ${dayWords(day)}`, { step: next, day, words: note.value.trim() })
}

function excuse(reason: string, until: string, all: boolean) {
  void about('EXCUSE', 'Excused', { words: reason, day: until, everywhere: all })
}

function bringBack() {
  void (row.value?.state === 'CLOSED'
    ? about('REOPEN', 'Opened again')
    : about('BRING_BACK', 'Brought back'))
}

function mark(one: DeskRow) {
  const next = new Map(marked.value)
  const now = markOf(one)
  if (now && !next.delete(one.person.id)) {
    next.set(one.person.id, now)
  }
  marked.value = next
}

async function markCurrent() {
  if (!places.value.has(current.value)) {
    await step(1)
  }
  const one = rowOf(current.value)
  if (one) {
    mark(one)
  }
}

/** All of this pile, also those who are not in sight; or nobody, where all are. */
async function markAll() {
  if (marked.value.size >= (answered.value?.total ?? 0)) {
    marked.value = new Map()
    return
  }
  try {
    const all = await everybody()
    marked.value = new Map(all.map((one) => [one.person, one]))
  } catch (failure) {
    warn(sentenceOf(failure))
  }
}

function useNamed(name: string) {
  use(views.value.find((one) => one.name === name) ?? view.value)
}

function sortBy(column: ColumnId) {
  use({
    ...view.value,
    sortBy: column,
    descending: view.value.sortBy === column && !view.value.descending,
  })
}

const doing: Record<DeskAct, () => unknown> = {
  takeNext,
  note: () => panel.value?.focusNote(),
  undo,
  mark: markCurrent,
  find: () => document.getElementById('find-on-desk')?.focus(),
  take: takeOrLetGo,
  plan: () => (shown.value = 'plan'),
  excuse: () => (shown.value = 'excuse'),
  close: () => (shown.value = 'close'),
  back: bringBack,
  give: () => (shown.value = 'give'),
}
const FREE_FOR_ALL = new Set<DeskAct>(['find', 'mark'])

useKeysOfPlace(() => ({
  place: 'the desk',
  keys: [
    { key: '↓ ↑', does: 'next and previous person' },
    { key: '1 … 9', does: 'log what came of the attempt' },
    ...deskKeys.all.map((one) => ({
      ...one,
      change: (key: string) => deskKeys.change(one.act, key),
    })),
    { key: 'Ctrl+Enter', does: 'keep the note by itself' },
    { key: 'Ctrl+P', does: 'print all of this pile' },
  ],
  asAtFirst: deskKeys.asAtFirst,
}))

/** What a key does here, if anything; whoever may only look goes through the list, finds and marks. */
function actOf(key: string): { does: () => unknown; isHeldDown: boolean } | undefined {
  if (key === 'ArrowDown' || key === 'ArrowUp') {
    return { does: () => step(key === 'ArrowDown' ? 1 : -1), isHeldDown: true }
  }
  const act = keys.single ? deskKeys.actOf(key.toLowerCase()) : undefined
  if (act) {
    return mayWork.value || FREE_FOR_ALL.has(act)
      ? { does: doing[act], isHeldDown: false }
      : undefined
  }
  return keys.single && mayWork.value && /^[1-9]$/.test(key)
    ? { does: () => log(outcomes.value[Number(key) - 1]?.id), isHeldDown: false }
    : undefined
}

const printing = ref(false)
/** Of more than this a sheet of paper is no help. */
const MOST_PRINTED = 5000

/** All of the pile, also those who did not come in sight yet. */
async function print() {
  if ((answered.value?.total ?? 0) > MOST_PRINTED) {
    warn(`These are more than ${count(MOST_PRINTED)}. Take them out as a file instead.`)
    return
  }
  await withAll(async () => {
    printing.value = true
    await nextTick()
    window.print()
    printing.value = false
  })
}

useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (event.key === 'p' && (event.ctrlKey || event.metaKey) && shown.value === '') {
    event.preventDefault()
    void print()
    return
  }
  if (isTyped(event) || shown.value !== '' || keys.shown) {
    return
  }
  const act = actOf(event.key)
  if (act) {
    event.preventDefault()
    // A key that is held down goes on through the list, but logs one attempt.
    if (!event.repeat || act.isHeldDown) {
      void act.does()
    }
  }
})

/** A dialog that is one of those that `shown` names. */
function model(name: typeof shown.value) {
  return computed({
    get: () => shown.value === name,
    set: (open: boolean) => (shown.value = open ? name : ''),
  })
}
const readingsShown = model('readings')
const mannerShown = model('manner')
const sharingShown = model('sharing')
const planShown = model('plan')
const excuseShown = model('excuse')
const closeShown = model('close')
const giveShown = model('give')
const viewShown = model('view')
const outShown = model('out')
const promptShown = model('prompt')
const sendingShown = model('sending')
/** Who was marked, or in the queue, when the dialog was opened; they may go elsewhere once they are written to. */
const takenOut = shallowRef<readonly Marked[]>([])
async function takeOut() {
  try {
    takenOut.value = marked.value.size ? targets.value : await everybody()
    shown.value = 'out'
  } catch (failure) {
    warn(sentenceOf(failure))
  }
}
</script>

<template>
  <div class="desk">
    <div class="page-head">
      <h1>{{ desk?.name ?? 'List' }}</h1>
      <span class="quiet grow">
        <template v-if="desk?.readOn">read {{ dayWords(desk.readOn) }}</template>
        <template v-else-if="desk">not read yet</template>
        <template v-if="desk && desk.dials.length">, <DialsSet :dials="desk.dials" /></template>
        <template v-if="desk && desk.all > desk.mine"
          >, {{ count(desk.mine) }} of {{ count(desk.all) }}: your people</template
        >
      </span>
      <Button text size="small" label="Readings" @click="shown = 'readings'" />
      <RouterLink :to="`/lists/${encodeURIComponent(id)}/on-a-day`">As of another day</RouterLink>
      <Button
        v-if="mayChange"
        text
        size="small"
        label="How it is worked"
        @click="shown = 'manner'"
      />
      <Button v-if="mayChange" text size="small" label="Prompts" @click="shown = 'prompt'" />
      <Button v-if="mayChange" text size="small" label="Share" @click="shown = 'sharing'" />
      <Button text size="small" label="Send" @click="shown = 'sending'" />
      <Button text size="small" label="Take out" @click="takeOut" />
      <select
        v-if="views.length > 1"
        class="plain"
        aria-label="View"
        :value="view.name"
        @change="useNamed(($event.target as HTMLSelectElement).value)"
      >
        <option v-for="one in views" :key="one.name">{{ one.name }}</option>
      </select>
      <Button text size="small" label="Columns" @click="shown = 'view'" />
    </div>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="!desk" class="quiet">The list is being fetched.</p>
    <template v-if="desk">
      <DeskQueues
        v-model:queue="queue"
        v-model:part="part"
        v-model:band="band"
        v-model:find="find"
        :queues="counts"
        :parts="parts.map((one) => one.name)"
        :bands="answered?.bands ?? []"
        @found="openFound"
      />
      <div class="sides">
        <div class="queue-side">
          <MarkedBar
            v-if="marked.size && mayWork"
            :people="targets.length"
            @take="about('TAKE', 'Taken')"
            @give="shown = 'give'"
            @letter="takeOut"
            @excuse="shown = 'excuse'"
            @close="shown = 'close'"
            @nobody="marked = new Map()"
          />
          <DeskTable
            v-model:in-sight="inSight"
            :printing="printing"
            :marked="markedIds"
            :rows="rows"
            :total="answered?.total"
            :groups="answered?.groups ?? []"
            :view="view"
            :current="current"
            :today="session.today"
            :empty="
              found
                ? `Nobody here matches “${found}”.`
                : (QUEUES.find((one) => one.id === queue)?.empty ?? '')
            "
            @open="open"
            @sort="sortBy"
            @mark="mark"
            @mark-all="markAll"
          />
          <p v-if="beyond" class="quiet beyond">
            <template v-if="allShown">All are shown.</template>
            <template v-else
              >The set shows the first {{ count(desk.top ?? 0) }}; {{ count(beyond) }} more are on
              the list.</template
            >
            <button class="word" @click="allShown = !allShown">
              {{ allShown ? 'Show only the first' : 'Show all' }}
            </button>
          </p>
          <div class="foot">
            <Button
              v-if="mayWork"
              size="small"
              outlined
              :label="deskKeys.named('Take next', 'takeNext')"
              @click="takeNext"
            />
            <p class="told" role="status">
              {{ told }}
              <button v-if="canUndo" class="word" @click="undo">
                {{ deskKeys.named('Undo', 'undo') }}
              </button>
            </p>
          </div>
        </div>
        <PersonInHand
          v-if="row"
          ref="panel"
          v-model:note="note"
          v-model:everywhere="everywhere"
          :list="id"
          :row="row"
          :outcomes="outcomes"
          :as-of="session.today"
          :may-work="mayWork"
          @outcome="log"
          @note="keepNote"
          @take="takeOrLetGo"
          @let-go="takeOrLetGo"
          @plan="shown = 'plan'"
          @excuse="shown = 'excuse'"
          @back="bringBack"
          @close="shown = 'close'"
          @reopen="bringBack"
          @give="shown = 'give'"
        />
        <p v-else class="quiet">Nobody is open.</p>
      </div>
    </template>

    <ReadingsDialog
      :id="id"
      v-model:visible="readingsShown"
      :name="desk?.name ?? ''"
      :may-change="mayChange"
    />
    <MannerDialog v-if="desk" :id="id" v-model:visible="mannerShown" :desk="desk" />
    <PromptRuleDialog :id="id" v-model:visible="promptShown" :name="desk?.name ?? ''" />
    <SendingsDialog
      :id="id"
      v-model:visible="sendingShown"
      :name="desk?.name ?? ''"
      :may-change="mayChange"
    />
    <SharingDialog :id="id" v-model:visible="sharingShown" :name="desk?.name ?? ''" />
    <PlanDialog v-model:visible="planShown" :today="session.today" @plan="plan" />
    <ReasonDialog
      v-model:visible="excuseShown"
      what="excuse"
      :people="targets.length"
      :today="session.today"
      @save="excuse"
    />
    <ReasonDialog
      v-model:visible="closeShown"
      what="close"
      :people="targets.length"
      :today="session.today"
      @save="(reason) => about('CLOSE', 'Closed', { words: reason })"
    />
    <GiveDialog
      v-model:visible="giveShown"
      :people="targets.length"
      @give="(to, name) => about('GIVE', `Given to ${name}`, { to })"
    />
    <OutDialog
      v-model:visible="outShown"
      :list="id"
      :people="takenOut.map((one) => one.person)"
      :to-check="takenOut.filter((one) => one.standing === 'CHECK').length"
      :may-change="mayChange"
      :show="desk?.show ?? []"
      :example="current"
      @written="logWritten"
    />
    <ViewDialog
      v-model:visible="viewShown"
      :view="view"
      :views="views"
      :usual="usual"
      :columns="columns"
      @use="use"
      @save="saveViews"
    />
  </div>
</template>

<style scoped>
.desk {
  display: flex;
  flex-direction: column;
  height: calc(100vh - 41px);
  padding: 8px 16px 12px;
  box-sizing: border-box;
}

.page-head {
  gap: 6px;
  margin-bottom: 4px;
}

.sides {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 430px;
  gap: 12px;
  flex: 1;
  min-height: 0;
}

@media (max-width: 900px) {
  .desk {
    height: auto;
  }

  .sides {
    grid-template-columns: minmax(0, 1fr);
  }

  .queue-side {
    height: 44vh;
    min-height: 220px;
  }
}

.queue-side {
  display: flex;
  flex-direction: column;
  min-height: 0;
}

.foot {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 30px;
  margin: 4px 6px 0;
}

.told {
  margin: 0;
  color: var(--soft-ink);
}
</style>
