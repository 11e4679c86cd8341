<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { dayWords } from '@/days'
import { PersonPanel } from '@/people'
import { useSession } from '@/session'
import AsOfDate from '@/shell/AsOfDate.vue'
import { count } from '@/stick'
import { Veiled } from '@/veil'
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { computed, ref, shallowRef } from 'vue'
import ReadingsDialog from './ReadingsDialog.vue'
import { byUrgency, rowOf, type Row } from './rows'

const { id } = defineProps<{ id: string }>()

const session = useSession()
const asOf = ref(session.today)
const find = ref('')
const personProblem = ref('')
const person = shallowRef<Schemas['PersonView']>()
const personShown = ref(false)
const readingsShown = ref(false)

const address = computed(
  () => `/api/lists/${encodeURIComponent(id)}?asOf=${encodeURIComponent(asOf.value)}`,
)
const csvAddress = computed(
  () => `/api/lists/${encodeURIComponent(id)}/csv?asOf=${encodeURIComponent(asOf.value)}`,
)

const { data: list, error } = useQuery({
  queryKey: computed(() => ['lists', id, asOf.value]),
  queryFn: () => send<Schemas['ListPage']>(address.value),
})

const all = computed(() => (list.value?.rows ?? []).map(rowOf).sort(byUrgency))
const rows = computed(() => {
  const words = find.value.trim().toLowerCase()
  return words === '' ? all.value : all.value.filter((row) => row.findable.includes(words))
})
const onList = computed(() => all.value.filter((row) => row.state === 'on').length)

async function open(row: Row) {
  try {
    person.value = await send<Schemas['PersonView']>(
      `/api/lists/${encodeURIComponent(id)}/people/${encodeURIComponent(row.id)}?asOf=${asOf.value}`,
    )
    personProblem.value = ''
    personShown.value = true
  } catch (failure) {
    personProblem.value = sentenceOf(failure)
  }
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
        >
      </span>
      <Button text label="Readings" @click="readingsShown = true" />
      <InputText v-model="find" placeholder="Find a name, phone, provider" aria-label="Find" />
      <a :href="csvAddress" download class="download"><i class="pi pi-download" /> Download CSV</a>
    </div>
    <p v-if="error || personProblem" class="notice" role="alert">
      {{ error ? sentenceOf(error) : personProblem }}
    </p>
    <DataTable
      v-if="list"
      :value="rows"
      data-key="id"
      removable-sort
      size="small"
      scrollable
      scroll-height="calc(100vh - 132px)"
      :virtual-scroller-options="{ itemSize: 31 }"
      class="table"
    >
      <template #empty>
        {{ all.length ? `Nobody here matches “${find}”.` : 'Nobody is on this list today.' }}
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
          {{ data.due === 'never' ? 'never met' : data.due ? dayWords(data.due) : '' }}
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
      <Column field="provider" header="Provider" sortable />
      <Column field="site" header="Site" sortable />
    </DataTable>

    <ReadingsDialog :id="id" v-model:visible="readingsShown" :name="list?.name ?? ''" />
    <Dialog
      v-model:visible="personShown"
      modal
      :show-header="false"
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
