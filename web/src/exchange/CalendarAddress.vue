<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'

/** The private address of one's follow-ups as a calendar; told once, and revoked when it got about. */
const queries = useQueryClient()
const address = ref('')
const { save, problem } = useSaving('calendar')

const { data: feed, error } = useQuery({
  queryKey: ['calendar'],
  queryFn: () => send<Schemas['Feed']>('/api/session/calendar'),
})
const whole = computed(() => (address.value ? window.location.origin + address.value : ''))

async function change(method: 'POST' | 'DELETE') {
  const done = await save(
    () => send<Schemas['Feed'] | undefined>('/api/session/calendar', { method }),
    (made) => {
      address.value = made?.address ?? ''
    },
  )
  if (done) {
    await queries.invalidateQueries({ queryKey: ['calendar'] })
  }
}
</script>

<template>
  <p class="calendar">
    <span v-if="problem || error" class="notice" role="alert">{{
      problem || sentenceOf(error)
    }}</span>
    <template v-if="whole">
      Subscribe to <code>{{ whole }}</code> in a calendar. It is shown this once; whoever has it can
      read it.
    </template>
    <template v-else-if="feed?.there">Your follow-ups are in a calendar.</template>
    <template v-if="feed">
      <button class="word" @click="change('POST')">
        {{ feed.there ? 'Make a new calendar address' : 'My follow-ups in a calendar' }}
      </button>
      <button v-if="feed.there" class="word" @click="change('DELETE')">Revoke it</button>
    </template>
  </p>
</template>

<style scoped>
.calendar {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  margin: 8px 0 0;
}

code {
  overflow-wrap: anywhere;
}
</style>
