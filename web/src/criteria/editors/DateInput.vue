<script setup lang="ts">
import InputText from 'primevue/inputtext'
import Turnable from '../dials/Turnable.vue'
import type { Json } from '../document'

/** A date, perhaps a partial one, that may be turned by a dial; blank where that side is open. */
const value = defineModel<Json | undefined>({ required: true })
const { label, placeholder } = defineProps<{ label: string; placeholder: string }>()

function set(event: Event) {
  const written = (event.target as HTMLInputElement).value.trim()
  value.value = written === '' ? undefined : written
}
</script>

<template>
  <Turnable v-model="value" type="date" :label="label">
    <InputText
      :model-value="typeof value === 'string' ? value : ''"
      :aria-label="label"
      :placeholder="placeholder"
      @change="set"
    />
  </Turnable>
</template>
