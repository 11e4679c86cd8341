<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { cellWords, fieldWords } from '@/fields'
import { count } from '@/stick'
import { Veiled } from '@/veil'

/** What a file says otherwise than another source, whose word stays. */
const { brought } = defineProps<{ brought: Schemas['BroughtView'] }>()
</script>

<template>
  <section v-if="brought.otherwise" aria-label="Said otherwise">
    <h2>Said otherwise by another source</h2>
    <p>
      {{ count(brought.otherwise) }}
      {{ brought.otherwise === 1 ? 'value stays' : 'values stay' }} as the source said that brought
      {{ brought.otherwise === 1 ? 'it' : 'them' }}, since this one does not rank higher. What it
      says is kept and told in the state of the records.
    </p>
    <ul>
      <li v-for="one in brought.firstOtherwise" :key="`${one.person} ${one.field}`">
        {{ one.person }}, {{ fieldWords(one.field) }}:
        <Veiled :text="cellWords(one.kept)" what="value" /> of {{ one.owner }} stays, not
        <Veiled :text="cellWords(one.said)" what="value" />
      </li>
    </ul>
  </section>
</template>
