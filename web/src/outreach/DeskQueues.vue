<script setup lang="ts">
import { meaningOf, QUEUE_MEANINGS } from '@/help'
import { count } from '@/stick'
import InputText from 'primevue/inputtext'
import { useDeskKeys } from './deskKeys'
import { ALL_BANDS, type Queue, type QueueId } from './queues'

/** The piles of the desk with how many are in each, the part of the list, and what is looked for in them. */
const queue = defineModel<QueueId>('queue', { required: true })
const part = defineModel<string>('part', { required: true })
const band = defineModel<string>('band', { required: true })
const find = defineModel<string>('find', { required: true })
const { queues, parts, bands } = defineProps<{
  /** How many are in each, where it is known. */
  queues: readonly (Queue & { people: number | undefined })[]
  /** The names of the parts that the list is cut into. */
  parts: readonly string[]
  /** Those of the list with how many people of the pile are in each. */
  bands: readonly { band: string; people: number }[]
}>()
const emit = defineEmits<{ found: [] }>()

const { named } = useDeskKeys()
</script>

<template>
  <div class="queues">
    <div role="toolbar" class="one-of" aria-label="Queues">
      <button
        v-for="one in queues"
        :key="one.id"
        :aria-pressed="one.id === queue"
        :data-queue="one.id"
        :title="meaningOf(QUEUE_MEANINGS[one.id])"
        @click="queue = one.id"
      >
        {{ one.name }}
        <strong>{{ one.people === undefined ? '…' : count(one.people) }}</strong>
      </button>
    </div>
    <select v-if="parts.length" v-model="part" class="plain" aria-label="Part of the list">
      <option value="">the whole list</option>
      <option v-for="name in parts" :key="name" :value="name">{{ name }}</option>
    </select>
    <select v-if="bands.length" v-model="band" class="plain" aria-label="Band">
      <option :value="ALL_BANDS">every band</option>
      <option v-for="one in bands" :key="one.band" :value="one.band">
        {{ one.band || 'in no band' }} ({{ count(one.people) }})
      </option>
    </select>
    <InputText
      id="find-on-desk"
      v-model="find"
      size="small"
      :placeholder="named('Find', 'find')"
      aria-label="Find on this list"
      @keydown.esc="find = ''"
      @keydown.enter="emit('found')"
    />
  </div>
</template>

<style scoped>
.queues {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-bottom: 6px;
}

[role='toolbar'] {
  flex: 1 1 240px;
}

.queues :deep(input) {
  width: 120px;
}
</style>
