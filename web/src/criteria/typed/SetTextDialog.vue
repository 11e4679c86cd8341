<script setup lang="ts">
import { FormDialog } from '@/controls'
import { sendJson, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import { computed, nextTick, ref, watch } from 'vue'
import { evaluable, type CriteriaDocument } from '../document'
import { sharedQuery, withShared } from '../termsets'

/** The whole set as text: to be read, copied, changed, or pasted over. */
const visible = defineModel<boolean>('visible', { required: true })
const { document } = defineProps<{ document: CriteriaDocument }>()
const emit = defineEmits<{ use: [document: CriteriaDocument] }>()

type Mistake = Schemas['MistakeView']

const { data: sharedTermSets } = useQuery(sharedQuery)
const text = ref('')
const shown = ref('')
const mistakes = ref<Mistake[]>([])
const { ask, asking, forget, problem: showing } = useNewest()
const reading = useNewest()
const said = ref('')
const problem = computed(() => said.value || showing.value || reading.problem.value)
const copied = ref(false)
const changed = computed(() => text.value !== shown.value)

watch(visible, (now) => {
  forget()
  reading.forget()
  if (now) {
    mistakes.value = []
    said.value = ''
    copied.value = false
    text.value = ''
    shown.value = ''
    void ask(
      (signal) =>
        sendJson<Schemas['Text']>(
          'POST',
          '/api/bench/text',
          { document: evaluable(document) },
          { signal },
        ),
      (answer) => {
        text.value = answer.text
        shown.value = answer.text
      },
    )
  }
})

async function copy() {
  try {
    await navigator.clipboard.writeText(text.value)
    copied.value = true
  } catch {
    said.value = 'The browser did not let it be copied; mark the text and press Ctrl+C.'
  }
}

function use() {
  const sent = text.value
  void reading.ask(
    (signal) =>
      sendJson<Schemas['PastedAnswer']>(
        'POST',
        '/api/bench/text/read',
        { document: evaluable(withShared(document, sharedTermSets.value ?? [])), text: sent },
        { signal },
      ),
    (answer) => {
      mistakes.value = answer.mistakes
      if (answer.document && text.value === sent) {
        emit('use', { ...(answer.document as CriteriaDocument), id: document.id })
        visible.value = false
      }
    },
  )
}

function lineOf(mistake: Mistake): number {
  return text.value.slice(0, mistake.from).split('\n').length
}

async function goTo(mistake: Mistake) {
  await nextTick()
  const area = window.document.querySelector<HTMLTextAreaElement>('#set-text')
  area?.focus()
  area?.setSelectionRange(mistake.from, mistake.to)
}
</script>

<template>
  <FormDialog
    v-model:visible="visible"
    header="The set as text"
    action="Use this text"
    :width="860"
    stacked
    :problem="problem"
    :fetching="asking ? 'The text is being written.' : ''"
    :busy="reading.asking.value"
    :ready="changed"
    @done="use"
  >
    <Textarea
      id="set-text"
      v-model="text"
      aria-label="The set as text"
      rows="22"
      spellcheck="false"
      class="text"
      @input="mistakes = []"
    />
    <ul v-if="mistakes.length" class="mistakes" role="alert">
      <li v-for="mistake in mistakes" :key="mistake.from">
        <button type="button" class="word" @click="goTo(mistake)">
          Line {{ lineOf(mistake) }}
        </button>
        {{ mistake.message }}
      </li>
    </ul>
    <template #more>
      <Button type="button" text icon="pi pi-copy" label="Copy" @click="copy" />
      <span class="quiet" role="status">{{ copied ? 'Copied.' : '' }}</span>
    </template>
  </FormDialog>
</template>

<style scoped>
.text {
  width: 100%;
  box-sizing: border-box;
  resize: vertical;
}

.mistakes {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
  color: var(--brick);
}
</style>
