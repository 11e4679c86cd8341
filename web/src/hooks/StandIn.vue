<script setup lang="ts">
import { sendJson, sentenceOf, type Schemas } from '@/api/client'
import { LIMITS } from '@/api/limits'
import { Veiled } from '@/veil'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { ref } from 'vue'
import { cardsOf, type Card } from './cards'

/** The demo’s stand-in for a record system: opens or books somebody, and shows what it was told. */
type Exchange = Schemas['Exchange']

const person = ref('')
const last = ref<Exchange>()
const cards = ref<readonly Card[]>([])
const told = ref('')
const problem = ref('')
const asking = ref(false)

async function ask(hook: 'patient-view' | 'appointment-book') {
  asking.value = true
  problem.value = ''
  told.value = ''
  try {
    last.value = await sendJson<Exchange>('POST', '/api/stand-in/record-system/asks', {
      hook,
      person: person.value.trim(),
    })
    cards.value = cardsOf(last.value.answered)
    told.value = `Answered in ${String(last.value.milliseconds)} ms: ${
      cards.value.length === 0 ? 'nothing to tell' : `${String(cards.value.length)} to tell`
    }.`
  } catch (failure) {
    last.value = undefined
    cards.value = []
    problem.value = sentenceOf(failure)
  } finally {
    asking.value = false
  }
}

async function answer(card: Card, reason?: string) {
  try {
    const done = await sendJson<Exchange>('POST', '/api/stand-in/record-system/answers', {
      card: card.uuid,
      reason,
    })
    if (done.status === 200) {
      cards.value = cards.value.filter((one) => one.uuid !== card.uuid)
      told.value = reason ? `Told back: ${reason}.` : 'Told back that it was taken up.'
    } else {
      problem.value = done.answered
    }
  } catch (failure) {
    problem.value = sentenceOf(failure)
  }
}
</script>

<template>
  <section class="stand-in" aria-label="A record system to try it with">
    <h2>A record system to try it with</h2>
    <p class="quiet">
      A stand-in that comes with the demo: it asks over HTTP, signs what it asks, and shows what it
      is answered.
    </p>
    <form class="open" @submit.prevent="ask('patient-view')">
      <InputText
        v-model="person"
        required
        :maxlength="LIMITS.StandInQuestion.person.maxLength"
        placeholder="Number of a person"
        aria-label="Number of a person"
      />
      <Button type="submit" label="Open the chart" :disabled="asking || person.trim() === ''" />
      <Button
        type="button"
        outlined
        label="Book an appointment"
        :disabled="asking || person.trim() === ''"
        @click="ask('appointment-book')"
      />
    </form>
    <p v-if="problem" class="notice" role="alert">{{ problem }}</p>
    <p role="status">{{ told }}</p>
    <article v-for="card in cards" :key="card.uuid" :class="card.indicator">
      <h3>{{ card.summary }}</h3>
      <p class="detail"><Veiled :text="card.detail" what="detail" /></p>
      <p class="quiet">
        {{ card.source.label }}
        <a v-for="link in card.links" :key="link.url" :href="link.url">{{ link.label }}</a>
      </p>
      <p class="answers">
        <Button size="small" label="Taken up" @click="answer(card)" />
        <Button
          v-for="reason in card.overrideReasons"
          :key="reason.code"
          size="small"
          text
          :label="reason.display"
          @click="answer(card, reason.display)"
        />
      </p>
    </article>
    <details v-if="last">
      <summary>What was asked, and what came back ({{ last.status }})</summary>
      <pre><Veiled :text="last.asked" what="question" /></pre>
      <pre><Veiled :text="last.answered" what="answer" /></pre>
    </details>
  </section>
</template>

<style scoped>
.stand-in {
  margin-top: 18px;
  border-top: 1px solid var(--rule);
  padding-top: 8px;
}

.open,
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

article {
  background: var(--sheet);
  border: 1px solid var(--rule);
  border-left: 4px solid var(--verdigris);
  padding: 6px 12px;
  margin: 8px 0;
  max-width: 640px;
}

article.warning {
  border-left-color: var(--amber);
}

h3 {
  margin: 2px 0;
  font-size: 1em;
}

.detail {
  white-space: pre-wrap;
}

pre {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  font-size: 0.86rem;
}
</style>
