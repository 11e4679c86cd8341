<script setup lang="ts">
import { Dialog } from '@/controls'
import { send, sendJson, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import { timeWords } from '@/days'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { reactive, ref, watch } from 'vue'
import { useSession } from './session'
import passwords from './passwords.json'
import TokensPanel from './TokensPanel.vue'
import PasskeysPanel from './PasskeysPanel.vue'
import SecondFactorPanel from './SecondFactorPanel.vue'

/** What each person does about their own account: where it is signed in, its password, its second factor
 * and passkeys, and tokens for programs. */
const visible = defineModel<boolean>('visible', { required: true })

const session = useSession()
const queries = useQueryClient()
const draft = reactive({ current: '', password: '', again: '' })
const told = ref('')

const { data: sessions } = useQuery({
  queryKey: ['own', 'sessions'],
  queryFn: () => send<Schemas['SignedInAt'][]>('/api/session/sessions'),
  enabled: visible,
  staleTime: 0,
})
const { save, saving, problem, say } = useSaving(() => visible.value)

watch(visible, () => {
  Object.assign(draft, { current: '', password: '', again: '' })
  told.value = ''
})

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
      Object.assign(draft, { current: '', password: '', again: '' })
      told.value = 'The password is changed, and you are signed out everywhere else.'
    },
  )
  await queries.invalidateQueries({ queryKey: ['own', 'sessions'] })
}

async function end(id: string) {
  await save(() => send(`/api/session/sessions/${id}`, { method: 'DELETE' }))
  await queries.invalidateQueries({ queryKey: ['own', 'sessions'] })
}

/** A browser's name for itself, as far as it says anything to a person. */
function browserWords(browser: string): string {
  const name = ['Edg', 'Firefox', 'Chrome', 'Safari'].find((one) => browser.includes(`${one}/`))
  const system = ['Windows', 'Android', 'iPhone', 'iPad', 'Macintosh', 'Linux'].find((one) =>
    browser.includes(one),
  )
  const words = [name === 'Edg' ? 'Edge' : name, system && `on ${system}`]
  return words.filter((one) => one).join(' ') || browser || 'a program that does not say its name'
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="session.signedIn?.displayName ?? ''"
    :style="{ width: '1000px', maxWidth: '97vw' }"
  >
    <div class="sides">
      <section aria-label="Password">
        <p v-if="problem" class="notice" role="alert">{{ problem }}</p>
        <h2>Signed in</h2>
        <p v-if="!sessions" class="quiet" role="status">Looking where …</p>
        <ul v-else class="lines sessions">
          <li v-for="one in sessions" :key="one.id">
            <span>
              {{ browserWords(one.browser) }}, {{ one.address }}
              <span class="quiet">since {{ timeWords(one.since) }}</span>
            </span>
            <strong v-if="one.here">here</strong>
            <button v-else class="word" @click="end(one.id)">Sign out there</button>
          </li>
        </ul>
        <p v-if="session.signedIn?.vouchedFor">
          You sign in with {{ session.current?.service?.label }}, which keeps your password and asks
          for a second factor.
        </p>
        <h2 v-if="!session.signedIn?.vouchedFor">Another password</h2>
        <form v-if="!session.signedIn?.vouchedFor" class="form" @submit.prevent="change">
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
            <Button type="button" text label="Close" @click="visible = false" />
          </span>
        </form>
        <p v-if="told" role="status">{{ told }}</p>
        <TokensPanel v-if="visible" />
      </section>
      <div v-if="visible && !session.signedIn?.vouchedFor">
        <SecondFactorPanel />
        <PasskeysPanel />
      </div>
    </div>
  </Dialog>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(400px, 100%), 1fr));
  gap: 0 40px;
}
</style>
