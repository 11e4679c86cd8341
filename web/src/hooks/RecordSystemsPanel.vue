<script setup lang="ts">
import { LIMITS, PARAMETERS } from '@/api/limits'
import { FormDialog } from '@/controls'
import { ifMatch, send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import { useSession } from '@/session'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import { computed, reactive, ref } from 'vue'
import StandIn from './StandIn.vue'

type RecordSystem = Schemas['RecordSystem']

/** Which record systems may ask what is due of somebody who is opened or booked there. */
const session = useSession()
const queries = useQueryClient()
const isAdministrator = computed(() => session.has('KEEP_HOUSE'))
const { data: known, error } = useQuery({
  queryKey: ['record-systems'],
  queryFn: () => send<Schemas['KnownSystems']>('/api/record-systems'),
  enabled: isAdministrator,
})
const { data: standIn } = useQuery({
  queryKey: ['record-systems', 'stand-in'],
  queryFn: () => send<Schemas['StandInState']>('/api/stand-in/record-system'),
  enabled: computed(() => session.has('COORDINATE')),
})

const draft = reactive<RecordSystem>({
  id: '',
  name: '',
  issuer: '',
  keys: '',
  numberSystem: '',
  source: '',
  revision: 0,
})
const shown = ref(false)
const opened = ref(0)
const { save: keep, say, saving, problem } = useSaving(opened)

function change(one?: RecordSystem) {
  const nothing = { id: '', name: '', issuer: '', keys: '', numberSystem: '', source: '' }
  Object.assign(draft, { ...nothing, revision: 0 }, one)
  opened.value += 1
  say('')
  shown.value = true
}

async function readAgain() {
  await queries.invalidateQueries({ queryKey: ['record-systems'] })
}

async function save() {
  const { id, revision, ...rest } = draft
  await keep(
    () =>
      sendJson<RecordSystem>(
        'PUT',
        `/api/record-systems/${encodeURIComponent(id.trim())}`,
        rest,
        revision > 0 ? ifMatch(revision) : {},
      ),
    () => {
      shown.value = false
    },
  )
  await readAgain()
}

const removing = ref<RecordSystem>()
async function remove() {
  const one = removing.value
  if (one) {
    await keep(() =>
      send(`/api/record-systems/${encodeURIComponent(one.id)}`, { method: 'DELETE' }),
    )
    removing.value = undefined
    await readAgain()
  }
}
</script>

<template>
  <section aria-label="Record systems">
    <template v-if="isAdministrator">
      <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
      <p v-else-if="!known" class="quiet">The record systems are being fetched.</p>
      <template v-else>
        <p>
          A record system that is named here may ask what is due of somebody who is opened or booked
          there (CDS Hooks 2.0), at <code>{{ known.address }}</code>. It is told by the lists that
          say so under <em>Prompts</em> at their desk.
        </p>
        <p v-if="problem && !shown" class="notice" role="alert">{{ problem }}</p>
        <p v-if="known.systems.length === 0" class="quiet">None may ask yet.</p>
        <ul>
          <li v-for="one in known.systems" :key="one.id">
            <strong>{{ one.name }}</strong>
            <span class="quiet">signs as {{ one.issuer }}</span>
            <span class="quiet">{{
              one.numberSystem
                ? `people by ${one.numberSystem}`
                : 'people by the id of its patients'
            }}</span>
            <button class="word" @click="change(one)">Change it</button>
            <template v-if="removing?.id === one.id">
              <button class="word" @click="remove">Yes, {{ one.name }} may ask no more</button>
              <button class="word" @click="removing = undefined">Leave it</button>
            </template>
            <button v-else class="word" @click="removing = one">Remove</button>
          </li>
        </ul>
        <Button size="small" label="Let a record system ask" @click="change()" />
      </template>
    </template>
    <StandIn v-if="standIn?.there" />
    <FormDialog
      v-model:visible="shown"
      :header="draft.revision > 0 ? draft.name : 'A record system that may ask'"
      action="Save"
      :width="620"
      :problem="problem"
      :busy="saving"
      @done="save"
    >
      <template v-if="draft.revision === 0">
        <label for="system-id">Short name</label>
        <InputText
          id="system-id"
          v-model="draft.id"
          required
          :maxlength="PARAMETERS['PUT /api/record-systems/{id}'].id.maxLength"
          pattern="[a-z0-9\-]+"
          placeholder="small letters, digits and hyphens"
        />
      </template>
      <label for="system-name">Name</label>
      <InputText
        id="system-name"
        v-model="draft.name"
        required
        :maxlength="LIMITS.SystemChange.name.maxLength"
      />
      <label for="system-issuer">Signs as</label>
      <InputText
        id="system-issuer"
        v-model="draft.issuer"
        required
        :maxlength="LIMITS.SystemChange.issuer.maxLength"
        placeholder="the iss of its tokens"
      />
      <label for="system-keys">Public keys</label>
      <Textarea
        id="system-keys"
        v-model="draft.keys"
        required
        rows="4"
        :maxlength="LIMITS.SystemChange.keys.maxLength"
        placeholder='{"keys": […]}, as the record system gives them'
      />
      <label for="system-numbers">Identifier</label>
      <InputText
        id="system-numbers"
        v-model="draft.numberSystem"
        :maxlength="LIMITS.SystemChange.numberSystem.maxLength"
        placeholder="system of the number; empty: the id of its patients"
      />
      <label for="system-source">Source</label>
      <InputText
        id="system-source"
        v-model="draft.source"
        :maxlength="LIMITS.SystemChange.source.maxLength"
        placeholder="the source in Records whose numbers these are; may be empty"
      />
    </FormDialog>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0 0 8px;
  padding: 0;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}
</style>
