<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { useSession } from './session'

/** One's password once more, in a form of two columns, before what a stranger at an open browser must not do;
 * whoever has none here is asked by the server to have signed in just now. */
defineProps<{ id: string }>()
const password = defineModel<string>({ required: true })
const session = useSession()
</script>

<template>
  <template v-if="!session.signedIn?.vouchedFor">
    <label :for="id">Your password</label>
    <InputText
      :id="id"
      v-model="password"
      type="password"
      autocomplete="current-password"
      required
    />
  </template>
</template>
