<script setup lang="ts">
import type { Schemas } from '@/api/client'

/** A sentence whose changeable words are buttons; the parts of a group stand below it. */
const { sentence, nested = false } = defineProps<{
  sentence: Schemas['SentenceView']
  nested?: boolean
}>()
const emit = defineEmits<{
  edit: [event: Event, control: NonNullable<Schemas['PhraseView']['control']>, pointer: string]
  remove: [pointer: string]
}>()
</script>

<template>
  <span class="sentence">
    <template v-for="(phrase, i) in sentence.phrases" :key="i">
      <!-- Not a button element, which would not break across lines as words do. -->
      <span
        v-if="phrase.control"
        role="button"
        tabindex="0"
        class="word"
        aria-haspopup="dialog"
        :data-control="phrase.control"
        @click="emit('edit', $event, phrase.control, phrase.pointer)"
        @keydown.enter.prevent="emit('edit', $event, phrase.control, phrase.pointer)"
        @keydown.space.prevent="emit('edit', $event, phrase.control, phrase.pointer)"
        >{{ phrase.text }}</span><span v-else>{{ phrase.text }}</span>
    </template>
    <button
      v-if="nested"
      type="button"
      class="take-out"
      aria-label="Take this part out of the group"
      @click="emit('remove', sentence.pointer)"
    >
      ×
    </button>
    <ul v-if="sentence.parts.length">
      <li v-for="part in sentence.parts" :key="part.pointer">
        <SentenceText
          :sentence="part"
          :nested="sentence.phrases.some((phrase) => phrase.control === 'GROUP')"
          @edit="(event, control, pointer) => emit('edit', event, control, pointer)"
          @remove="emit('remove', $event)"
        />
      </li>
    </ul>
  </span>
</template>

<style scoped>
ul {
  margin: 2px 0 2px 4px;
  padding-left: 14px;
  border-left: 2px solid var(--rule);
  list-style: none;
}
</style>
