<script setup lang="ts">
import { usePageTitle } from '@/address'
import { Problem, sentenceOf } from '@/api/client'
import { LIMITS } from '@/api/limits'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import FirstAccountForm from './FirstAccountForm.vue'
import { canUsePasskeys } from './passkeys'
import { goToService, refusalIn } from './signInService'
import { useSession } from './session'

const session = useSession()
usePageTitle(() => ['Sign in'])
const name = ref('')
const password = ref('')
const code = ref('')
/** Whether the account has a second factor, which is told once its password was right. */
const codeWanted = ref(false)
const problem = ref('')
/** Why the sign-in service, from which the browser comes back, let nobody in. */
const refused = ref(refusalIn(location.search))
const busy = ref(false)
const service = computed(() => session.current?.service)
/** Whether the form for a password is wanted though one account only has one that is good. */
const emergency = ref(false)
const showsForm = computed(() => !service.value?.alone || emergency.value)
const demoAccounts = computed(() => session.current?.demoAccounts ?? [])

function signIn() {
  return trying(() => session.signIn(name.value, password.value, code.value))
}

async function trying(way: () => Promise<void>) {
  busy.value = true
  problem.value = ''
  refused.value = ''
  try {
    await way()
  } catch (failure) {
    const type = failure instanceof Problem ? failure.type : ''
    codeWanted.value = ['code-wanted', 'code-refused'].includes(type)
    code.value = ''
    problem.value = sentenceOf(failure)
  } finally {
    busy.value = false
  }
}

function fillIn(account: { name: string; password: string }) {
  codeWanted.value = false
  name.value = account.name
  password.value = account.password
}
</script>

<template>
  <main class="door">
    <div class="card">
      <header>
        <img src="/mark.svg" alt="" width="40" height="40" />
        <div>
          <h1>Dipstick</h1>
          <p class="quiet">{{ session.current?.practice || 'Recall and outreach lists' }}</p>
        </div>
      </header>

      <FirstAccountForm v-if="session.current?.firstAccountNeeded" @created="session.reload()" />

      <template v-else>
        <p v-if="refused" class="notice" role="alert">{{ refused }}</p>
        <Button
          v-if="service"
          class="wide"
          :label="`Sign in with ${service.label}`"
          :disabled="busy"
          @click="goToService(service.begins)"
        />
        <p v-if="service && showsForm && !service.alone" class="quiet">
          or with a password kept here
        </p>
        <p v-if="!showsForm">
          <button class="word" @click="emergency = true">Sign in with the emergency account</button>
        </p>
      </template>

      <form v-if="!session.current?.firstAccountNeeded && showsForm" @submit.prevent="signIn">
        <label for="name">Name</label>
        <InputText id="name" v-model="name" autocomplete="username" autofocus required />
        <label for="password">Password</label>
        <InputText
          id="password"
          v-model="password"
          type="password"
          autocomplete="current-password"
          required
        />
        <template v-if="codeWanted">
          <label for="code">Code, or a recovery code</label>
          <InputText
            id="code"
            v-model="code"
            autocomplete="one-time-code"
            :maxlength="LIMITS.CodeTyped.code.maxLength"
            autofocus
            required
          />
        </template>
        <p v-if="problem" class="notice" role="alert">{{ problem }}</p>
        <Button type="submit" label="Sign in" :loading="busy" />
        <Button
          v-if="canUsePasskeys()"
          type="button"
          text
          label="Sign in with a passkey"
          :disabled="busy"
          @click="trying(session.signInWithPasskey)"
        />
      </form>

      <section v-if="demoAccounts.length" class="demo" aria-label="Demo accounts">
        <p>This is the demo: everybody in it is invented. Sign in as</p>
        <ul>
          <li v-for="account in demoAccounts" :key="account.name">
            <button class="word" type="button" @click="fillIn(account)">{{ account.who }}</button>{{
              ' '
            }}
            <span class="quiet secret">{{ account.name }} / {{ account.password }}</span>
          </li>
        </ul>
      </section>
    </div>
  </main>
</template>

<style scoped>
.secret {
  white-space: nowrap;
}

.door {
  flex: 1;
  display: grid;
  place-items: center;
}

.card {
  width: 400px;
  background: var(--sheet);
  border: 1px solid var(--rule);
  border-left: 6px solid var(--amber);
  padding: 24px 28px;
}

header {
  display: flex;
  gap: 14px;
  align-items: center;
  margin-bottom: 18px;
}

header p {
  margin: 0;
}

form {
  display: grid;
  gap: 6px;
}

.wide {
  width: 100%;
}

form > button {
  margin-top: 10px;
}

.demo {
  margin-top: 20px;
  border-top: 1px solid var(--rule);
  padding-top: 4px;
}

.demo ul {
  padding-left: 18px;
  margin: 0;
}

.demo li {
  margin: 4px 0;
}

.demo .quiet {
  margin-left: 8px;
}
</style>
