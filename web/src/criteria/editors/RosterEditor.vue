<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import type { JsonObject } from '../document'
import type { Roster } from '../rosters'

/** Which roster; the roster itself is changed in a dialog. */
const test = defineModel<JsonObject>({ required: true })
const { rosters } = defineProps<{ rosters: Roster[] }>()
const emit = defineEmits<{
  /** Somebody wants to see a roster, or to make a new one, which is then used here. */
  editRoster: [id: string | undefined]
}>()
</script>

<template>
  <div class="roster">
    <Select
      :model-value="test.roster as string"
      :options="rosters"
      option-label="name"
      option-value="id"
      aria-label="Which roster"
      @update:model-value="test = { roster: $event }"
    />
    <Button
      size="small"
      text
      label="See its rows"
      @click="emit('editRoster', test.roster as string)"
    />
    <Button size="small" text label="Another roster…" @click="emit('editRoster', undefined)" />
  </div>
</template>

<style scoped>
.roster {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
</style>
