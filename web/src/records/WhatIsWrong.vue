<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { count } from '@/stick'
import { computed } from 'vue'
import { mayBeBlank, type Intake } from './intake'

/** What cannot be read of a file, by reason, with what can be done about it; and what is passed over. */
const { trial, intake, address, working } = defineProps<{
  trial: Schemas['TrialView']
  intake: Intake | undefined
  /** Of the delivery. */
  address: string
  working: boolean
}>()
const emit = defineEmits<{ leaveBlank: [column: string] }>()

type Reason = Schemas['TroublesView']['reason']

const wrong = computed(() =>
  troubles((reason) => reason !== 'PASSED_OVER' && reason !== 'LEFT_BLANK'),
)
const leftBlank = computed(() => troubles((reason) => reason === 'LEFT_BLANK'))
const passedOver = computed(() => troubles((reason) => reason === 'PASSED_OVER'))

function troubles(ofReason: (reason: Reason) => boolean) {
  return trial.troubles.filter((group) => ofReason(group.reason))
}
</script>

<template>
  <section v-if="wrong.length" aria-label="What is wrong">
    <h2>What is wrong: {{ count(trial.badRows) }} {{ trial.badRows === 1 ? 'row' : 'rows' }}</h2>
    <p class="quiet">
      These rows are left out if you take the file.
      <a :href="`${address}/problems`" download>Download all of them</a>
    </p>
    <table>
      <thead>
        <tr>
          <th class="number">Rows</th>
          <th>First in line</th>
          <th>Column</th>
          <th>What is wrong</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="group in wrong" :key="`${group.reason} ${group.first[0]?.column ?? ''}`">
          <td class="number">{{ count(group.count) }}</td>
          <td>{{ group.first.map((one) => one.line).join(', ') }}</td>
          <td>{{ group.first[0]?.column }}</td>
          <td>
            {{ group.first[0]?.said }}
            <button
              v-if="intake && group.first[0] && mayBeBlank(intake, group.first[0].column)"
              type="button"
              class="word"
              :disabled="working"
              @click="emit('leaveBlank', group.first[0].column)"
            >
              Leave these cells blank
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
  <section v-if="leftBlank.length" aria-label="Left blank">
    <h2>Left blank</h2>
    <ul>
      <li v-for="group in leftBlank" :key="group.first[0]?.column">
        {{ count(group.count) }} × {{ group.first[0]?.column }}: {{ group.first[0]?.said }}
      </li>
    </ul>
  </section>
  <section v-if="passedOver.length" aria-label="Passed over">
    <h2>Passed over</h2>
    <ul>
      <li v-for="group in passedOver" :key="group.first[0]?.said">
        {{ count(group.count) }} × {{ group.first[0]?.said }}
      </li>
    </ul>
  </section>
</template>

<style scoped>
th,
td {
  vertical-align: top;
}
</style>
