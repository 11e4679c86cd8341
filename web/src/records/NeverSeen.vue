<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { fieldWords } from '@/fields'
import Select from 'primevue/select'

/** Words that were never in a field: each may be one on file, written otherwise. */
const { neverSeen, working } = defineProps<{
  neverSeen: Schemas['NeverSeenView'][]
  working: boolean
}>()
const emit = defineEmits<{
  translate: [ofPeople: boolean, field: string, word: string, to: string]
}>()
</script>

<template>
  <div v-if="neverSeen.length" class="never notice">
    <div v-for="one in neverSeen" :key="`${String(one.ofPeople)} ${one.field}`">
      Never seen before as {{ fieldWords(one.field) }}:
      <span v-for="word in one.words" :key="word" class="word-of">
        <strong>{{ word }}</strong>
        <Select
          :model-value="undefined"
          :options="one.onFile"
          placeholder="is …"
          size="small"
          filter
          :disabled="working"
          :aria-label="`${word} as ${fieldWords(one.field)} is`"
          @update:model-value="emit('translate', one.ofPeople, one.field, word, $event as string)"
        />
      </span>
    </div>
  </div>
</template>

<style scoped>
.never > div,
.word-of {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
}
</style>
