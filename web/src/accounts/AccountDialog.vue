<script setup lang="ts">
import { FormDialog } from '@/controls'
import { LIMITS, PARAMETERS } from '@/api/limits'
import passwords from '@/session/passwords.json'
import { ifMatch, sendJson } from '@/api/client'
import { useSaving } from '@/api/saving'
import type { Role } from '@/session'
import InputText from 'primevue/inputtext'
import { reactive, ref, watch } from 'vue'
import { ROLE_DOES, ROLES, type Account } from './roles'

/** An account: what somebody may do, and whose people and which lists they see. */
const visible = defineModel<boolean>('visible', { required: true })
const { account = undefined } = defineProps<{ account?: Account }>()
const emit = defineEmits<{ saved: [] }>()

const draft = reactive({
  name: '',
  displayName: '',
  roles: [] as Role[],
  provider: '',
  ownPeopleOnly: false,
  givenListsOnly: false,
  closed: false,
  email: '',
  password: '',
})
const opened = ref(0)
const { save: keep, say, saving, problem } = useSaving(opened)
/** The revision that was changed; it goes on with what is saved. */
const revision = ref(0)

watch(visible, (shown) => {
  if (shown) {
    Object.assign(draft, {
      name: account?.name ?? '',
      displayName: account?.displayName ?? '',
      roles: [...(account?.roles ?? ['CALLER'])],
      provider: account?.provider ?? '',
      ownPeopleOnly: account?.ownPeopleOnly ?? false,
      givenListsOnly: account?.givenListsOnly ?? false,
      closed: account?.closed ?? false,
      email: account?.email ?? '',
      password: '',
    })
    revision.value = account?.revision ?? 0
    opened.value += 1
    say('')
  }
})

async function save() {
  const { name, ...change } = draft
  if (change.roles.length === 0) {
    say('Somebody needs a role to do anything. Nothing was saved.')
    return
  }
  const sent = JSON.stringify(draft)
  await keep(
    () =>
      sendJson<Account>(
        'PUT',
        `/api/accounts/${encodeURIComponent(name.trim())}`,
        change,
        ifMatch(revision.value),
      ),
    (answer) => {
      revision.value = answer.revision
      emit('saved')
      // What was typed since is still to be saved.
      visible.value = JSON.stringify(draft) !== sent
    },
  )
}
</script>

<template>
  <FormDialog
    v-model:visible="visible"
    :header="account ? account.displayName : 'New account'"
    action="Save"
    :width="560"
    :problem="problem"
    :busy="saving"
    @done="save"
  >
    <template v-if="!account">
      <label for="account-name">Signs in as</label>
      <InputText
        id="account-name"
        v-model="draft.name"
        required
        :maxlength="PARAMETERS['PUT /api/accounts/{name}'].name.maxLength"
        autofocus
      />
    </template>
    <label for="account-display">Name</label>
    <InputText
      id="account-display"
      v-model="draft.displayName"
      required
      :maxlength="LIMITS.AccountChange.displayName.maxLength"
    />
    <label for="account-email">E-mail</label>
    <InputText
      id="account-email"
      v-model="draft.email"
      type="email"
      :maxlength="LIMITS.AccountChange.email.maxLength"
      placeholder="where they read what is sent to them; may be empty"
    />
    <span>Roles</span>
    <span class="roles">
      <label v-for="(does, role) in ROLE_DOES" :key="role">
        <input
          v-model="draft.roles"
          type="checkbox"
          :value="role"
          :disabled="account?.vouchedFor"
        />
        {{ ROLES[role] }}<span class="quiet">: {{ does }}</span>
      </label>
      <span v-if="account?.vouchedFor" class="quiet">
        as the practice’s sign-in service says each time they come
      </span>
    </span>
    <label for="account-provider">Provider</label>
    <InputText
      id="account-provider"
      v-model="draft.provider"
      :maxlength="LIMITS.AccountChange.provider.maxLength"
      placeholder="as the records name them; for clinicians"
    />
    <span></span>
    <label>
      <input v-model="draft.ownPeopleOnly" type="checkbox" /> sees the people of this provider only
    </label>
    <span></span>
    <label>
      <input v-model="draft.givenListsOnly" type="checkbox" /> sees lists shared with them by name
      or group only, not everybody’s
    </label>
    <label v-if="!account?.vouchedFor" for="account-password">Password</label>
    <InputText
      v-if="!account?.vouchedFor"
      id="account-password"
      v-model="draft.password"
      type="password"
      autocomplete="new-password"
      :placeholder="
        account ? 'stays as it is' : `at least ${String(passwords.shortest)} characters`
      "
      :required="!account"
    />
    <template v-if="account">
      <span></span>
      <label><input v-model="draft.closed" type="checkbox" /> closed: can sign in no more</label>
    </template>
  </FormDialog>
</template>

<style scoped>
.roles {
  display: grid;
  gap: 2px;
}
</style>
