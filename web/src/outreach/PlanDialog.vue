<script setup lang="ts">
import { FormDialog } from '@/controls'
import { fromIso, toIso } from '@/days'
import DatePicker from 'primevue/datepicker'
import { ref, watch } from 'vue'
import { STEPS, type Step } from './words'

/** What is to be done next about somebody, and when. */
const visible = defineModel<boolean>('visible', { required: true })
const { today } = defineProps<{ today: string }>()
const emit = defineEmits<{ plan: [step: Step, day: string] }>()

const AHEAD = [
  { name: 'Tomorrow', days: 1 },
  { name: 'In a week', days: 7 },
  { name: 'In two weeks', days: 14 },
  { name: 'In four weeks', days: 28 },
]

const step = ref<Step>('CALL')
const day = ref('')

watch(visible, (shown) => {
  if (shown) {
    step.value = 'CALL'
    day.value = ahead(7)
  }
})

function ahead(days: number): string {
  const date = fromIso(today) ?? new Date()
  date.setDate(date.getDate() + days)
  return toIso(date)
}

function save() {
  emit('plan', step.value, day.value)
  visible.value = false
}
</script>

<template>
  <FormDialog
    v-model:visible="visible"
    header="What comes next"
    action="Plan it"
    :width="420"
    @done="save"
  >
    <label for="next-step">What</label>
    <select id="next-step" v-model="step">
      <option v-for="one in STEPS" :key="one.step" :value="one.step">{{ one.name }}</option>
    </select>
    <label for="next-day">When</label>
    <DatePicker
      :model-value="fromIso(day)"
      date-format="d M yy"
      input-id="next-day"
      :show-on-focus="false"
      show-icon
      icon-display="input"
      :pt="{ pcInputText: { root: { autofocus: true } } }"
      @update:model-value="day = $event instanceof Date ? toIso($event) : day"
    />
    <span></span>
    <span class="ahead">
      <button
        v-for="one in AHEAD"
        :key="one.days"
        type="button"
        class="word"
        @click="day = ahead(one.days)"
      >
        {{ one.name }}
      </button>
    </span>
  </FormDialog>
</template>

<style scoped>
.ahead {
  display: flex;
  gap: 12px;
}
</style>
