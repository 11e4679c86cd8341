<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { Veiled } from '@/veil'

/** Who somebody is. */
defineProps<{ person: Schemas['PersonView']['person'] }>()
</script>

<template>
  <header>
    <h2><Veiled :text="person.name" /></h2>
    <p class="facts">
      <span v-if="person.age"
        >{{ person.age }}, born <Veiled :text="person.born" what="birth date"
      /></span>
      <span v-else>no birth date</span>
      <span v-if="person.provider">{{ person.provider }}</span>
      <span v-if="person.site">{{ person.site }}</span>
      <span class="quiet"><Veiled :text="person.id" what="id" /></span>
    </p>
    <p v-if="person.doNotContact" class="notice">Asked not to be contacted.</p>
  </header>
</template>

<style scoped>
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  margin: 2px 0 6px;
}
</style>
