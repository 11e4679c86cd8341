<script setup lang="ts">
import { LIMITS } from '@/api/limits'
import { FormDialog, OfferedText } from '@/controls'
import { fromIso, toIso } from '@/days'
import DatePicker from 'primevue/datepicker'
import { ref, watch } from 'vue'

/** Why somebody is excused, with an end where there is one, or closed on the list. */
const visible = defineModel<boolean>('visible', { required: true })
const { what, people, today } = defineProps<{
  what: 'excuse' | 'close'
  people: number
  today: string
}>()
const emit = defineEmits<{ save: [reason: string, until: string, everywhere: boolean] }>()

const OFFERED = {
  excuse: [
    'Asked to be left alone for now',
    'Done elsewhere, proof on its way',
    'No longer applies',
  ],
  close: ['No response', 'Declined', 'Done elsewhere', 'Cannot be reached'],
} as const

const reason = ref('')
const until = ref('')
const everywhere = ref(false)

watch(visible, (shown) => {
  if (shown) {
    reason.value = what === 'close' ? OFFERED.close[0] : ''
    until.value = ''
    everywhere.value = false
  }
})

function save() {
  emit('save', reason.value.trim(), until.value, everywhere.value)
  visible.value = false
}
</script>

<template>
  <FormDialog
    v-model:visible="visible"
    :header="
      (what === 'excuse' ? 'Excuse' : 'Close on this list') +
      (people > 1 ? `: ${String(people)} people` : '')
    "
    :action="what === 'excuse' ? 'Excuse' : 'Close'"
    :width="480"
    @done="save"
  >
    <label for="reason">Why</label>
    <OfferedText
      id="reason"
      v-model="reason"
      autofocus
      :maxlength="LIMITS.Work.words.maxLength"
      :offered="OFFERED[what]"
    />
    <template v-if="what === 'excuse'">
      <label for="until">Until</label>
      <DatePicker
        :model-value="fromIso(until)"
        date-format="d M yy"
        input-id="until"
        show-button-bar
        placeholder="for good"
        :min-date="fromIso(today) ?? undefined"
        @update:model-value="until = $event instanceof Date ? toIso($event) : ''"
      />
      <span></span>
      <label><input v-model="everywhere" type="checkbox" /> on all lists, not this one alone</label>
    </template>
  </FormDialog>
</template>
