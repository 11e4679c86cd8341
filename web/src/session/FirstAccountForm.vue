<script setup lang="ts">
import { sendJson, sentenceOf } from '@/api/client'
import { LIMITS } from '@/api/limits'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { reactive, ref } from 'vue'
import passwords from './passwords.json'

const emit = defineEmits<{ created: [] }>()

const account = reactive({ code: '', name: '', displayName: '', password: '' })
const problem = ref('')
const busy = ref(false)

async function create() {
  busy.value = true
  problem.value = ''
  try {
    await sendJson('POST', '/api/first-account', account)
    emit('created')
  } catch (failure) {
    problem.value = sentenceOf(failure)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <form @submit.prevent="create">
    <p>
      Nobody has an account here yet. The code for the first one is printed where the server was
      started.
    </p>
    <label for="code">Code</label>
    <InputText
      id="code"
      v-model="account.code"
      :maxlength="LIMITS.FirstAccountRequest.code.maxLength"
      autocomplete="off"
      autofocus
      required
    />
    <label for="display-name">Your name, as colleagues see it</label>
    <InputText
      id="display-name"
      v-model="account.displayName"
      :maxlength="LIMITS.FirstAccountRequest.displayName.maxLength"
      autocomplete="name"
      required
    />
    <label for="new-name">Name to sign in with</label>
    <InputText
      id="new-name"
      v-model="account.name"
      :maxlength="LIMITS.FirstAccountRequest.name.maxLength"
      autocomplete="username"
      required
    />
    <label for="new-password">Password, {{ passwords.shortest }} characters or more</label>
    <InputText
      id="new-password"
      v-model="account.password"
      type="password"
      autocomplete="new-password"
      required
    />
    <p v-if="problem" class="notice" role="alert">{{ problem }}</p>
    <Button type="submit" label="Create the account" :loading="busy" />
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 6px;
}

form > button {
  margin-top: 10px;
}
</style>
