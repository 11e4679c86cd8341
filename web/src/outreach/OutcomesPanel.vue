<script setup lang="ts">
import { send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { ref, watch } from 'vue'
import { EFFECTS } from './words'

type Outcome = Pick<Schemas['AttemptOutcome'], 'id' | 'name' | 'effect'>

/** What can come of an attempt, on all lists: which outcomes are offered, in which order, and what each means. */
const queries = useQueryClient()
const drafts = ref<Outcome[]>([])
const problem = ref('')
const told = ref('')

const { data: known, error } = useQuery({
  queryKey: ['outcomes'],
  queryFn: () => send<Schemas['KnownOutcomes']>('/api/outcomes'),
})

function readAgain() {
  drafts.value = (known.value?.outcomes ?? [])
    .filter((one) => one.inUse)
    .map(({ id, name, effect }) => ({ id, name, effect }))
  problem.value = ''
}
watch(known, readAgain, { immediate: true })

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
  const outcomes = drafts.value.map((one) => ({
    ...one,
    id: one.id || idOf(one.name) || `own-${crypto.randomUUID().slice(0, 8)}`,
  }))
  try {
    await sendJson(
      'PUT',
      '/api/outcomes',
      { outcomes },
      { headers: { 'If-Match': `"${String(known.value?.revision)}"` } },
    )
    problem.value = ''
    told.value = 'Saved. Every desk offers these now.'
    await queries.invalidateQueries()
  } catch (failure) {
    told.value = ''
    problem.value = sentenceOf(failure)
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
    <form @submit.prevent="save">
      <ol>
        <li v-for="(outcome, i) in drafts" :key="i">
          <InputText
            v-model="outcome.name"
            size="small"
            required
            maxlength="100"
            :aria-label="`Name of outcome ${String(i + 1)}`"
          />
          means
          <Select
            v-model="outcome.effect"
            :options="[...EFFECTS]"
            option-label="name"
            option-value="effect"
            size="small"
            :aria-label="`What outcome ${String(i + 1)} means`"
          />
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
        <Button type="submit" label="Save" />
        <Button type="button" text label="Leave as it was" @click="readAgain" />
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
