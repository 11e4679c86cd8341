<script setup lang="ts">
import Button from 'primevue/button'

/** Asks which comes first in the dates of a file, where it does not tell itself. */
const { disabled = false } = defineProps<{ disabled?: boolean }>()
const emit = defineEmits<{ chosen: [order: 'day-first' | 'month-first'] }>()
</script>

<template>
  <Button
    size="small"
    outlined
    label="Day first: 31/12/2026"
    :disabled="disabled"
    @click="emit('chosen', 'day-first')"
  />
  <Button
    size="small"
    outlined
    label="Month first: 12/31/2026"
    :disabled="disabled"
    @click="emit('chosen', 'month-first')"
  />
</template>
