<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { timeWords } from '@/days'
import { Veiled } from '@/veil'
import { useQuery } from '@tanstack/vue-query'

/** What the demo’s mail stand-in was sent; it delivers nothing. */
const { data: sent, error } = useQuery({
  queryKey: ['mail', 'sent'],
  queryFn: () => send<Schemas['SentMail'][]>('/api/mail/sent'),
})
</script>

<template>
  <section aria-label="Sent mail">
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="!sent" class="quiet">What was sent is being fetched.</p>
    <p v-else-if="sent.length === 0" class="quiet">Nothing was sent since the server started.</p>
    <details v-for="(mail, i) in sent" :key="i" :open="i === 0">
      <summary>
        <Veiled :text="mail.to" what="e-mail" /> · {{ mail.subject }}
        <span class="quiet">{{ timeWords(mail.at) }}</span>
      </summary>
      <p class="text"><Veiled :text="mail.text" what="text" /></p>
    </details>
  </section>
</template>

<style scoped>
section {
  max-height: 300px;
  overflow: auto;
}

summary {
  cursor: pointer;
}

.text {
  white-space: pre-wrap;
  margin: 4px 0 8px 16px;
}
</style>
