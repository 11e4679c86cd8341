<script setup lang="ts">
import { FormDialog } from '@/controls'
import { LIMITS, PARAMETERS } from '@/api/limits'
import { sendJson, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { useSaving } from '@/api/saving'
import { dayOfInstant, dayWords } from '@/days'
import { count } from '@/stick'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, watch } from 'vue'
import { firstFree, slug, type JsonObject, type TermSet } from '../document'
import { isSame, means, type Term } from './members'
import { copyOf, says, sharedQuery } from './shared'
import TermMembers from './TermMembers.vue'
import TermSetVersions from './TermSetVersions.vue'
import TermTable from './TermTable.vue'
import { useMembers } from './useMembers'
import { useTermsToTake } from './useTermsToTake'

/** Gathers the codes, wordings and keywords that mean one thing, from those that occur in the records. */
const visible = defineModel<boolean>('visible', { required: true })
const {
  termSet,
  taken,
  ownAllowed = true,
  extra = undefined,
} = defineProps<{
  /** The one that is changed; nothing for a new one. */
  termSet: TermSet | undefined
  /** The ids that other term sets have. */
  taken: Set<string>
  /** Whether it may be changed in one set alone. */
  ownAllowed?: boolean
  /** A member to begin with besides those that it has. */
  extra?: JsonObject
}>()
const emit = defineEmits<{
  /** It is used as it is now, in this document. */
  save: [termSet: TermSet]
  /** It was changed for all sets. */
  shared: [saved: Schemas['TermSetSaved']]
}>()

const queries = useQueryClient()
const { data: sharedSets } = useQuery(sharedQuery)
const shared = computed(() => sharedSets.value?.find((one) => one.id === termSet?.id))
/** The shared one, where the document says the same; its changes are for all. */
const holds = computed(() =>
  shared.value && termSet && says(shared.value, termSet) ? shared.value : undefined,
)

const name = ref('')
const find = ref('')
const { members, leftOut, isIn, isTicked, isLeftOut, add, tick, leave } = useMembers()
const {
  found,
  parts,
  problem: notFound,
} = useTermsToTake(visible, find, holds, (term) => isIn(term) || isLeftOut(term))
const telling = useNewest()
const opened = ref(0)
const { save, say, saving, conflict, problem: refused } = useSaving(opened)
const problem = computed(() => refused.value || notFound.value || telling.problem.value)

watch(visible, (shown) => {
  if (shown) {
    name.value = termSet?.name ?? ''
    opened.value += 1
    find.value = ''
    found.value = undefined
    say('')
    members.value = [...(termSet?.members ?? [])]
    leftOut.value = [...((shared.value?.leftOut ?? []) as JsonObject[])]
    if (extra) {
      add(extra)
    }
  }
})

// Where they are fetched only after it was opened, what was left out is known then.
watch(shared, (now, before) => {
  if (visible.value && now && !before) {
    leftOut.value = [...(now.leftOut as JsonObject[])]
  }
})

/** In which other term sets a term is. */
function elsewhere(term: Term): string[] {
  return (sharedSets.value ?? [])
    .filter((one) => one.id !== termSet?.id)
    .filter((one) => (one.members as JsonObject[]).some((member) => means(member, term)))
    .map((one) => one.name)
}

const change = computed(() => ({
  name: name.value.trim(),
  members: members.value,
  leftOut: leftOut.value,
}))
const changed = computed(() => {
  const same = (one: JsonObject[], other: JsonObject[]) =>
    one.length === other.length && one.every((member, i) => isSame(member, other[i] ?? {}))
  return (
    !termSet ||
    change.value.name !== termSet.name ||
    !same(members.value, termSet.members) ||
    !same(leftOut.value, (shared.value?.leftOut ?? []) as JsonObject[])
  )
})

// What a change for all would do.
const effects = ref<Schemas['Effect'][]>()
const settled = refDebounced(change, 250)
watch([visible, settled, holds], ([shown, now, of]) => {
  effects.value = undefined
  telling.forget()
  if (shown && of && changed.value && now.name) {
    void telling.ask(
      (signal) =>
        sendJson<Schemas['Effect'][]>('POST', `${addressOf(of.id)}/effects`, now, { signal }),
      (told) => {
        effects.value = told
      },
    )
  }
})

function addressOf(id: string) {
  return `/api/term-sets/${encodeURIComponent(id)}` as const
}

const typed = computed(() => find.value.trim())

/** Keeps it in this document alone; one that others share gets an id and a name of its own here. */
function saveHere() {
  const given = change.value.name
  const isOwn = termSet !== undefined && holds.value === undefined
  const id = isOwn ? termSet.id : firstFree(slug(given) || 'terms', idsTaken())
  emit('save', { id, name: given, members: members.value })
  visible.value = false
}

function idsTaken(): Set<string> {
  return new Set([...taken, ...(sharedSets.value ?? []).map((one) => one.id)])
}

async function saveForAll() {
  const of = holds.value
  if (!of) {
    return
  }
  const sent = change.value
  await save(
    async () => {
      const saved = await sendJson<Schemas['TermSetSaved']>('PUT', addressOf(of.id), sent, {
        headers: { 'If-Match': `"${String(of.version)}"` },
      })
      // The sets that hold it changed, whatever is on the page by now.
      emit('shared', saved)
      void queries.invalidateQueries({ queryKey: ['criteria'] })
      void queries.invalidateQueries({ queryKey: ['lists'] })
      return saved
    },
    () => {
      // What was typed since is still to be saved.
      visible.value = JSON.stringify(sent) !== JSON.stringify(change.value)
    },
  )
  if (!problem.value || conflict.value) {
    void queries.invalidateQueries({ queryKey: ['termSets'] })
  }
}

function takeShared() {
  if (shared.value) {
    emit('save', copyOf(shared.value))
    visible.value = false
  }
}
</script>

<template>
  <FormDialog
    v-model:visible="visible"
    :header="termSet ? `Term set: ${termSet.name}` : 'New term set'"
    :width="1120"
    stacked
    :problem="problem"
    @done="saveHere"
  >
    <div class="terms">
      <p v-if="termSet && shared && !holds" class="notice calm wide" role="status">
        These are not the members of the shared “{{ shared.name }}”<template
          v-if="shared.usedBy.length"
          >, which {{ shared.usedBy.join(', ') }}
          {{ shared.usedBy.length > 1 ? 'hold' : 'holds' }}</template
        >.
        <button type="button" class="word" @click="takeShared">Take the shared one</button>
      </p>
      <label class="name">
        What it means
        <InputText
          v-model="name"
          :maxlength="LIMITS.TermSetChange.name.maxLength"
          required
          placeholder="hearing check"
        />
      </label>
      <label>
        Find in the records
        <InputText
          v-model="find"
          :maxlength="PARAMETERS['GET /api/records/terms'].find.maxLength"
          placeholder="Type a code or wording"
        />
      </label>
      <div class="found">
        <section v-for="part in parts" :key="part.label" :aria-label="part.label">
          <h2 v-if="part.title">{{ part.title }}</h2>
          <p v-if="!part.terms" class="quiet" role="status">
            {{ problem ? '' : 'The records are being looked through.' }}
          </p>
          <p v-else-if="part.terms.length === 0" class="quiet">
            Nothing in the records holds “{{ typed }}”. It can be added all the same.
          </p>
          <TermTable
            v-else
            :terms="part.terms"
            :is-in="isIn"
            :is-ticked="isTicked"
            :is-left-out="isLeftOut"
            :elsewhere="elsewhere"
            @tick="tick"
            @leave="leave"
          />
        </section>
      </div>
      <TermMembers
        v-model:members="members"
        v-model:left-out="leftOut"
        class="members"
        :typed="typed"
        @add="add"
      />
      <section v-if="holds" class="wide effects" aria-label="What changing it does" role="status">
        <p class="quiet">
          Changed by {{ holds.changedBy }}, {{ dayWords(dayOfInstant(holds.changedAt)) }}. Shared by
          {{ holds.usedBy.join(', ') || 'no set' }}.
        </p>
        <ul v-if="changed && effects?.length">
          <li v-for="(one, i) in effects" :key="i">
            <strong>{{ one.name }}</strong>
            {{ one.published ? '' : '(not published)' }} {{ count(one.on) }} on the list:
            {{ count(one.joined) }} would join, {{ count(one.left) }} would leave.
          </li>
        </ul>
        <TermSetVersions :id="holds.id" :version="holds.version" />
      </section>
    </div>
    <template #actions>
      <template v-if="holds">
        <Button
          type="button"
          label="Change it for all"
          :disabled="!name.trim() || !changed"
          :loading="saving"
          @click="saveForAll"
        />
        <Button
          v-if="ownAllowed"
          type="submit"
          text
          label="Only in this set"
          :disabled="!name.trim() || !changed"
        />
      </template>
      <Button v-else type="submit" label="Use it" :disabled="!name.trim()" />
    </template>
  </FormDialog>
</template>

<style scoped>
.terms {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 280px;
  gap: 8px 16px;
}

.terms > label {
  display: grid;
  gap: 3px;
}

.terms > .name {
  order: 1;
}

.found,
.members,
.effects {
  order: 2;
}

.wide {
  grid-column: 1 / -1;
}

h2 {
  margin: 4px 0 2px;
  font-size: 1em;
}

.found,
.members {
  height: min(400px, 46vh);
  overflow: auto;
  border: 1px solid var(--rule);
  padding: 2px 8px;
}

.effects p,
.effects ul {
  margin: 2px 0;
}

.effects ul {
  padding-left: 18px;
}
</style>
