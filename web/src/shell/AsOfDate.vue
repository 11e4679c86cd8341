<script setup lang="ts">
import { fromIso, toIso } from '@/days'
import DatePicker from 'primevue/datepicker'

/** The day from which everything is seen; cleared, it is the practice's today again. */
const asOf = defineModel<string>({ required: true })
const { today } = defineProps<{ today: string }>()
</script>

<template>
  <label class="as-of">
    as of
    <DatePicker
      :model-value="fromIso(asOf)"
      date-format="d M yy"
      input-id="as-of"
      show-button-bar
      :input-style="{ width: '112px' }"
      @update:model-value="asOf = $event instanceof Date ? toIso($event) : today"
    />
  </label>
</template>

<style scoped>
.as-of {
  display: flex;
  align-items: center;
  gap: 6px;
}
</style>
