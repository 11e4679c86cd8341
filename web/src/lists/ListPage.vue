<script setup lang="ts">
import { Dialog } from '@/controls'
import { useDayInAddress, usePageTitle, useShownInAddress } from '@/address'
import { send, sentenceOf, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { dayWords, lapseWords } from '@/days'
import { cellWords, fieldWords, headingWords, tellsWho } from '@/fields'
import { normalText } from '@/normalText'
import { PersonPanel } from '@/people'
import { useSession } from '@/session'
import AsOfDate from '@/shell/AsOfDate.vue'
import { count } from '@/stick'
import { Veiled } from '@/veil'
import { useQuery } from '@tanstack/vue-query'
import { refDebounced, useEventListener } from '@vueuse/core'
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import InputText from 'primevue/inputtext'
import { computed, ref, shallowRef } from 'vue'
import ReadingsDialog from './ReadingsDialog.vue'
import DialChoices from './DialChoices.vue'
import DialsSet from './DialsSet.vue'
import { dialsOf, settingsOf, type Plan } from './readingPlan'
import { rowOf, type Row } from './rows'

const { id } = defineProps<{ id: string }>()

const session = useSession()
const asOf = useDayInAddress('as-of', () => session.today)
const find = ref('')
const person = shallowRef<Schemas['PersonView']>()
const personShown = ref(false)
const readingsShown = useShownInAddress('readings')

/** The dials for this look alone; nothing changes for anybody else. */
const settings = ref<Record<string, string>>({})
const settingsShown = ref(false)
const asked = refDebounced(
  computed(() =>
    new URLSearchParams([
      ['asOf', asOf.value],
      ...Object.entries(settingsOf(settings.value)).map(([name, value]) => [
        'dial',
        `${name}=${value}`,
      ]),
    ]).toString(),
  ),
  250,
)
const base = computed(() => `/api/lists/${encodeURIComponent(id)}` as const)
const csvAddress = computed(() => `${base.value}/csv?${asked.value}`)
const metadataAddress = computed(() => `${base.value}/csv-metadata.json?${asked.value}`)

const { data: list, error } = useQuery({
  queryKey: computed(() => ['lists', id, asked.value]),
  queryFn: () => send<Schemas['ListPage']>(`${base.value}?${asked.value}`),
})
usePageTitle(() => [list.value?.name, dayWords(asOf.value), 'Lists'])
const { data: plan, error: planError } = useQuery({
  queryKey: computed(() => ['lists', id, 'readings', 'plan']),
  queryFn: () => send<Plan>(`${base.value}/reading-plan`),
})
const dials = computed(() => dialsOf(plan.value))

/** In the order of the set, but who is to check apart from who is on the list. */
const all = computed(() =>
  (list.value?.rows ?? [])
    .map(rowOf)
    .sort((one, other) => Number(one.state === 'check') - Number(other.state === 'check')),
)
/** Whether those are shown too whom the set leaves out, since it shows only so many. */
const allShown = ref(false)
const beyond = computed(() => all.value.filter((row) => row.beyondTop).length)
const rows = computed(() => {
  const words = normalText(find.value)
  return all.value.filter(
    (row) => (allShown.value || !row.beyondTop) && (words === '' || row.findable.includes(words)),
  )
})
/** So many stand in the page as a whole, where the browser finds, copies and prints them. */
const MOST_WHOLE = 1000
const onPaper = ref(false)
useEventListener(window, 'beforeprint', () => (onPaper.value = true))
useEventListener(window, 'afterprint', () => (onPaper.value = false))
const drawn = computed(() => ({
  scrollHeight: onPaper.value ? undefined : 'calc(100vh - 132px)',
  virtualScrollerOptions:
    onPaper.value || rows.value.length <= MOST_WHOLE ? undefined : { itemSize: 31 },
}))
/** What the set shows that has no column yet. */
const SHOWN_ANYWAY = new Set(['due_on', 'band', 'state', 'phone', 'provider', 'site'])
const besides = computed(() =>
  (list.value?.show ?? [])
    .map((one, at) => ({ ...one, at }))
    .filter((one) => one.ofCriterion || !SHOWN_ANYWAY.has(one.name)),
)
const onList = computed(() => all.value.filter((row) => row.state === 'on').length)

const { ask, problem: personProblem } = useNewest()

function open(row: Row) {
  const address = `${base.value}/people/${encodeURIComponent(row.id)}?${asked.value}` as const
  void ask(
    (signal) => send<Schemas['PersonView']>(address, { signal }),
    (view) => {
      person.value = view
      personShown.value = true
    },
  )
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>{{ list?.name ?? 'List' }}</h1>
      <AsOfDate v-model="asOf" :today="session.today" />
      <span v-if="list" class="grow">
        {{ count(onList) }} on the list<template v-if="all.length > onList"
          >, {{ count(all.length - onList) }} to check</template
        ><template v-if="list.all > all.length"
          >; {{ count(all.length) }} of {{ count(list.all) }}: your people</template
        >
      </span>
      <span v-else-if="!error" class="grow quiet">The list is being read.</span>
      <Button
        v-if="dials.length"
        text
        label="With other settings"
        :aria-expanded="settingsShown"
        @click="settingsShown = !settingsShown"
      />
      <template v-if="list || !error">
        <Button text label="Readings" @click="readingsShown = true" />
        <InputText v-model="find" placeholder="Find a name, phone, provider" aria-label="Find" />
        <a :href="csvAddress" download class="download"
          ><i class="pi pi-download" /> Download CSV</a
        >
        <a
          :href="metadataAddress"
          download
          title="What the CSV is, who took it and when: a file to keep beside it"
          >About it</a
        >
      </template>
    </div>
    <p v-if="error || planError || personProblem" class="notice" role="alert">
      {{ personProblem || sentenceOf(error ?? planError) }}
    </p>
    <p v-if="settingsShown" class="settings">
      <DialChoices v-model="settings" of="look" :dials="dials" :values="plan?.values ?? {}" />
      <span class="quiet">For this look alone; the list stays as it is.</span>
    </p>
    <p v-else-if="list && list.dials.length" class="quiet"><DialsSet :dials="list.dials" /></p>
    <p v-if="beyond" class="quiet" role="status">
      <template v-if="allShown">All {{ count(onList) }} on the list are shown.</template>
      <template v-else
        >Only the first {{ count(onList - beyond) }} of {{ count(onList) }} on the list are shown,
        as its set says.</template
      >
      <button class="word" @click="allShown = !allShown">
        {{ allShown ? 'Show only the first' : 'Show all' }}
      </button>
    </p>
    <DataTable
      v-if="list"
      :value="rows"
      data-key="id"
      removable-sort
      size="small"
      scrollable
      :scroll-height="drawn.scrollHeight"
      :virtual-scroller-options="drawn.virtualScrollerOptions"
      class="table"
    >
      <template #empty>
        {{
          all.length ? `Nobody here matches “${find}”.` : 'Nobody is on this list as of that day.'
        }}
      </template>
      <Column field="name" header="Name" sortable>
        <template #body="{ data }: { data: Row }">
          <button class="word" @click="open(data)"><Veiled :text="data.name" /></button>
        </template>
      </Column>
      <Column field="ageKey" header="Age" sortable>
        <template #body="{ data }: { data: Row }">{{ data.age }}</template>
      </Column>
      <Column field="dueKey" header="Due" sortable>
        <template #body="{ data }: { data: Row }">
          {{ lapseWords(data.due) }}
        </template>
      </Column>
      <Column field="overdueKey" header="Days overdue" sortable>
        <template #body="{ data }: { data: Row }">{{ data.overdue }}</template>
      </Column>
      <Column field="band" header="Band" sortable />
      <Column field="state" header="State" sortable>
        <template #body="{ data }: { data: Row }">
          {{ data.state === 'on' ? 'on the list' : 'to check' }}
        </template>
      </Column>
      <Column field="phone" header="Phone" sortable>
        <template #body="{ data }: { data: Row }">
          <span v-if="data.doNotContact" class="do-not">asked not to be contacted</span>
          <Veiled v-else :text="data.phone" what="phone" />
        </template>
      </Column>
      <Column
        v-for="one in besides"
        :key="one.name"
        :header="one.ofCriterion ? one.name : headingWords(one.name)"
        :sort-field="`shownKeys.${one.at}`"
        sortable
      >
        <template #body="{ data }: { data: Row }">
          <Veiled
            v-if="!one.ofCriterion && tellsWho(one.name)"
            :text="data.shown[one.at] ?? ''"
            :what="fieldWords(one.name)"
          />
          <template v-else>{{ cellWords(data.shown[one.at] ?? '') }}</template>
        </template>
      </Column>
      <Column field="provider" header="Provider" sortable />
      <Column field="site" header="Site" sortable />
    </DataTable>

    <ReadingsDialog :id="id" v-model:visible="readingsShown" :name="list?.name ?? ''" />
    <Dialog
      v-model:visible="personShown"
      modal
      :show-header="false"
      v-bind="{ 'aria-label': 'Why somebody is on the list', 'aria-labelledby': null }"
      :style="{ width: '560px' }"
      content-class="person-dialog"
    >
      <div class="close">
        <Button
          text
          size="small"
          icon="pi pi-times"
          label="Close"
          autofocus
          @click="personShown = false"
        />
      </div>
      <PersonPanel v-if="person" :view="person" :as-of="asOf" />
    </Dialog>
  </div>
</template>

<style scoped>
.download {
  white-space: nowrap;
}

.table {
  border: 1px solid var(--rule);
}

.settings {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin: 0 0 8px;
}

.table :deep(td),
.table :deep(th) {
  padding: 4px 10px;
  white-space: nowrap;
}

.do-not {
  color: var(--brick);
}

.close {
  text-align: right;
  position: sticky;
  top: 0;
}
</style>
