<script setup lang="ts">
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed } from 'vue'
import { withKey, type JsonObject } from '../document'
import AgesInput from './AgesInput.vue'

const age = defineModel<JsonObject>({ required: true })
const { asOf } = defineProps<{ asOf: string }>()

const DAYS = [
  { on: 'asOf', name: 'on the as-of date' },
  { on: 'startOfYear', name: 'at the start of its year' },
  { on: 'endOfYear', name: 'at the end of its year' },
  { on: 'day', name: 'on a day' },
]

const on = computed(() => {
  const written = age.value.on
  if (written === undefined) {
    return 'asOf'
  }
  return written === 'startOfYear' || written === 'endOfYear' ? written : 'day'
})

function choose(next: string) {
  age.value = withKey(age.value, 'on', next === 'asOf' ? undefined : next === 'day' ? asOf : next)
}
</script>

<template>
  <div class="age">
    <AgesInput v-model="age" />
    <Select
      :model-value="on"
      :options="DAYS"
      option-label="name"
      option-value="on"
      aria-label="On which day"
      @update:model-value="choose"
    />
    <InputText
      v-if="on === 'day'"
      :model-value="typeof age.on === 'string' ? age.on : ''"
      aria-label="Day"
      @change="age = withKey(age, 'on', ($event.target as HTMLInputElement).value)"
    />
  </div>
</template>

<style scoped>
.age {
  display: grid;
  gap: 8px;
  justify-items: start;
}
</style>
