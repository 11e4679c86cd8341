<script setup lang="ts">
import { dayWords } from '@/days'
import { DialsSet } from '@/lists'
import { count } from '@/stick'
import Button from 'primevue/button'
import { RouterLink } from 'vue-router'
import type { Shown } from './DeskDialogs.vue'
import type { DeskView } from './useDeskPages'

/** What the list of a desk is called, how it stands, and, once it is known, what can be done with it as a whole. */
defineProps<{
  id: string
  desk: DeskView | undefined
  mayChange: boolean
  /** The one in use, and all of whoever sits here, by their names. */
  view: string
  views: readonly string[]
}>()
const emit = defineEmits<{ show: [what: Shown]; takeOut: []; use: [view: string] }>()
</script>

<template>
  <div class="page-head">
    <h1>{{ desk?.name ?? 'List' }}</h1>
    <span class="quiet grow">
      <template v-if="desk?.readOn">read {{ dayWords(desk.readOn) }}</template>
      <template v-else-if="desk">not read yet</template>
      <template v-if="desk && desk.dials.length">, <DialsSet :dials="desk.dials" /></template>
      <template v-if="desk && desk.all > desk.mine"
        >, {{ count(desk.mine) }} of {{ count(desk.all) }}: your people</template
      >
    </span>
    <template v-if="desk">
      <Button text size="small" label="Readings" @click="emit('show', 'readings')" />
      <RouterLink :to="`/lists/${encodeURIComponent(id)}/on-a-day`">As of another day</RouterLink>
      <Button
        v-if="mayChange"
        text
        size="small"
        label="How it is worked"
        @click="emit('show', 'manner')"
      />
      <Button v-if="mayChange" text size="small" label="Prompts" @click="emit('show', 'prompt')" />
      <Button v-if="mayChange" text size="small" label="Share" @click="emit('show', 'sharing')" />
      <Button text size="small" label="Send" @click="emit('show', 'sending')" />
      <Button text size="small" label="Take out" @click="emit('takeOut')" />
      <select
        v-if="views.length > 1"
        class="plain"
        aria-label="View"
        :value="view"
        @change="emit('use', ($event.target as HTMLSelectElement).value)"
      >
        <option v-for="one in views" :key="one">{{ one }}</option>
      </select>
      <Button text size="small" label="Columns" @click="emit('show', 'view')" />
    </template>
  </div>
</template>

<style scoped>
.page-head {
  gap: 6px;
  margin-bottom: 4px;
}
</style>
