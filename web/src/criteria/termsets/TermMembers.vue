<script setup lang="ts">
import Button from 'primevue/button'
import type { JsonObject } from '../document'
import { wordsOf } from './members'

/** What belongs to a term set, what is left out of it on purpose, and what was typed, to be added as it is. */
const members = defineModel<JsonObject[]>('members', { required: true })
const leftOut = defineModel<JsonObject[]>('leftOut', { required: true })
const { typed } = defineProps<{ typed: string }>()
const emit = defineEmits<{ add: [member: JsonObject] }>()
</script>

<template>
  <div>
    <section aria-label="Members of the term set">
      <h2>Belong</h2>
      <p v-if="members.length === 0" class="quiet">
        Tick what means the same, or add what you typed.
      </p>
      <div v-for="member in members" :key="wordsOf(member)" class="member">
        <span>{{ wordsOf(member) }}</span>
        <Button
          size="small"
          text
          severity="secondary"
          icon="pi pi-times"
          :aria-label="`Remove ${wordsOf(member)}`"
          @click="members = members.filter((one) => one !== member)"
        />
      </div>
    </section>
    <div v-if="typed" class="add">
      <button type="button" class="word" @click="emit('add', { text: typed, match: 'startsWith' })">
        Add wording starting with “{{ typed }}”
      </button>
      <button type="button" class="word" @click="emit('add', { text: typed, match: 'contains' })">
        Add wording containing “{{ typed }}”
      </button>
      <button type="button" class="word" @click="emit('add', { code: typed })">
        Add code “{{ typed }}” of any system
      </button>
    </div>
    <section v-if="leftOut.length" aria-label="Left out of the term set">
      <h2>Left out on purpose</h2>
      <div v-for="member in leftOut" :key="wordsOf(member)" class="member quiet">
        <span>{{ wordsOf(member) }}</span>
        <Button
          size="small"
          text
          severity="secondary"
          icon="pi pi-times"
          :aria-label="`Do not leave out ${wordsOf(member)}`"
          @click="leftOut = leftOut.filter((one) => one !== member)"
        />
      </div>
    </section>
  </div>
</template>

<style scoped>
h2 {
  margin: 4px 0 2px;
  font-size: 1em;
}

.member {
  display: flex;
  justify-content: space-between;
  align-items: center;
}

.add {
  display: grid;
  gap: 4px;
  justify-items: start;
  border-top: 1px solid var(--rule);
  margin-top: 6px;
  padding: 6px 0;
}
</style>
