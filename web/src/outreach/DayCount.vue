<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'

/** So many days. */
const days = defineModel<number>({ required: true })
defineProps<{ max: number }>()
</script>

<template>
  <InputNumber
    v-model="days"
    :min="0"
    :max="max"
    :allow-empty="false"
    :input-style="{ width: '52px' }"
  />
</template>
