<script setup lang="ts">
import { WholeNumber } from '@/controls'
import { send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { LIMITS } from '@/api/limits'
import { useSaving } from '@/api/saving'
import { timeWords } from '@/days'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { reactive, ref } from 'vue'
import PasswordAgain from './PasswordAgain.vue'

/** The tokens of whoever is signed in, for programs of theirs. */
type Scope = Schemas['OwnTokens']['mayBeGiven'][number]

const ADDRESS = '/api/session/tokens'
const WORDS: Record<Scope, string> = {
  LISTS_READ: 'fetches your lists',
  RECORDS_BRING_IN: 'brings people and records in',
  HEALTH_READ: 'watches whether the server is well',
}
const EMPTY = { label: '', current: '', scopes: [] as Scope[], days: 90 }

const queries = useQueryClient()
const { data: mine, error } = useQuery({
  queryKey: ['own', 'tokens'],
  queryFn: () => send<Schemas['OwnTokens']>(ADDRESS),
  staleTime: 0,
})
const draft = reactive({ ...EMPTY })
/** Told once. */
const made = ref('')
const { save, saving, problem } = useSaving('tokens')

async function make() {
  made.value = ''
  await save(
    () => sendJson<Schemas['MadeToken']>('POST', ADDRESS, draft),
    (answer) => {
      made.value = answer.token
      Object.assign(draft, EMPTY, { scopes: [] })
    },
  )
  await readAgain()
}

async function withdraw(one: Schemas['ProgramToken']) {
  await save(() => send(`${ADDRESS}/${one.id}`, { method: 'DELETE' }))
  await readAgain()
}

function readAgain() {
  return queries.invalidateQueries({ queryKey: ['own', 'tokens'] })
}

function words(scopes: readonly Scope[]): string {
  return scopes.map((scope) => WORDS[scope]).join(', ')
}
</script>

<template>
  <section aria-label="Tokens for programs">
    <h2>Tokens for programs</h2>
    <p v-if="problem || error" class="notice" role="alert">{{ problem || sentenceOf(error) }}</p>
    <p v-if="made" class="notice calm" role="status">
      Copy it into the program now; it is not shown again: <code>{{ made }}</code>
    </p>
    <p v-if="!mine && !error" class="quiet" role="status">Looking which there are …</p>
    <ul v-else-if="mine?.tokens.length" class="lines">
      <li v-for="one in mine.tokens" :key="one.id">
        <span>
          {{ one.label }}
          <span class="quiet">
            {{ words(one.scopes) }}, until {{ timeWords(one.expires) }},
            {{
              one.lastUsed
                ? `last used ${timeWords(one.lastUsed)} from ${one.lastAddress}`
                : 'never used'
            }}
          </span>
        </span>
        <button class="word" :aria-label="`Withdraw ${one.label}`" @click="withdraw(one)">
          Withdraw
        </button>
      </li>
    </ul>
    <form v-if="mine?.mayBeGiven.length" class="form" @submit.prevent="make">
      <label for="token-label">Program</label>
      <InputText
        id="token-label"
        v-model="draft.label"
        :maxlength="LIMITS.NewToken.label.maxLength"
        placeholder="as you call it"
        required
      />
      <span>What it does</span>
      <span class="scopes">
        <label v-for="scope in mine.mayBeGiven" :key="scope">
          <input v-model="draft.scopes" type="checkbox" :value="scope" /> {{ WORDS[scope] }}
        </label>
      </span>
      <label for="token-days">Days it is good</label>
      <WholeNumber
        v-model="draft.days"
        input-id="token-days"
        :min="LIMITS.NewToken.days.minimum"
        :max="LIMITS.NewToken.days.maximum"
      />
      <PasswordAgain id="token-password" v-model="draft.current" />
      <span></span>
      <span class="buttons">
        <Button
          type="submit"
          label="Make a token"
          :loading="saving"
          :disabled="draft.scopes.length === 0"
        />
      </span>
    </form>
    <p v-else-if="mine" class="quiet">There is nothing that a program could do in your role.</p>
  </section>
</template>

<style scoped>
.scopes {
  display: grid;
  gap: 2px;
}

code {
  overflow-wrap: anywhere;
}
</style>
