<script setup lang="ts">
import InputText from 'primevue/inputtext'

/** One's password once more, in a form of two columns, before what a stranger at an open browser must not do. */
defineProps<{ id: string }>()
const password = defineModel<string>({ required: true })
</script>

<template>
  <label :for="id">Your password</label>
  <InputText :id="id" v-model="password" type="password" autocomplete="current-password" required />
</template>
