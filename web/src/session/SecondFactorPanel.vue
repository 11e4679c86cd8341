<script setup lang="ts">
import { json, send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { LIMITS } from '@/api/limits'
import { useSaving } from '@/api/saving'
import { timeWords } from '@/days'
import { count } from '@/stick'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { ref, shallowRef } from 'vue'
import PasswordAgain from './PasswordAgain.vue'

/** The second factor of whoever is signed in: set up with a device, its recovery codes, removed. */
const emit = defineEmits<{ setUp: [] }>()

const ADDRESS = '/api/session/second-factor'
const queries = useQueryClient()
const { data: mine, error } = useQuery({
  queryKey: ['own', 'second factor'],
  queryFn: () => send<Schemas['OwnSecondFactor']>(ADDRESS),
  staleTime: 0,
})

const password = ref('')
const code = ref('')
const offered = shallowRef<Schemas['NewSecret']>()
/** Told once; gone when whoever wrote them down says so. */
const recoveryCodes = shallowRef<string[]>([])
const { save, saving, problem } = useSaving('second factor')

const withPassword = () => ({ current: password.value })

async function begin() {
  await save(
    () => sendJson<Schemas['NewSecret']>('POST', `${ADDRESS}/secret`, withPassword()),
    (answer) => {
      offered.value = answer
      password.value = ''
    },
  )
}

async function confirm() {
  await save(
    () => sendJson<Schemas['RecoveryCodesMade']>('PUT', ADDRESS, { code: code.value }),
    (made) => {
      offered.value = undefined
      code.value = ''
      recoveryCodes.value = made.recoveryCodes
    },
  )
}

async function renew() {
  await save(
    () =>
      sendJson<Schemas['RecoveryCodesMade']>('POST', `${ADDRESS}/recovery-codes`, withPassword()),
    (made) => {
      password.value = ''
      recoveryCodes.value = made.recoveryCodes
    },
  )
}

async function remove() {
  await save(
    () => send(`${ADDRESS}/removed`, json('POST', withPassword())),
    () => {
      password.value = ''
    },
  )
  await readAgain()
}

async function written() {
  recoveryCodes.value = []
  await readAgain()
  emit('setUp')
}

function readAgain() {
  return queries.invalidateQueries({ queryKey: ['own', 'second factor'] })
}
</script>

<template>
  <section aria-label="Second factor">
    <h2>A code besides the password</h2>
    <p v-if="problem || error" class="notice" role="alert">{{ problem || sentenceOf(error) }}</p>
    <template v-if="recoveryCodes.length">
      <p>
        Write these recovery codes down, and keep them away from the device: each gets you in once
        when it is lost. They are not shown again.
      </p>
      <ol class="recovery">
        <li v-for="one in recoveryCodes" :key="one">{{ one }}</li>
      </ol>
      <Button label="I have written them down" @click="written" />
    </template>
    <form v-else-if="offered" class="form" @submit.prevent="confirm">
      <p class="whole">
        Scan the square with the program on your device that makes codes, or type its secret there;
        then type the code that it shows.
      </p>
      <img :src="offered.picture" alt="The secret as a square to be scanned" width="150" />
      <code class="secret">{{ offered.secret.replace(/(.{4})(?=.)/g, '$1 ') }}</code>
      <label for="factor-code">Code</label>
      <InputText
        id="factor-code"
        v-model="code"
        inputmode="numeric"
        autocomplete="one-time-code"
        :maxlength="LIMITS.CodeTyped.code.maxLength"
        required
        autofocus
      />
      <span></span>
      <span class="buttons">
        <Button type="submit" label="Confirm" :loading="saving" />
        <Button type="button" text label="Leave it" @click="offered = undefined" />
      </span>
    </form>
    <p v-else-if="!mine && !error" class="quiet" role="status">Looking whether there is one …</p>
    <form v-else-if="mine" class="form" @submit.prevent="mine.since ? renew() : begin()">
      <p v-if="mine.since" class="whole">
        Besides the password a code is asked for, since {{ timeWords(mine.since) }}.
        {{ count(mine.recoveryCodes) }}
        {{ mine.recoveryCodes === 1 ? 'recovery code is' : 'recovery codes are' }} left.
      </p>
      <p v-else class="whole quiet">
        A code from a device of yours is asked for besides the password: a password that somebody
        got to know is not enough then.
      </p>
      <PasswordAgain id="factor-password" v-model="password" />
      <span></span>
      <span class="buttons">
        <Button
          type="submit"
          :label="mine.since ? 'Make new recovery codes' : 'Set it up'"
          :loading="saving"
        />
        <Button
          v-if="mine.since && mine.demanded === 'NOTHING'"
          type="button"
          text
          label="Remove it"
          :disabled="!password"
          @click="remove"
        />
      </span>
    </form>
  </section>
</template>

<style scoped>
.recovery {
  columns: 2;
  font-family: ui-monospace, monospace;
}

.secret {
  align-self: center;
  overflow-wrap: anywhere;
}
</style>
