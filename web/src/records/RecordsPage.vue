<script setup lang="ts">
import { usePageTitle } from '@/address'
import { RosterList, TermSetList } from '@/criteria'
import { send, sentenceOf, type Schemas } from '@/api/client'
import { dayWords, timeWords } from '@/days'
import { count } from '@/stick'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref, shallowRef } from 'vue'
import BringFileIn from './BringFileIn.vue'
import HowFresh from './HowFresh.vue'
import IntakeList from './IntakeList.vue'
import RecordsHead from './RecordsHead.vue'
import WaitingFiles from './WaitingFiles.vue'
import TakeBackDialog from './TakeBackDialog.vue'

const queries = useQueryClient()
usePageTitle(() => ['Records'])
const { data, error } = useQuery({
  queryKey: ['records'],
  queryFn: () => send<Schemas['Overview']>('/api/records'),
})
/** The delivery that somebody is about to take back. */
const back = shallowRef<Schemas['Taken']>()
const said = ref('')

function takenBack() {
  said.value = `${back.value?.fileName ?? 'The file'} was taken back.`
  back.value = undefined
  void queries.invalidateQueries()
}
</script>

<template>
  <div class="page">
    <RecordsHead />
    <HowFresh v-if="data && data.people > 0" :records="data" />
    <WaitingFiles @taken="queries.invalidateQueries()" />
    <BringFileIn @taken="queries.invalidateQueries()" />
    <p v-if="said" role="status">{{ said }}</p>
    <TakeBackDialog
      v-if="back"
      :delivery="back"
      @close="back = undefined"
      @taken-back="takenBack"
    />
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="!data" class="quiet">What is on record is being counted.</p>
    <template v-if="data">
      <p v-if="data.people === 0">
        Nothing is on record yet. Bring in the people first, then their event records.
      </p>
      <div class="sides">
        <section v-if="data.kinds.length">
          <h2>What is there</h2>
          <table class="on-sheet">
            <thead>
              <tr>
                <th>Kind</th>
                <th class="number">Records</th>
                <th>First</th>
                <th>Last</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="kind in data.kinds" :key="kind.kind">
                <td>{{ kind.kind }}</td>
                <td class="number">{{ count(kind.records) }}</td>
                <td>{{ kind.first && dayWords(kind.first) }}</td>
                <td>{{ kind.last && dayWords(kind.last) }}</td>
              </tr>
            </tbody>
          </table>
        </section>
        <section>
          <h2>Files brought in</h2>
          <p v-if="data.imports.length === 0" class="quiet">No file was brought in here yet.</p>
          <table v-else class="on-sheet">
            <thead>
              <tr>
                <th>When</th>
                <th>File</th>
                <th>By</th>
                <th class="number">New</th>
                <th class="number">Changed</th>
                <th class="number">Unchanged</th>
                <th class="number">Off file</th>
                <th class="number">Bad</th>
                <th><span class="visually-hidden">Taking back</span></th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="taken in data.imports" :key="taken.id" :class="{ back: taken.takenBack }">
                <td>{{ timeWords(taken.takenAt) }}</td>
                <td>
                  {{ taken.fileName
                  }}<span v-if="taken.intake" class="quiet">, as {{ taken.intake }}</span>
                </td>
                <td>{{ taken.takenBy }}</td>
                <td class="number">{{ count(taken.newRows) }}</td>
                <td class="number">{{ count(taken.changedRows) }}</td>
                <td class="number">{{ count(taken.unchangedRows) }}</td>
                <td class="number">{{ count(taken.goneRows) }}</td>
                <td class="number">{{ count(taken.badLines) }}</td>
                <td>
                  <span v-if="taken.takenBack" class="quiet"
                    >taken back {{ timeWords(taken.takenBack.at) }} by
                    {{ taken.takenBack.by }}</span
                  >
                  <button
                    v-else
                    type="button"
                    class="word"
                    :aria-label="`Take back ${taken.fileName}`"
                    @click="back = taken"
                  >
                    take back
                  </button>
                </td>
              </tr>
            </tbody>
          </table>
        </section>
      </div>
      <IntakeList class="term-sets" />
      <RosterList class="term-sets" />
      <TermSetList class="term-sets" />
    </template>
  </div>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 40px;
  align-items: start;
}

@media (max-width: 900px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
}

.back td {
  color: var(--soft-ink);
}

.term-sets {
  margin-top: 18px;
}
</style>
