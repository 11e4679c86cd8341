<script setup lang="ts">
import { PARAMETERS } from '@/api/limits'
import { useColleagues } from '@/accounts'
import { send, sentenceOf, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import { fromIso, timeWords, toIso } from '@/days'
import { count } from '@/stick'
import { useInfiniteQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import Button from 'primevue/button'
import DatePicker from 'primevue/datepicker'
import InputText from 'primevue/inputtext'
import { computed, reactive, ref } from 'vue'

/** Who did what, and when: searched, never changed. */
const asked = reactive({ account: '', act: '', find: '', from: '', through: '' })
const settled = refDebounced(
  computed(() => ({ ...asked })),
  200,
)
const { colleagues, problem: noColleagues } = useColleagues()

const { data, error, fetchNextPage, hasNextPage } = useInfiniteQuery({
  queryKey: computed(() => ['audit', settled.value]),
  queryFn: ({ pageParam }) => {
    const parameters = new URLSearchParams(
      Object.entries(settled.value).filter(([, value]) => value !== ''),
    )
    if (pageParam !== undefined) {
      parameters.set('before', String(pageParam))
    }
    return send<Schemas['AuditPage']>(`/api/audit?${parameters.toString()}`)
  },
  initialPageParam: undefined as number | undefined,
  getNextPageParam: (page) => (page.more ? page.entries.at(-1)?.id : undefined),
})
const { save, saving: verifying, problem } = useSaving(() => 'chain')
const verified = ref<Schemas['ChainState']>()

async function verify() {
  await save(
    () => send<Schemas['ChainState']>('/api/audit/chain'),
    (state) => {
      verified.value = state
    },
  )
}

const entries = computed(() => (data.value?.pages ?? []).flatMap((page) => page.entries))
const acts = computed(() => data.value?.pages[0]?.acts ?? [])

function actWords(act: string): string {
  const words = act.replaceAll('_', ' ').toLowerCase()
  return words.charAt(0).toUpperCase() + words.slice(1)
}

function who(account: string): string {
  return colleagues.value.find((one) => one.name === account)?.displayName ?? account
}
</script>

<template>
  <section aria-label="Audit log">
    <div class="asked">
      <select v-model="asked.account" class="plain" aria-label="Who">
        <option value="">everybody</option>
        <option v-for="one in colleagues" :key="one.name" :value="one.name">
          {{ one.displayName }}
        </option>
      </select>
      <select v-model="asked.act" class="plain" aria-label="What">
        <option value="">everything</option>
        <option v-for="act in acts" :key="act" :value="act">{{ actWords(act) }}</option>
      </select>
      <label>
        from
        <DatePicker
          :model-value="fromIso(asked.from)"
          date-format="d M yy"
          show-button-bar
          :input-style="{ width: '108px' }"
          @update:model-value="asked.from = $event instanceof Date ? toIso($event) : ''"
        />
      </label>
      <label>
        through
        <DatePicker
          :model-value="fromIso(asked.through)"
          date-format="d M yy"
          show-button-bar
          :input-style="{ width: '108px' }"
          @update:model-value="asked.through = $event instanceof Date ? toIso($event) : ''"
        />
      </label>
      <InputText
        v-model="asked.find"
        :maxlength="PARAMETERS['GET /api/audit'].find.maxLength"
        placeholder="A person’s id, a list"
        aria-label="Find in the log"
      />
      <span class="grow"></span>
      <Button text label="Was anything changed?" :loading="verifying" @click="verify" />
      <a href="/api/audit/export" download>All of it as a file</a>
    </div>
    <p v-if="verified" :class="verified.broken ? 'notice' : 'quiet'" role="status">
      {{
        verified.broken
          ? `Entry ${verified.broken}, or the one before it, is not as it was written. ${count(verified.entries)} before it are right.`
          : `All ${count(verified.entries)} entries are as they were written. The last one’s mark is ${verified.head.slice(0, 16)}…`
      }}
    </p>
    <p v-if="problem || noColleagues" class="notice" role="alert">
      {{ problem || noColleagues }}
    </p>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="!data" class="quiet">The log is being fetched.</p>
    <p v-else-if="entries.length === 0" class="quiet">Nothing like this is in the log.</p>
    <table v-else class="ledger">
      <thead>
        <tr>
          <th>When</th>
          <th>Who</th>
          <th>What</th>
          <th>About</th>
          <th>From</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="entry in entries" :key="entry.id">
          <td>{{ timeWords(entry.at) }}</td>
          <td>{{ who(entry.account) }}</td>
          <td>{{ actWords(entry.act) }}</td>
          <td class="about">{{ entry.subject }}</td>
          <td>{{ entry.address }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="hasNextPage"><Button text label="Older ones" @click="fetchNextPage()" /></p>
  </section>
</template>

<style scoped>
.asked {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-bottom: 8px;
}

td:not(.about) {
  white-space: nowrap;
}

.about {
  overflow-wrap: anywhere;
}
</style>
