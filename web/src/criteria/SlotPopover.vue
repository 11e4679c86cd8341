<script lang="ts">
import type { Schemas } from '@/api/client'
import type { CriteriaDocument, JsonObject } from './document'

/** A part of a criterion that is being changed in place. */
export interface OpenSlot {
  /** The criterion. */
  id: string
  control: NonNullable<Schemas['PhraseView']['control']>
  /** What it changes, from the criterion's test. */
  pointer: string
  value: JsonObject
  sentence: Schemas['SentenceView'] | undefined
  findings: string[]
}
</script>

<script setup lang="ts">
import Button from 'primevue/button'
import Popover from 'primevue/popover'
import { computed, nextTick, provide, useTemplateRef } from 'vue'
import { dialsOf, nameOfDial, newDial, TURNING, type Dial } from './dials'
import SlotEditor from './SlotEditor.vue'

/** The editor of a word of a sentence, beside that word, under the sentence as it reads meanwhile. */
const { slotOpen, document, vocabulary, asOf } = defineProps<{
  slotOpen: OpenSlot | undefined
  document: CriteriaDocument
  vocabulary: Schemas['Vocabulary']
  asOf: string
}>()
const emit = defineEmits<{
  /** The new value, and dials that it names which are not there yet. */
  change: [value: JsonObject, made: Dial[]]
  /** It was closed by whoever was changing it. */
  close: []
  editTermSet: [id: string | undefined]
  editRoster: [id: string | undefined]
}>()

const popover = useTemplateRef('popover')

function show(event: Event) {
  // Later it is no longer known: a word may have been clicked by a way to mend, not by a hand.
  const word = event.currentTarget as HTMLElement
  popover.value?.hide()
  void nextTick(() => popover.value?.show(event, word))
}

function hide() {
  popover.value?.hide()
}

defineExpose({ show, hide })

function close() {
  hide()
  emit('close')
}

/** Escape closes an open list of choices first; those would keep the key to themselves even when closed. */
function closeUnlessChoosing(event: KeyboardEvent) {
  const slot = event.currentTarget as HTMLElement
  if (!slot.querySelector('[aria-expanded="true"]')) {
    event.stopPropagation()
    close()
  }
}

const words = computed(() => (slotOpen?.sentence ? textOf(slotOpen.sentence) : ''))

function textOf(sentence: Schemas['SentenceView']): string {
  const own = sentence.phrases.map((phrase) => phrase.text).join('')
  return sentence.parts.length ? `${own}: ${sentence.parts.map(textOf).join('; ')}` : own
}

let made: Dial[] = []

provide(TURNING, {
  dialAt: (value) => dialsOf(document).find((one) => one.name === nameOfDial(value)),
  letTurn: (type, label, value, field) => {
    const taken = new Set([...dialsOf(document), ...made].map((one) => one.name))
    const dial = newDial(taken, type, label, value, field)
    made.push(dial)
    return { dial: dial.name }
  },
})

function change(value: JsonObject) {
  emit('change', value, made)
  made = []
}
</script>

<template>
  <Popover ref="popover" aria-label="Change this part of the sentence">
    <div v-if="slotOpen" class="slot" @keydown.escape.capture="closeUnlessChoosing">
      <p class="quiet now" aria-live="polite">{{ words }}</p>
      <p v-for="finding in slotOpen.findings" :key="finding" class="notice">{{ finding }}</p>
      <SlotEditor
        :key="slotOpen.id + slotOpen.pointer + slotOpen.control"
        :model-value="slotOpen.value"
        :control="slotOpen.control"
        :vocabulary="vocabulary"
        :document="document"
        :as-of="asOf"
        @update:model-value="change"
        @edit-term-set="emit('editTermSet', $event)"
        @edit-roster="emit('editRoster', $event)"
      />
      <div class="done"><Button size="small" label="Done" @click="close" /></div>
    </div>
  </Popover>
</template>

<style scoped>
.slot {
  max-width: 680px;
}

.now {
  margin: 0 0 8px;
}

.done {
  text-align: right;
  margin-top: 8px;
}
</style>
