<script setup lang="ts">
import { usePageTitle } from '@/address'
import { sentenceOf, type Schemas } from '@/api/client'
import { dayWords } from '@/days'
import { count } from '@/stick'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import BlanksTable from './BlanksTable.vue'
import FeedsTable from './FeedsTable.vue'
import OddRows from './OddRows.vue'
import OutsideTerms from './OutsideTerms.vue'
import RecordsHead from './RecordsHead.vue'
import { ODD_WORDS, STATE, stateQuery } from './state'

/** What can be trusted of the records: each thing in doubt opens to its records, and goes as a list to who keeps them. */
const { data, error } = useQuery(stateQuery)
/** What is opened: a sort of odd records, or those of nobody. */
const opened = ref('')
usePageTitle(() => ['State of the records', 'Records'])

const odd = computed(() => data.value?.odd ?? [])

function toggle(what: string) {
  opened.value = opened.value === what ? '' : what
}

function howMany(one: Schemas['OddityView']): string {
  const people = `${count(one.people)} ${one.people === 1 ? 'person' : 'people'}`
  return one.records === 0
    ? people
    : `${count(one.records)} ${one.records === 1 ? 'record' : 'records'} of ${people}`
}
</script>

<template>
  <div class="page">
    <RecordsHead />
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-if="!data && !error" role="status">Looking through the records …</p>
    <template v-if="data">
      <h2>What cannot be so, or hardly</h2>
      <p
        v-if="odd.length === 0 && data.nobody.people === 0 && data.otherwise.values === 0"
        class="quiet"
      >
        Nothing of this kind is on record, as of {{ dayWords(data.asOf) }}.
      </p>
      <table v-else class="on-sheet">
        <thead>
          <tr>
            <th>What</th>
            <th>How many</th>
            <th>Lists that ask for such records</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="one in odd" :key="one.sort">
            <tr>
              <td>
                <button
                  type="button"
                  class="word"
                  :aria-expanded="opened === one.sort"
                  @click="toggle(one.sort)"
                >
                  {{ ODD_WORDS[one.sort] }}
                </button>
              </td>
              <td>{{ howMany(one) }}</td>
              <td>
                <span v-if="one.sets.length === 0" class="quiet">none</span>
                <template v-for="(set, at) in one.sets" :key="set.set"
                  >{{ at ? '; ' : ''
                  }}<RouterLink :to="`/criteria/${encodeURIComponent(set.set)}`">{{
                    set.name
                  }}</RouterLink
                  ><template v-if="set.toCheck"
                    >, {{ count(set.toCheck) }} of these people to check</template
                  ></template
                >
              </td>
            </tr>
            <tr v-if="opened === one.sort">
              <td colspan="3"><OddRows :address="`${STATE}/odd/${one.sort}`" /></td>
            </tr>
          </template>
          <tr v-if="data.nobody.people">
            <td>
              <button
                type="button"
                class="word"
                :aria-expanded="opened === 'nobody'"
                @click="toggle('nobody')"
              >
                Records of nobody who is on file
              </button>
            </td>
            <td>
              {{ count(data.nobody.records) }} records under
              {{ count(data.nobody.people) }}
              {{ data.nobody.people === 1 ? 'number' : 'numbers' }}
            </td>
            <td class="quiet">They count once their people are on file.</td>
          </tr>
          <tr v-if="opened === 'nobody'">
            <td colspan="3"><OddRows :address="`${STATE}/nobody`" /></td>
          </tr>
          <tr v-if="data.otherwise.values">
            <td>
              <button
                type="button"
                class="word"
                :aria-expanded="opened === 'otherwise'"
                @click="toggle('otherwise')"
              >
                Said otherwise by another source
              </button>
            </td>
            <td>
              {{ count(data.otherwise.values) }}
              {{ data.otherwise.values === 1 ? 'value' : 'values' }} of
              {{ count(data.otherwise.people) }}
              {{ data.otherwise.people === 1 ? 'person' : 'people' }}
            </td>
            <td class="quiet">
              What the source said that brought it stays; an intake of a higher rank is heard first.
            </td>
          </tr>
          <tr v-if="opened === 'otherwise'">
            <td colspan="3"><OddRows :address="`${STATE}/otherwise`" /></td>
          </tr>
        </tbody>
      </table>
      <h2>How fresh</h2>
      <FeedsTable :feeds="data.feeds" />
      <h2>Blank</h2>
      <BlanksTable :blanks="data.blanks" />
    </template>
    <OutsideTerms />
  </div>
</template>

<style scoped>
h2 {
  margin-top: 20px;
}
</style>
