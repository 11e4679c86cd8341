<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { timeWords } from '@/days'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { ref, shallowRef } from 'vue'
import DeliverySheet from './DeliverySheet.vue'
import type { DeliveryView } from './deliveries'

/** Files that came by themselves and were not taken, since something about them is for a person to decide. */
const emit = defineEmits<{ taken: [] }>()

const ADDRESS = '/api/deliveries/waiting'
const EVERY_MS = 15_000

const queries = useQueryClient()
const { data, error } = useQuery({
  queryKey: ['waiting-files'],
  queryFn: () => send<Schemas['WaitingView'][]>(ADDRESS),
  refetchInterval: EVERY_MS,
})
const opened = shallowRef<DeliveryView>()
const refused = ref('')

async function again() {
  await queries.invalidateQueries({ queryKey: ['waiting-files'] })
}

async function open(file: Schemas['WaitingView']) {
  refused.value = ''
  try {
    opened.value = await send<DeliveryView>(`${ADDRESS}/${file.id}`, { method: 'POST' })
  } catch (failure) {
    refused.value = sentenceOf(failure)
    await again()
  }
}

async function putAway(file: Schemas['WaitingView']) {
  refused.value = ''
  try {
    await send(`${ADDRESS}/${file.id}`, { method: 'DELETE' })
  } catch (failure) {
    refused.value = sentenceOf(failure)
  }
  await again()
}

async function left() {
  opened.value = undefined
  await again()
}
</script>

<template>
  <section v-if="data?.length || opened || error" aria-label="Files that wait">
    <h2>Files that wait for you</h2>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-if="refused" class="notice" role="alert">{{ refused }}</p>
    <DeliverySheet
      v-if="opened"
      :key="opened.id"
      :delivery="opened"
      @taken="emit('taken')"
      @left="left"
    />
    <table v-else-if="data?.length" class="on-sheet">
      <thead>
        <tr>
          <th>File</th>
          <th>Intake</th>
          <th>Came</th>
          <th>Why it was not taken</th>
          <th><span class="visually-hidden">What to do</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="file in data" :key="file.id">
          <td>{{ file.fileName }}</td>
          <td>{{ file.intake }}</td>
          <td>{{ timeWords(file.since) }}</td>
          <td>{{ file.why.join(' ') }}</td>
          <td class="buttons">
            <Button size="small" outlined label="Look at it" @click="open(file)" />
            <Button size="small" text label="Put away" @click="putAway(file)" />
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
section {
  margin: 14px 0;
}

.buttons {
  white-space: nowrap;
}
</style>
