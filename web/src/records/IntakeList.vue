<script setup lang="ts">
import { json, send, sentenceOf, type Schemas } from '@/api/client'
import { timeWords } from '@/days'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'

/** The intakes of the practice: what each kind of file means, kept from the first time that one was taken. */
const queries = useQueryClient()
const { data, error } = useQuery({
  queryKey: ['intakes'],
  queryFn: () => send<Schemas['IntakeView'][]>('/api/intakes'),
})
/** Those of files in our own columns. */
const ALWAYS_THERE = [
  ['plain-people', 'Plain file of people'],
  ['plain-records', 'Plain file of records'],
] as const

const failed = ref('')
const kept = ref('')

async function retire(intake: Schemas['IntakeView']) {
  failed.value = ''
  try {
    await send(`/api/intakes/${encodeURIComponent(intake.id)}`, { method: 'DELETE' })
    await queries.invalidateQueries({ queryKey: ['intakes'] })
  } catch (failure) {
    failed.value = sentenceOf(failure)
  }
}

/** Keeps a document that came from elsewhere, or that was edited as a file. */
async function bringIn(event: Event) {
  const picker = event.target as HTMLInputElement
  const file = picker.files?.[0]
  failed.value = ''
  kept.value = ''
  if (!file) {
    return
  }
  try {
    const document = JSON.parse(await file.text()) as { id?: unknown }
    const id = typeof document.id === 'string' ? document.id : ''
    const saved = await send<Schemas['IntakeView']>(
      `/api/intakes/${encodeURIComponent(id || 'none')}`,
      json('PUT', document),
    )
    kept.value = `${saved.name} is kept, version ${saved.version}.`
    await queries.invalidateQueries({ queryKey: ['intakes'] })
  } catch (failure) {
    failed.value =
      failure instanceof SyntaxError
        ? `${file.name} is no JSON. Nothing was changed.`
        : sentenceOf(failure)
  } finally {
    picker.value = ''
  }
}
</script>

<template>
  <section>
    <h2>Intakes</h2>
    <p v-if="error || failed" class="notice" role="alert">{{ failed || sentenceOf(error) }}</p>
    <p v-else-if="!data" class="quiet">The intakes are being fetched.</p>
    <p v-else-if="data.length === 0" class="quiet">
      When a file of another system is taken, what its columns mean is kept here, and the next one
      of its kind is known.
    </p>
    <table v-if="data" class="on-sheet">
      <thead>
        <tr>
          <th>Intake</th>
          <th class="number">Version</th>
          <th>Changed</th>
          <th><span class="visually-hidden">What can be done with it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="[id, name] in ALWAYS_THERE" :key="id">
          <td>{{ name }}</td>
          <td></td>
          <td class="quiet">always there</td>
          <td><a :href="`/api/intakes/${id}/document`" download>Document</a></td>
        </tr>
        <tr v-for="intake in data" :key="intake.id">
          <td>{{ intake.name }}</td>
          <td class="number">{{ intake.version }}</td>
          <td>{{ timeWords(intake.changedAt) }} by {{ intake.changedBy }}</td>
          <td>
            <a :href="`/api/intakes/${encodeURIComponent(intake.id)}/document`" download
              >Document</a
            >
            <button type="button" class="word" @click="retire(intake)">Take out of use</button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="kept" role="status">{{ kept }}</p>
    <label class="quiet">
      Bring in an intake's document
      <input type="file" accept=".json,application/json" @change="bringIn" />
    </label>
  </section>
</template>

<style scoped>
.word {
  margin-left: 12px;
}
</style>
