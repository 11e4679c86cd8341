<script setup lang="ts">
import { sendJson } from '@/api/client'
import { useSaving } from '@/api/saving'
import { useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { reactive, ref } from 'vue'
import passwords from './passwords.json'
import { SESSIONS } from './sessions'

/** Another password of one's own; wherever else one is signed in ends with it. */
const EMPTY = { current: '', password: '', again: '' }

const queries = useQueryClient()
const draft = reactive({ ...EMPTY })
const told = ref('')
const { save, saving, problem, say } = useSaving('password')

async function change() {
  told.value = ''
  if (draft.password !== draft.again) {
    say('The new password was typed in two ways. Nothing was changed.')
    return
  }
  await save(
    () =>
      sendJson('POST', '/api/session/password', {
        current: draft.current,
        password: draft.password,
      }),
    () => {
      Object.assign(draft, EMPTY)
      told.value = 'The password is changed, and you are signed out everywhere else.'
    },
  )
  await queries.invalidateQueries({ queryKey: SESSIONS })
}
</script>

<template>
  <section aria-label="Password">
    <h2>Another password</h2>
    <p v-if="problem" class="notice" role="alert">{{ problem }}</p>
    <form class="form" @submit.prevent="change">
      <label for="own-current">The one now</label>
      <InputText
        id="own-current"
        v-model="draft.current"
        type="password"
        autocomplete="current-password"
        required
      />
      <label for="own-password">The new one</label>
      <InputText
        id="own-password"
        v-model="draft.password"
        type="password"
        autocomplete="new-password"
        :minlength="passwords.shortest"
        required
      />
      <label for="own-again">Once more</label>
      <InputText
        id="own-again"
        v-model="draft.again"
        type="password"
        autocomplete="new-password"
        required
      />
      <span></span>
      <span class="quiet">
        {{ passwords.shortest }} characters or more; a few words are easy to remember.
      </span>
      <span></span>
      <span class="buttons">
        <Button type="submit" label="Change it" :loading="saving" />
      </span>
    </form>
    <p v-if="told" role="status">{{ told }}</p>
  </section>
</template>
