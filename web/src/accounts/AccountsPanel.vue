<script setup lang="ts">
import { PARAMETERS } from '@/api/limits'
import { ifMatch, send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import AccountDialog from './AccountDialog.vue'
import SecondFactorDemand from './SecondFactorDemand.vue'
import { ROLES, type Account } from './roles'
import { useColleagues, type Group } from './colleagues'

/** Who may sign in, and as what; groups; handing over what somebody holds. */
const queries = useQueryClient()
const { data: accounts, error } = useQuery({
  queryKey: ['accounts'],
  queryFn: () => send<Account[]>('/api/accounts'),
})
const { colleagues, groups, working, fetched, problem: unknown } = useColleagues()

const dialogShown = ref(false)
const opened = ref<Account>()
const heirs = ref<Record<string, string>>({})
const newGroup = ref('')
const { save, problem } = useSaving('accounts')
const told = ref('')

function open(account?: Account) {
  opened.value = account
  dialogShown.value = true
}

async function readAgain() {
  await queries.invalidateQueries({ queryKey: ['accounts'] })
  await queries.invalidateQueries({ queryKey: ['colleagues'] })
}

async function doing(what: () => Promise<unknown>) {
  await save(what)
  await readAgain()
}

function handOver(account: Account) {
  const to = heirs.value[account.name]
  if (to) {
    const address = `/api/accounts/${encodeURIComponent(account.name)}/hand-over` as const
    void doing(async () => {
      told.value = (await sendJson<Schemas['HandedOn']>('POST', address, { to })).words
    })
  }
}

/** For who lost the device and the recovery codes. */
function removeFactor(account: Account) {
  const sure = `Remove the second factor of ${account.displayName}? Only the password is asked for then.`
  if (window.confirm(sure)) {
    const address = `/api/accounts/${encodeURIComponent(account.name)}/second-factor` as const
    void doing(() => send(address, { method: 'DELETE' }))
  }
}

function turnMember(group: Group, name: string) {
  const members = group.members.includes(name)
    ? group.members.filter((one) => one !== name)
    : [...group.members, name]
  const address = `/api/groups/${encodeURIComponent(group.name)}` as const
  void doing(() => sendJson('PUT', address, { members }, ifMatch(group.revision)))
}

/** A group is there as long as somebody is in it; one that was begun waits here for the first. */
const begun = ref<string[]>([])
const allGroups = computed<Group[]>(() => [
  ...groups.value,
  ...begun.value
    .filter((name) => !groups.value.some((group) => group.name === name))
    .map((name) => ({ name, members: [], revision: 0 })),
])

function beginGroup() {
  const name = newGroup.value.trim()
  if (name && !allGroups.value.some((group) => group.name === name)) {
    begun.value.push(name)
  }
  newGroup.value = ''
}
</script>

<template>
  <section aria-label="Accounts">
    <p v-if="problem || error" class="notice" role="alert">{{ problem || sentenceOf(error) }}</p>
    <p v-if="told" class="notice calm" role="status">{{ told }}</p>
    <p><Button size="small" label="New account" @click="open()" /></p>
    <p v-if="!accounts && !error" class="quiet">The accounts are being fetched.</p>
    <table v-if="accounts" class="ledger">
      <thead>
        <tr>
          <th>Name</th>
          <th>Roles</th>
          <th>Sees</th>
          <th>Holds</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="account in accounts" :key="account.name" :class="{ closed: account.closed }">
          <td>
            <button class="word" @click="open(account)">{{ account.displayName }}</button>
            <span class="quiet sign-in"
              >{{ account.name }}{{ account.closed ? ', closed' : ''
              }}{{ account.vouchedFor ? ', by the sign-in service' : ''
              }}{{ account.secondFactor ? ', with a second factor' : '' }}</span
            >
            <Button
              v-if="account.secondFactor"
              size="small"
              text
              label="Remove that"
              :aria-label="`Remove the second factor of ${account.displayName}`"
              @click="removeFactor(account)"
            />
          </td>
          <td>{{ account.roles.map((role) => ROLES[role]).join(', ') }}</td>
          <td>
            {{ account.ownPeopleOnly ? `own people (${account.provider})` : ''
            }}{{ account.givenListsOnly ? ' given lists only' : '' }}
          </td>
          <td>
            <template v-if="account.holds.length">
              {{ account.holds.join(' and ') }}:
              <select
                v-model="heirs[account.name]"
                class="plain"
                :aria-label="`Who takes over from ${account.displayName}`"
              >
                <option
                  v-for="one in working.filter((other) => other.name !== account.name)"
                  :key="one.name"
                  :value="one.name"
                >
                  {{ one.displayName }}
                </option>
              </select>
              <Button
                size="small"
                text
                label="Hand over"
                :disabled="!heirs[account.name]"
                @click="handOver(account)"
              />
            </template>
          </td>
        </tr>
      </tbody>
    </table>

    <SecondFactorDemand />

    <h2>Groups</h2>
    <p class="quiet">Lists can be shared with a group. It is there as long as somebody is in it.</p>
    <p v-if="unknown" class="notice" role="alert">{{ unknown }}</p>
    <p v-else-if="!fetched" class="quiet">The groups are being fetched.</p>
    <div v-for="group in allGroups" :key="group.name" class="group">
      <strong>{{ group.name }}</strong>
      <span v-if="group.members.length === 0" class="quiet">Who is in it?</span>
      <label v-for="one in colleagues" :key="one.name">
        <input
          type="checkbox"
          :checked="group.members.includes(one.name)"
          @click.prevent="turnMember(group, one.name)"
        />
        {{ one.displayName }}
      </label>
    </div>
    <form v-if="fetched" class="group" @submit.prevent="beginGroup">
      <input
        v-model="newGroup"
        class="plain"
        aria-label="Name of a new group"
        :maxlength="PARAMETERS['PUT /api/groups/{group}'].group.maxLength"
      />
      <Button type="submit" size="small" text label="Begin a group" />
    </form>

    <AccountDialog v-model:visible="dialogShown" :account="opened" @saved="readAgain" />
  </section>
</template>

<style scoped>
.sign-in {
  margin-left: 8px;
}

.closed {
  color: var(--soft-ink);
}

h2 {
  margin: 14px 0 2px;
}

.group {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  padding: 3px 0;
}

.plain {
  border: 1px solid var(--rule);
  border-radius: 3px;
  background: var(--sheet);
  padding: 3px 6px;
}
</style>
