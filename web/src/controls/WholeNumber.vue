<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'

/** A whole number, such as of days. */
const number = defineModel<number>({ required: true })
const { min = 0 } = defineProps<{
  min?: number
  max: number
}>()
</script>

<template>
  <InputNumber
    v-model="number"
    :min="min"
    :max="max"
    :allow-empty="false"
    :input-style="{ width: '52px' }"
  />
</template>
