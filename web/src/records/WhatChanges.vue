<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { fieldWords } from '@/fields'
import { count } from '@/stick'
import { Veiled } from '@/veil'
import { computed, ref } from 'vue'

/** Which fields a file changes, how often, and some of these changes: what is on file, and what it becomes. */
const { brought } = defineProps<{ brought: Schemas['BroughtView'] }>()

const opened = ref(false)

const words = computed(() =>
  brought.changedFields
    .map((one) => {
      const of = one.ofPeople
        ? one.count === 1
          ? 'person'
          : 'people'
        : one.count === 1
          ? 'record'
          : 'records'
      return `${fieldWords(one.field)} of ${count(one.count)} ${of}`
    })
    .join(', '),
)
</script>

<template>
  <div v-if="brought.changedFields.length">
    Changed: {{ words }}.
    <button type="button" class="word" :aria-expanded="opened" @click="opened = !opened">
      {{ opened ? 'Close' : 'See some' }}
    </button>
    <table v-if="opened">
      <thead>
        <tr>
          <th>Person</th>
          <th>Field</th>
          <th>On file</th>
          <th>Becomes</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(one, at) in brought.firstChanges" :key="at">
          <td>{{ one.person }}</td>
          <td>{{ one.ofPerson ? '' : 'record: ' }}{{ fieldWords(one.field) }}</td>
          <td>
            <Veiled v-if="one.before" :text="one.before" what="value" />
            <span v-else class="quiet">blank</span>
          </td>
          <td>
            <Veiled v-if="one.after" :text="one.after" what="value" />
            <span v-else class="quiet">blank</span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
table {
  margin: 4px 0;
}

th,
td {
  vertical-align: top;
  overflow-wrap: anywhere;
}
</style>
