<script setup lang="ts">
import { LIMITS } from '@/api/limits'
import { FormDialog, OfferedText } from '@/controls'
import { fromIso, toIso } from '@/days'
import { useSession } from '@/session'
import { computed, ref, watch } from 'vue'

/** Why, and for how long, nobody is to be told of somebody on a list; they stay on it. */
const visible = defineModel<boolean>('visible', { required: true })
const { list } = defineProps<{ list: string }>()
const emit = defineEmits<{ dismiss: [reason: string, until: string] }>()

const OFFERED = ['Wants to think about it', 'Not today', 'Was done elsewhere'] as const
const WHILES = [
  { name: 'a week', days: 7 },
  { name: 'four weeks', days: 28 },
  { name: 'three months', days: 91 },
  { name: 'a year', days: 365 },
] as const

const session = useSession()
const reason = ref('')
const days = ref<number>(28)
const until = computed(() => {
  const date = fromIso(session.today) ?? new Date()
  date.setDate(date.getDate() + days.value)
  return toIso(date)
})

watch(visible, (shown) => {
  if (shown) {
    reason.value = ''
    days.value = 28
  }
})

function save() {
  emit('dismiss', reason.value.trim(), until.value)
  visible.value = false
}
</script>

<template>
  <FormDialog
    v-model:visible="visible"
    :header="`Do not mention “${list}” for a while`"
    action="Do not mention it"
    :width="460"
    :ready="reason.trim() !== ''"
    @done="save"
  >
    <label for="dismiss-why">Why</label>
    <OfferedText
      id="dismiss-why"
      v-model="reason"
      autofocus
      :maxlength="LIMITS.Dismissing.reason.maxLength"
      :offered="OFFERED"
    />
    <label for="dismiss-while">For</label>
    <select id="dismiss-while" v-model="days">
      <option v-for="one in WHILES" :key="one.days" :value="one.days">{{ one.name }}</option>
    </select>
  </FormDialog>
</template>
