<script setup lang="ts">
import { sendJson, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import { useSession } from '@/session'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useColleagues } from './colleagues'

/** Gives everything that one holds to a colleague, as before going away. */
const session = useSession()
const queries = useQueryClient()
const { working, problem: unknown } = useColleagues()
const to = ref('')
const told = ref('')
const { save, problem } = useSaving('hand over')
const others = computed(() => working.value.filter((one) => one.name !== session.signedIn?.name))

async function handOver() {
  const heir = others.value.find((one) => one.name === to.value)
  const sure = window.confirm(
    `Give all people whom you have in hand, and the criteria sets that are yours, to ${heir?.displayName ?? ''}?`,
  )
  if (!sure) {
    return
  }
  await save(
    () => sendJson<Schemas['HandedOn']>('POST', '/api/session/hand-over', { to: to.value }),
    (done) => {
      told.value = done.words
    },
  )
  to.value = ''
  await queries.invalidateQueries()
}
</script>

<template>
  <div class="hand-over">
    <p v-if="problem || unknown" class="notice" role="alert">{{ problem || unknown }}</p>
    <template v-if="others.length">
      <label for="hand-over-to">Hand everything over to</label>
      <select id="hand-over-to" v-model="to" class="plain">
        <option value="">a colleague …</option>
        <option v-for="one in others" :key="one.name" :value="one.name">
          {{ one.displayName }}
        </option>
      </select>
    </template>
    <button v-if="to" class="word" @click="handOver">Hand over</button>
    <span role="status">{{ told }}</span>
  </div>
</template>

<style scoped>
.hand-over {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
  margin: 6px 0;
}
</style>
