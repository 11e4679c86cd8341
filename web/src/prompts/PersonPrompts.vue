<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { dueWords } from '@/days'
import { useSession } from '@/session'
import { VeiledWords } from '@/veil'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import DismissDialog from './DismissDialog.vue'
import { useDismissing } from './useDismissing'

/** What is due of somebody who is opened, by the lists that prompt. */
const {
  person,
  telling = [],
  without = '',
} = defineProps<{
  person: string
  telling?: readonly string[]
  /** A list that is looked at already. */
  without?: string
}>()

const session = useSession()
const { data, error, isLoading } = useQuery({
  queryKey: computed(() => ['prompts', 'of', person]),
  queryFn: () => send<Schemas['Prompt'][]>(`/api/who/${encodeURIComponent(person)}/prompts`),
  enabled: computed(() => session.has('WORK_LISTS')),
})
const prompts = computed(() => (data.value ?? []).filter((one) => one.set !== without))

const { dismiss } = useDismissing()
const asked = ref<Schemas['Prompt']>()
const dismissing = computed({
  get: () => asked.value !== undefined,
  set: (open: boolean) => {
    if (!open) {
      asked.value = undefined
    }
  },
})

function save(reason: string, until: string) {
  if (asked.value) {
    void dismiss(asked.value.set, person, reason, until)
  }
}
</script>

<template>
  <p v-if="error" class="notice" role="alert">
    What is due could not be asked for. {{ sentenceOf(error) }}
  </p>
  <p v-else-if="isLoading" class="quiet">What is to be said is being looked up.</p>
  <ul v-if="prompts.length" class="prompts" aria-label="Due now">
    <li v-for="one in prompts" :key="one.set">
      <strong v-if="one.say">“{{ one.say }}”</strong>
      <RouterLink :to="{ path: `/lists/${encodeURIComponent(one.set)}`, query: { person } }">{{
        one.list
      }}</RouterLink>
      <span class="quiet">{{ dueWords(one.due) }}</span>
      <span class="quiet"><VeiledWords :text="one.why" :telling="telling" /></span>
      <button class="word" @click="asked = one">Not for a while…</button>
    </li>
  </ul>
  <DismissDialog v-model:visible="dismissing" :list="asked?.list ?? ''" @dismiss="save" />
</template>

<style scoped>
.prompts {
  list-style: none;
  margin: 6px 0;
  padding: 4px 10px;
  border-left: 3px solid var(--amber);
  background: var(--paper);
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  padding: 2px 0;
}
</style>
