<script setup lang="ts">
import { usePageTitle, useShownInAddress } from '@/address'
import { sentenceOf } from '@/api/client'
import { useSession } from '@/session'
import { count } from '@/stick'
import { refDebounced } from '@vueuse/core'
import Button from 'primevue/button'
import { computed, nextTick, ref, shallowRef, toRef, useTemplateRef, watch } from 'vue'
import { SET_ORDER, USUAL_VIEW, type ColumnId } from './columns'
import DeskDialogs, { type Shown } from './DeskDialogs.vue'
import DeskHead from './DeskHead.vue'
import { useDeskKeys } from './deskKeys'
import DeskQueues from './DeskQueues.vue'
import DeskTable from './DeskTable.vue'
import MarkedBar from './MarkedBar.vue'
import PersonInHand from './PersonInHand.vue'
import { QUEUES } from './queues'
import { useDesk } from './useDesk'
import { useDeskActs } from './useDeskActs'
import { useDeskAddress } from './useDeskAddress'
import { useDeskKeyboard } from './useDeskKeyboard'
import { useDeskPages, type Asked, type DeskView, type Marked } from './useDeskPages'
import { useDeskSteps } from './useDeskSteps'
import { useMarks } from './useMarks'
import { useViews } from './useViews'

/** The desk of a list: the queue, the person in hand, and the log. */
const { id } = defineProps<{ id: string }>()

const session = useSession()
const deskKeys = useDeskKeys()
const atDesk = useDesk(toRef(() => id))
const { warn, undo, told, canUndo } = atDesk
const { queue, chosenPart, band, current } = useDeskAddress()

const find = ref('')
/** Once the typing pauses. */
const found = refDebounced(find, 150)
/** Whether those are shown too whom the set leaves out, since it shows only so many. */
const allShown = ref(false)
const over = ref<Shown>('')
const readingsShown = useShownInAddress('readings')
/** What stands over the desk; the address says it where it is there to be read. */
const shown = computed<Shown>({
  get: () => (readingsShown.value ? 'readings' : over.value),
  set: (what) => {
    readingsShown.value = what === 'readings'
    over.value = what === 'readings' ? '' : what
  },
})
const panel = useTemplateRef('panel')

const shownDesk = shallowRef<DeskView>()
const ownViews = useViews(
  toRef(() => id),
  shownDesk,
)
const { view, views, isPending, use } = ownViews
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
const pages = useDeskPages(
  toRef(() => id),
  asked,
  current,
  computed(() => !isPending.value),
)
const { desk, answered, queues, error, rows, places, row, inSight, withAll } = pages
watch(desk, (now) => (shownDesk.value = now), { immediate: true })
usePageTitle(
  () => [desk.value?.name, 'Lists'],
  () => row.value?.person.name,
)

const mayWork = computed(() => desk.value?.right === 'WORK' || desk.value?.right === 'CHANGE')
const mayChange = computed(() => desk.value?.right === 'CHANGE')
const outcomes = computed(() => (desk.value?.outcomes ?? []).filter((one) => one.inUse))
const parts = computed(() => desk.value?.manner.parts ?? [])
const part = computed({
  get: () => chosenPart.value ?? desk.value?.part ?? '',
  set: (name) => (chosenPart.value = name),
})
const beyond = computed(() => desk.value?.beyond ?? 0)
const counts = computed(() =>
  QUEUES.map((one) => ({
    ...one,
    people: queues.value.find(({ queue }) => queue.toLowerCase() === one.id)?.people,
  })),
)

const marks = useMarks(pages, warn)
const { marked, markedIds, targets, mark, markAll } = marks
const acts = useDeskActs({ desk: atDesk, pages, marks, current, outcomes, mayWork })
const { note, everywhere } = acts

const { open, step, openFound, takeNext } = useDeskSteps({
  pages,
  current,
  narrowedBy: [queue, chosenPart, band],
  find,
  found,
  take: acts.take,
  warn,
  told,
})

watch([queue, chosenPart, band], () => marks.clear())

async function markCurrent() {
  if (!places.value.has(current.value)) {
    await step(1)
  }
  const one = marks.rowOf(current.value)
  if (one) {
    mark(one)
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

useDeskKeyboard(
  {
    acts: {
      takeNext,
      note: () => panel.value?.focusNote(),
      undo,
      mark: markCurrent,
      find: () => document.getElementById('find-on-desk')?.focus(),
      take: acts.takeOrLetGo,
      plan: () => (shown.value = 'plan'),
      excuse: () => (shown.value = 'excuse'),
      close: () => (shown.value = 'close'),
      back: acts.bringBack,
      give: () => (shown.value = 'give'),
    },
    step,
    logAt: (place) => acts.log(outcomes.value[place]?.id),
    print,
  },
  mayWork,
  () => shown.value !== '',
)

/** Who was marked, or in the queue, when the dialog was opened; they may go elsewhere once they are written to. */
const takenOut = shallowRef<readonly Marked[]>([])
async function takeOut() {
  try {
    takenOut.value = marked.value.size ? targets.value : await pages.everybody()
    shown.value = 'out'
  } catch (failure) {
    warn(sentenceOf(failure))
  }
}
</script>

<template>
  <div class="desk">
    <DeskHead
      :id="id"
      :desk="desk"
      :may-change="mayChange"
      :view="view.name"
      :views="views.map((one) => one.name)"
      @show="(what) => (shown = what)"
      @take-out="takeOut"
      @use="useNamed"
    />
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
            @take="acts.takeMarked"
            @give="shown = 'give'"
            @letter="takeOut"
            @excuse="shown = 'excuse'"
            @close="shown = 'close'"
            @nobody="marks.clear"
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
          @outcome="acts.log"
          @note="acts.keepNote"
          @take="acts.takeOrLetGo"
          @let-go="acts.takeOrLetGo"
          @plan="shown = 'plan'"
          @excuse="shown = 'excuse'"
          @back="acts.bringBack"
          @close="shown = 'close'"
          @reopen="acts.bringBack"
          @give="shown = 'give'"
        />
        <p v-else class="quiet">Nobody is open.</p>
      </div>
    </template>

    <DeskDialogs
      :id="id"
      v-model:shown="shown"
      :desk="desk"
      :people="targets.length"
      :taken-out="takenOut"
      :example="current"
      :today="session.today"
      :may-change="mayChange"
      :acts="acts"
      :views="ownViews"
    />
  </div>
</template>

<style scoped>
.desk {
  display: flex;
  flex-direction: column;
  height: calc(100vh - var(--above));
  padding: 8px 16px 12px;
  box-sizing: border-box;
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
