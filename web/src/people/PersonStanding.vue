<script setup lang="ts">
import { usePageTitle } from '@/address'
import { send, sentenceOf, type Schemas } from '@/api/client'
import { dueWords } from '@/days'
import { PersonAsks } from '@/privacy'
import { PersonPrompts } from '@/prompts'
import { useSession } from '@/session'
import { VeiledWords } from '@/veil'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, shallowRef, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import Contact from './Contact.vue'
import Drop from './Drop.vue'
import PersonActs from './PersonActs.vue'
import PersonHead from './PersonHead.vue'
import PersonPanel from './PersonPanel.vue'

/** Where somebody stands by each saved set; one of them is opened to its reasons. */
const { person, today } = defineProps<{ person: string; today: string }>()

const session = useSession()
const router = useRouter()
const id = encodeURIComponent(person)
const chosen = ref<string>()

const { data: standings, error } = useQuery({
  queryKey: ['people', person, 'standing'],
  queryFn: () => send<Schemas['Standing'][]>(`/api/people/${id}/standing`),
})

/** The first list that they are on is opened first. */
const opened = computed(
  () =>
    chosen.value ??
    (standings.value?.find((one) => one.list === 'YES') ?? standings.value?.[0])?.set,
)

const { data: view, error: viewError } = useQuery({
  queryKey: computed(() => ['lists', opened.value, 'people', person]),
  queryFn: () =>
    send<Schemas['PersonView']>(
      `/api/lists/${encodeURIComponent(opened.value ?? '')}/people/${id}`,
    ),
  enabled: computed(() => opened.value !== undefined),
})

/** Their fields and records, also where no set is saved or none can be read. */
const { data: record, error: recordError } = useQuery({
  queryKey: ['people', person, 'record'],
  queryFn: () => send<Schemas['PersonView']>(`/api/people/${id}`),
  enabled: computed(
    () => standings.value?.length === 0 || error.value !== null || viewError.value !== null,
  ),
})

/** Who it is, also while another set's reasons are read. */
const who = shallowRef<Schemas['PersonView']>()
watch(
  () => view.value ?? record.value,
  (known) => (who.value = known ?? who.value),
  { immediate: true },
)
const WAYS = new Set(['phone', 'mobile', 'email'])
const ways = computed(() => (who.value?.details ?? []).filter((one) => WAYS.has(one.field)))

usePageTitle(
  () => ['People'],
  () => who.value?.person.name,
)

/** Whoever was named by a number that was joined to theirs is at the address of their own. */
watch(
  () => view.value?.person.id ?? record.value?.person.id,
  (own) => {
    if (own !== undefined && own !== person) {
      void router.replace(`/people/${encodeURIComponent(own)}`)
    }
  },
)

/** On which lists they are, and what colleagues did about them. */
const { data: log } = useQuery({
  queryKey: ['lists', 'people', person, 'log'],
  queryFn: () => send<Schemas['PersonLog']>(`/api/people/${id}/log`),
})
const telling = computed(() => (who.value ? [who.value.person.born, who.value.person.name] : []))
const atDesk = computed(() => log.value?.lists.some((one) => one.set === opened.value))
</script>

<template>
  <section class="standing" aria-label="Where they stand">
    <PersonHead v-if="who" :person="who.person" class="panel" />
    <dl v-if="ways.length" class="ways">
      <template v-for="way in ways" :key="way.field">
        <dt>{{ way.field }}</dt>
        <dd><Contact :field="way.field" :value="way.value" /></dd>
      </template>
    </dl>
    <p v-if="error ?? viewError ?? recordError" class="notice" role="alert">
      {{ sentenceOf(error ?? viewError ?? recordError) }}
    </p>
    <p v-else-if="!standings" class="quiet loading">Where they stand is being read.</p>
    <p v-if="standings?.length === 0" class="quiet">
      No criteria set is saved yet, so there is no list to be on.
    </p>
    <PersonPrompts v-if="!error" :person="person" :telling="telling" />
    <ul>
      <li v-for="one in standings" :key="one.set">
        <button
          class="set"
          :aria-pressed="one.set === opened"
          title="Show the reasons of this set"
          @click="chosen = one.set"
        >
          <Drop :outcome="one.list ?? 'NO'" />
          <span class="name">{{ one.name }}</span>
          <span class="why"><VeiledWords :text="one.why" :telling="telling" /></span>
          <span class="quiet due">{{ dueWords(one.due) }}</span>
        </button>
      </li>
    </ul>
    <p v-if="opened && atDesk" class="desk">
      <RouterLink :to="{ path: `/lists/${encodeURIComponent(opened)}`, query: { person } }">
        Open at the desk of this list
      </RouterLink>
      <span class="quiet">to log an attempt or to excuse</span>
    </p>
    <PersonPanel v-if="view" :view="view" :as-of="today" is-headless class="panel" />
    <PersonPanel
      v-else-if="record"
      :view="record"
      :as-of="today"
      is-record-alone
      is-headless
      class="panel"
    />
    <section v-if="log?.acts.length" class="panel" aria-label="Log">
      <h3>Log</h3>
      <PersonActs :acts="log.acts" :telling="telling" />
    </section>
    <PersonAsks
      v-if="session.has('COORDINATE') && standings"
      :person="person"
      @erased="router.push('/people')"
    />
  </section>
</template>

<style scoped>
.standing {
  overflow: auto;
  min-height: 0;
  background: var(--sheet);
  border: 1px solid var(--rule);
}

ul {
  border-top: 1px solid var(--hair);
  list-style: none;
  margin: 0;
  padding: 0;
  border-bottom: 2px solid var(--ink);
}

.loading {
  padding: 5px 12px;
}

.set {
  display: grid;
  grid-template-columns: 16px 210px 1fr auto;
  gap: 8px;
  align-items: baseline;
  width: 100%;
  text-align: left;
  border: 0;
  border-bottom: 1px solid var(--hair);
  background: none;
  padding: 5px 12px;
  cursor: pointer;
}

.set:hover {
  background: var(--paper);
}

.set[aria-pressed='true'] {
  box-shadow: inset 3px 0 var(--amber);
}

.name {
  font-weight: 600;
}

.due {
  white-space: nowrap;
}

.desk {
  display: flex;
  gap: 8px;
  margin: 6px 14px 0;
}

.panel {
  padding: 8px 14px 14px;
}

header.panel {
  padding-bottom: 0;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  margin: 0 14px 8px;
}

.ways dt {
  color: var(--soft-ink);
}

.ways dd {
  margin: 0 10px 0 0;
  font-weight: 600;
}

@media (max-width: 700px) {
  .set {
    grid-template-columns: 16px 1fr;
  }

  .why,
  .due {
    grid-column: 2;
  }
}
</style>
