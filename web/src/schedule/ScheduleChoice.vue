<script setup lang="ts">
import { LIMITS } from '@/api/limits'
import { WholeNumber } from '@/controls'
import InputText from 'primevue/inputtext'
import { dayName, type When } from './when'

/** When something is done by itself. */
const when = defineModel<When>({ required: true })
const { of, does } = defineProps<{
  /** By which the controls of one on a page are told apart. */
  of: string
  /** What is done, as in “Read”. */
  does: string
}>()

const EVERY: readonly { every: When['every']; name: string }[] = [
  { every: 'DAY', name: 'every day' },
  { every: 'WEEK', name: 'every week' },
  { every: 'MONTH', name: 'every month' },
  { every: 'NEVER', name: 'not by itself' },
]
const DAYS: readonly When['dayOfWeek'][] = [
  'MONDAY',
  'TUESDAY',
  'WEDNESDAY',
  'THURSDAY',
  'FRIDAY',
  'SATURDAY',
  'SUNDAY',
]
</script>

<template>
  <label :for="`${of}-every`">{{ does }}</label>
  <select :id="`${of}-every`" v-model="when.every" class="plain">
    <option v-for="one in EVERY" :key="one.every" :value="one.every">{{ one.name }}</option>
  </select>
  <select
    v-if="when.every === 'WEEK'"
    v-model="when.dayOfWeek"
    class="plain"
    aria-label="Day of the week"
  >
    <option v-for="day in DAYS" :key="day" :value="day">{{ dayName(day) }}</option>
  </select>
  <template v-if="when.every === 'MONTH'">
    <label :for="`${of}-day`">on day</label>
    <WholeNumber
      v-model="when.dayOfMonth"
      :input-id="`${of}-day`"
      :min="LIMITS.ReadingPlanChange.dayOfMonth.minimum"
      :max="LIMITS.ReadingPlanChange.dayOfMonth.maximum"
    />
  </template>
  <template v-if="when.every !== 'NEVER'">
    <label :for="`${of}-at`">at</label>
    <InputText :id="`${of}-at`" v-model="when.at" size="small" class="narrow" placeholder="06:00" />
  </template>
</template>

<style scoped>
.narrow {
  width: 64px;
}
</style>
