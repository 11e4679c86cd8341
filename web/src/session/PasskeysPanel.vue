<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { LIMITS } from '@/api/limits'
import { useSaving } from '@/api/saving'
import { timeWords } from '@/days'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { reactive } from 'vue'
import { canUsePasskeys, makePasskey } from './passkeys'
import PasswordAgain from './PasswordAgain.vue'

/** The passkeys of whoever is signed in. */
const emit = defineEmits<{ setUp: [] }>()

const ADDRESS = '/api/session/second-factor/passkeys'
const queries = useQueryClient()
const { data: passkeys, error } = useQuery({
  queryKey: ['own', 'passkeys'],
  queryFn: () => send<Schemas['OwnPasskey'][]>(ADDRESS),
  staleTime: 0,
})
const draft = reactive({ label: '', current: '' })
const { save, saving, problem } = useSaving('passkeys')

async function make() {
  const done = await save(() => makePasskey(draft.current, draft.label))
  draft.current = ''
  if (done) {
    draft.label = ''
    emit('setUp')
  }
  await readAgain()
}

async function remove(one: Schemas['OwnPasskey']) {
  await save(() => send(`${ADDRESS}/${encodeURIComponent(one.id)}`, { method: 'DELETE' }))
  await readAgain()
}

async function readAgain() {
  await queries.invalidateQueries({ queryKey: ['own', 'passkeys'] })
  await queries.invalidateQueries({ queryKey: ['own', 'second factor'] })
}
</script>

<template>
  <section aria-label="Passkeys">
    <h2>Passkeys</h2>
    <p v-if="problem || error" class="notice" role="alert">{{ problem || sentenceOf(error) }}</p>
    <p v-if="!passkeys && !error" class="quiet" role="status">Looking which there are …</p>
    <ul v-else-if="passkeys?.length" class="lines">
      <li v-for="one in passkeys" :key="one.id">
        <span>
          {{ one.label }}
          <span class="quiet">
            made {{ timeWords(one.made) }}, last used {{ timeWords(one.lastUsed) }}
          </span>
        </span>
        <button class="word" :aria-label="`Remove ${one.label}`" @click="remove(one)">
          Remove
        </button>
      </li>
    </ul>
    <form v-if="canUsePasskeys()" class="form" @submit.prevent="make">
      <p class="whole quiet">
        With a passkey you sign in without a password: the device asks for your finger, face or PIN.
      </p>
      <label for="passkey-label">This device</label>
      <InputText
        id="passkey-label"
        v-model="draft.label"
        :maxlength="LIMITS.MadePasskey.label.maxLength"
        placeholder="as you call it"
        required
      />
      <PasswordAgain id="passkey-password" v-model="draft.current" />
      <span></span>
      <span class="buttons"><Button type="submit" label="Make a passkey" :loading="saving" /></span>
    </form>
    <p v-else class="quiet">
      This browser cannot make passkeys, or was not reached over a safe address.
    </p>
  </section>
</template>
