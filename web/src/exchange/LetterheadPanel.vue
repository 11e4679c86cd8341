<script setup lang="ts">
import { send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { LIMITS } from '@/api/limits'
import { useSaving } from '@/api/saving'
import { useTyping } from '@/api/typing'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import { computed, ref } from 'vue'

/** Who writes to people: what stands at the head of every letter, how it is signed, and where answers go. */
const LARGEST_PICTURE = 500_000

const queries = useQueryClient()
const { data: kept, error } = useQuery({
  queryKey: ['letterhead'],
  queryFn: () => send<Schemas['LetterheadKept']>('/api/letterhead'),
})
const {
  draft: typed,
  ifMatch,
  saved,
  begin,
} = useTyping(
  () => 'letterhead',
  () => kept.value && { value: kept.value.letterhead, revision: kept.value.revision },
)
const head = computed(() => typed.value)
const { save: keep, say, saving, problem } = useSaving('letterhead')
const told = ref('')

async function save() {
  const sent = head.value && { ...head.value }
  if (sent) {
    told.value = ''
    const done = await keep(
      () => sendJson<Schemas['LetterheadKept']>('PUT', '/api/letterhead', sent, ifMatch.value),
      (answer) => {
        saved(sent, answer.revision)
        told.value = 'Saved. Letters and e-mail have it from now on.'
      },
    )
    if (done) {
      await queries.invalidateQueries({ queryKey: ['letterhead'] })
    }
  }
}

async function sign(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file || !head.value) {
    return
  }
  if (!['image/png', 'image/jpeg'].includes(file.type) || file.size > LARGEST_PICTURE) {
    say('The signature should be a picture of up to 500 kB, as PNG or JPEG. Nothing was changed.')
    return
  }
  const bytes = new Uint8Array(await file.arrayBuffer())
  const binary = Array.from(bytes, (byte) => String.fromCharCode(byte)).join('')
  head.value.signature = `data:${file.type};base64,${btoa(binary)}`
}
</script>

<template>
  <section aria-label="Letterhead">
    <p v-if="problem || error" class="notice" role="alert">{{ problem || sentenceOf(error) }}</p>
    <p v-if="!head && !error" role="status">The letterhead is being read …</p>
    <form v-if="head" class="form" @submit.prevent="save">
      <p class="quiet whole">
        What people see of the practice on letters and e-mail. Nothing else of the house goes with
        them: no list, no colleague’s name, no reason.
      </p>
      <label for="head-practice">Name</label>
      <InputText
        id="head-practice"
        v-model="head.practice"
        :maxlength="LIMITS.Letterhead.practice.maxLength"
        required
      />
      <label for="head-address">Address</label>
      <Textarea
        id="head-address"
        v-model="head.address"
        rows="3"
        :maxlength="LIMITS.Letterhead.address.maxLength"
      />
      <label for="head-phone">Telephone</label>
      <InputText
        id="head-phone"
        v-model="head.phone"
        :maxlength="LIMITS.Letterhead.phone.maxLength"
      />
      <label for="head-email">E-mail for answers</label>
      <InputText
        id="head-email"
        v-model="head.email"
        type="email"
        :maxlength="LIMITS.Letterhead.email.maxLength"
      />
      <label for="head-signed">Signed</label>
      <Textarea
        id="head-signed"
        v-model="head.signedBy"
        rows="2"
        :maxlength="LIMITS.Letterhead.signedBy.maxLength"
        placeholder="under every letter, such as: The practice team"
      />
      <label for="head-signature">Picture of a signature</label>
      <span>
        <img v-if="head.signature" :src="head.signature" alt="The signature" class="signature" />
        <input id="head-signature" type="file" accept="image/png,image/jpeg" @change="sign" />
        <button v-if="head.signature" type="button" class="word" @click="head.signature = ''">
          Take it away
        </button>
      </span>
      <span></span>
      <span class="buttons">
        <Button type="submit" label="Save" :loading="saving" />
        <Button type="button" text label="Leave as it was" @click="begin" />
        <span role="status">{{ told }}</span>
      </span>
    </form>
  </section>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 170px minmax(0, 560px);
  gap: 8px 14px;
  align-items: start;
}

.whole {
  grid-column: 1 / -1;
  margin: 0;
}

.signature {
  display: block;
  max-height: 60px;
  background: var(--field);
  border: 1px solid var(--rule);
}
</style>
