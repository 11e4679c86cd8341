<script setup lang="ts">
import { useColleagues } from '@/accounts'
import { send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
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
const { colleagues, groups } = useColleagues()
const shared = shallowRef<Schemas['SharingView']>()
const owner = ref('')
const everybody = ref<Right>('NONE')
const shares = ref<Grant[]>([])
const adding = ref('')
const problem = ref('')
const address = computed(() => `/api/sharing/${encodeURIComponent(id)}`)

const owners = computed(() => colleagues.value.filter((one) => one.roles.includes('COORDINATOR')))
const addable = computed(() => [
  ...Object.keys(groups.value).map((group) => ({
    key: `GROUP ${group}`,
    name: `${group} (group)`,
  })),
  ...colleagues.value
    .filter((one) => one.name !== owner.value)
    .map((one) => ({ key: `COLLEAGUE ${one.name}`, name: one.displayName })),
])

function nameOf(grant: Grant): string {
  return grant.kind === 'GROUP'
    ? `${grant.grantee} (group)`
    : (colleagues.value.find((one) => one.name === grant.grantee)?.displayName ?? grant.grantee)
}

watch(visible, async (isShown) => {
  if (!isShown) {
    return
  }
  try {
    shared.value = await send<Schemas['SharingView']>(address.value)
    owner.value = shared.value.owner
    everybody.value = shared.value.everybody
    shares.value = shared.value.shares.map((one) => ({ ...one }))
    problem.value = ''
  } catch (failure) {
    problem.value = sentenceOf(failure)
  }
})

function add() {
  const [kind, ...words] = adding.value.split(' ')
  const grantee = words.join(' ')
  const known = shares.value.some((one) => one.kind === kind && one.grantee === grantee)
  if (grantee && !known) {
    shares.value.push({ kind: kind as Grant['kind'], grantee, granted: 'WORK' })
  }
  adding.value = ''
}

async function save() {
  try {
    await sendJson(
      'PUT',
      address.value,
      { owner: owner.value, everybody: everybody.value, shares: shares.value },
      { headers: { 'If-Match': `"${String(shared.value?.revision)}"` } },
    )
    await queries.invalidateQueries()
    visible.value = false
  } catch (failure) {
    problem.value = sentenceOf(failure)
  }
}
</script>

<template>
  <Dialog v-model:visible="visible" modal :header="`Share “${name}”`" :style="{ width: '520px' }">
    <form class="form" @submit.prevent="save">
      <p v-if="problem" class="notice whole" role="alert">{{ problem }}</p>
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
      <label for="share-add">Share with</label>
      <select id="share-add" v-model="adding" @change="add">
        <option value="">a colleague or a group…</option>
        <option v-for="one in addable" :key="one.key" :value="one.key">{{ one.name }}</option>
      </select>
      <p class="quiet whole">
        Nobody can do more than their role allows: callers and clinicians work lists, managers look
        at them, administrators see none.
      </p>
      <span></span>
      <span class="buttons">
        <Button type="submit" label="Save" />
        <Button type="button" text label="Leave as it was" @click="visible = false" />
      </span>
    </form>
  </Dialog>
</template>
