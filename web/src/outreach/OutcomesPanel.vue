<script setup lang="ts">
import { send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { LIMITS } from '@/api/limits'
import { useSaving } from '@/api/saving'
import { useTyping } from '@/api/typing'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { EFFECTS } from './words'

type Outcome = Pick<Schemas['AttemptOutcome'], 'id' | 'name' | 'effect'>

/** What can come of an attempt, on all lists: which outcomes are offered, in which order, and what each means. */
const queries = useQueryClient()
const { save: keep, saving, problem } = useSaving('outcomes')
const told = ref('')

const { data: known, error } = useQuery({
  queryKey: ['outcomes'],
  queryFn: () => send<Schemas['KnownOutcomes']>('/api/outcomes'),
})
const { draft, ifMatch, saved, begin } = useTyping(
  () => 'outcomes',
  () => known.value && { value: offered(known.value.outcomes), revision: known.value.revision },
)
const drafts = computed(() => draft.value ?? [])

function offered(all: readonly Schemas['AttemptOutcome'][]): Outcome[] {
  return all.filter((one) => one.inUse).map(({ id, name, effect }) => ({ id, name, effect }))
}

/** The code of the contact records; never changed after it was first saved. */
function idOf(name: string): string {
  return name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
}

function raise(i: number) {
  drafts.value.splice(i - 1, 0, ...drafts.value.splice(i, 1))
}

async function save() {
  // The code of a new one stays with it from now on, also where it is gone on with meanwhile.
  for (const one of drafts.value) {
    one.id ||= idOf(one.name) || `own-${crypto.randomUUID().slice(0, 8)}`
  }
  const sent = drafts.value.map((one) => ({ ...one }))
  told.value = ''
  const done = await keep(
    () =>
      sendJson<Schemas['KnownOutcomes']>('PUT', '/api/outcomes', { outcomes: sent }, ifMatch.value),
    (answer) => {
      saved(sent, answer.revision)
      told.value = 'Saved. Every desk offers these now.'
    },
  )
  if (done) {
    await queries.invalidateQueries()
  }
}
</script>

<template>
  <section aria-label="Outcomes">
    <p v-if="problem || error" class="notice" role="alert">{{ problem || sentenceOf(error) }}</p>
    <p class="quiet">
      What can come of an attempt, on all lists. The first nine have the digits as keys at the desk.
      What an outcome means decides which step the contact plan suggests next.
    </p>
    <p v-if="!draft && !error" class="quiet">The outcomes are being fetched.</p>
    <form v-if="draft" @submit.prevent="save">
      <ol>
        <li v-for="(outcome, i) in drafts" :key="i">
          <InputText
            v-model="outcome.name"
            size="small"
            required
            :maxlength="LIMITS.OfferedOutcome.name.maxLength"
            :aria-label="`Name of outcome ${String(i + 1)}`"
          />
          means
          <select
            v-model="outcome.effect"
            class="plain"
            :aria-label="`What outcome ${String(i + 1)} means`"
          >
            <option v-for="one in EFFECTS" :key="one.effect" :value="one.effect">
              {{ one.name }}
            </option>
          </select>
          <button
            v-if="i > 0"
            type="button"
            class="word"
            :aria-label="`${outcome.name} one up`"
            @click="raise(i)"
          >
            ↑
          </button>
          <button
            type="button"
            class="word"
            :aria-label="`Offer ${outcome.name} no more`"
            @click="drafts.splice(i, 1)"
          >
            offer no more
          </button>
        </li>
      </ol>
      <p>
        <button
          type="button"
          class="word"
          @click="drafts.push({ id: '', name: '', effect: 'NOT_REACHED' })"
        >
          Add one of our own
        </button>
      </p>
      <p class="buttons">
        <Button type="submit" label="Save" :loading="saving" />
        <Button type="button" text label="Leave as it was" @click="begin" />
        <span role="status">{{ told }}</span>
      </p>
    </form>
  </section>
</template>

<style scoped>
ol {
  margin: 0;
  padding-left: 26px;
}

li {
  padding: 2px 0;
}

li .word {
  margin-left: 8px;
}
</style>
