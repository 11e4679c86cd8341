<script setup lang="ts">
import { useDayInAddress, usePageTitle } from '@/address'
import { send, sentenceOf, type Schemas } from '@/api/client'
import { dayWords, fromIso, toIso } from '@/days'
import { SendingsDialog } from '@/sending'
import { useSession } from '@/session'
import { Veiled, VeiledWords } from '@/veil'
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import DatePicker from 'primevue/datepicker'
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'

/** The sheet of a morning: who comes in and is to be told of something, by site and provider. */
const session = useSession()
const sendingShown = ref(false)

const day = useDayInAddress('day', () => session.today)
usePageTitle(() => ['Coming in', dayWords(day.value), 'Today'])
const { data: sheet, error } = useQuery({
  queryKey: computed(() => ['prompts', 'sheet', day.value]),
  queryFn: () => send<Schemas['SheetOfDay']>(`/api/coming-in/sheet?day=${day.value}`),
})
/** Nobody is told of by a day that is not read yet. */
const groups = computed(() => (sheet.value?.day === day.value ? sheet.value.groups : undefined))

function goTo(to: unknown) {
  if (to instanceof Date) {
    day.value = toIso(to)
  }
}

function step(days: number) {
  const date = fromIso(day.value) ?? new Date()
  date.setDate(date.getDate() + days)
  goTo(date)
}
</script>

<template>
  <div class="page sheet-of-day">
    <div class="page-head">
      <h1 class="grow">Coming in on {{ dayWords(day) }}</h1>
      <Button text size="small" label="The day before" @click="step(-1)" />
      <DatePicker
        :model-value="fromIso(day)"
        date-format="d M yy"
        aria-label="Day of the sheet"
        @update:model-value="goTo"
      />
      <Button text size="small" label="The day after" @click="step(1)" />
      <a :href="`/api/coming-in/sheet.pdf?day=${day}`">To print (PDF)</a>
      <Button text size="small" label="Send" @click="sendingShown = true" />
    </div>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="!groups" class="quiet">Who comes in is being looked up.</p>
    <p v-else-if="groups.length === 0" class="quiet">
      Nobody comes in on this day who is to be told of something. A list tells of those on it when
      they come in once that is switched on at its desk, under <em>Prompts</em>.
    </p>
    <section
      v-for="group in groups"
      :key="group.site + '/' + group.provider"
      :aria-label="`${group.site}, ${group.provider}`"
    >
      <h2>
        {{ group.site || 'No site on record' }}
        <span class="quiet">{{ group.provider || 'no provider on record' }}</span>
      </h2>
      <table>
        <thead>
          <tr>
            <th>Person</th>
            <th>Born</th>
            <th>What is due</th>
            <th>What to say</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in group.people" :key="line.person">
            <td><Veiled :text="line.name" /></td>
            <td><Veiled :text="line.born" what="birth date" /></td>
            <td>
              <span v-for="due in line.due" :key="due.set" class="one">
                <RouterLink
                  :to="{
                    path: `/lists/${encodeURIComponent(due.set)}`,
                    query: { person: line.person },
                  }"
                  >{{ due.list }}</RouterLink>:
                <VeiledWords :text="due.why" :telling="[line.born, line.name]" />
              </span>
            </td>
            <td>
              <span v-for="due in line.due" :key="due.set" class="one">{{ due.say }}</span>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <SendingsDialog
      id=""
      v-model:visible="sendingShown"
      name="the morning sheet"
      :may-change="session.has('COORDINATE')"
    />
  </div>
</template>

<style scoped>
.page-head {
  gap: 8px;
}

section {
  background: var(--sheet);
  border: 1px solid var(--rule);
  padding: 6px 14px 10px;
  margin-bottom: 10px;
}

h2 .quiet {
  font-weight: 400;
  margin-left: 8px;
}

table {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
}

th {
  text-align: left;
  font-weight: 400;
  color: var(--soft-ink);
}

th:nth-child(1) {
  width: 22%;
}

th:nth-child(2) {
  width: 11%;
}

td,
th {
  padding: 3px 8px 3px 0;
  vertical-align: top;
  border-bottom: 1px solid var(--hair);
}

.one {
  display: block;
}
</style>
