<script setup lang="ts">
import { FormDialog } from '@/controls'
import { useColleagues } from '@/accounts'
import { ifMatch, send, sendJson, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { useSaving } from '@/api/saving'
import { useQueryClient } from '@tanstack/vue-query'
import Select from 'primevue/select'
import { computed, ref, shallowRef, watch } from 'vue'

type Right = Schemas['SharingView']['everybody']
type Grant = Schemas['Grant']

/** With whom a set and its list are shared, and whose they are. */
const visible = defineModel<boolean>('visible', { required: true })
const { id, name } = defineProps<{ id: string; name: string }>()

const RIGHTS: readonly { right: Right; name: string }[] = [
  { right: 'NONE', name: 'nothing' },
  { right: 'VIEW', name: 'look at it' },
  { right: 'WORK', name: 'work the list' },
  { right: 'CHANGE', name: 'change it' },
]

const queries = useQueryClient()
const { colleagues, groups, withDuty, fetched, problem: unknown } = useColleagues()
const shared = shallowRef<Schemas['SharingView']>()
const owner = ref('')
const everybody = ref<Right>('NONE')
const shares = ref<Grant[]>([])
const opened = ref(0)
const { ask, forget, problem: asked } = useNewest()
const { save: keep, say, saving, problem: refused } = useSaving(opened)
const problem = computed(() => refused.value || asked.value || unknown.value)
const address = computed(() => `/api/sharing/${encodeURIComponent(id)}` as const)

const owners = computed(() => withDuty('COORDINATE'))
const addable = computed(() => [
  ...groups.value.map((group) => ({ key: `GROUP ${group.name}`, name: `${group.name} (group)` })),
  ...colleagues.value
    .filter((one) => one.name !== owner.value)
    .map((one) => ({ key: `COLLEAGUE ${one.name}`, name: one.displayName })),
])

function nameOf(grant: Grant): string {
  return grant.kind === 'GROUP'
    ? `${grant.grantee} (group)`
    : (colleagues.value.find((one) => one.name === grant.grantee)?.displayName ?? grant.grantee)
}

watch([visible, () => id], ([isShown]) => {
  forget()
  shared.value = undefined
  opened.value += 1
  say('')
  if (isShown) {
    void ask(
      (signal) => send<Schemas['SharingView']>(address.value, { signal }),
      (answer) => {
        shared.value = answer
        owner.value = answer.owner
        everybody.value = answer.everybody
        shares.value = answer.shares.map((one) => ({ ...one }))
      },
    )
  }
})

function add(key: string) {
  const [kind, ...words] = key.split(' ')
  const grantee = words.join(' ')
  const known = shares.value.some((one) => one.kind === kind && one.grantee === grantee)
  if (grantee && !known) {
    shares.value.push({ kind: kind as Grant['kind'], grantee, granted: 'WORK' })
  }
}

function change() {
  return { owner: owner.value, everybody: everybody.value, shares: shares.value }
}

async function save() {
  const sent = JSON.stringify(change())
  const done = await keep(
    () =>
      sendJson<Schemas['SharingView']>(
        'PUT',
        address.value,
        change(),
        ifMatch(shared.value?.revision),
      ),
    (answer) => {
      shared.value = answer
      // What was changed since is still to be saved.
      visible.value = JSON.stringify(change()) !== sent
    },
  )
  if (done) {
    await queries.invalidateQueries()
  }
}
</script>

<template>
  <FormDialog
    v-model:visible="visible"
    :header="`Share “${name}”`"
    action="Save"
    :problem="problem"
    :busy="saving"
    :fetching="shared && fetched ? '' : 'With whom it is shared is being fetched.'"
    @done="save"
  >
    <label for="share-owner">Whose it is</label>
    <select id="share-owner" v-model="owner">
      <option v-for="one in owners" :key="one.name" :value="one.name">
        {{ one.displayName }}
      </option>
      <option
        v-if="shared && !owners.some((one) => one.name === shared?.owner)"
        :value="shared.owner"
      >
        {{ shared.ownerName }}
      </option>
    </select>
    <label for="share-everybody">Everybody may</label>
    <select id="share-everybody" v-model="everybody">
      <option v-for="one in RIGHTS" :key="one.right" :value="one.right">{{ one.name }}</option>
    </select>
    <template v-for="(grant, i) in shares" :key="`${grant.kind} ${grant.grantee}`">
      <label :for="`share-${String(i)}`">{{ nameOf(grant) }} may</label>
      <span>
        <select :id="`share-${String(i)}`" v-model="grant.granted">
          <option v-for="one in RIGHTS.slice(1)" :key="one.right" :value="one.right">
            {{ one.name }}
          </option>
        </select>
        <button
          type="button"
          class="word"
          :aria-label="`Share with ${nameOf(grant)} no more`"
          @click="shares.splice(i, 1)"
        >
          no more
        </button>
      </span>
    </template>
    <span id="share-add">Share with</span>
    <Select
      :model-value="undefined"
      :options="addable"
      option-label="name"
      option-value="key"
      filter
      placeholder="a colleague or a group…"
      aria-labelledby="share-add"
      @update:model-value="add($event as string)"
    />
    <p class="quiet whole">
      Nobody can do more than their role allows: callers and clinicians work lists, managers look at
      them, administrators see none.
    </p>
  </FormDialog>
</template>
