<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { PARAMETERS } from '@/api/limits'
import { Stick, count } from '@/stick'
import InputText from 'primevue/inputtext'
import Menu from 'primevue/menu'
import type { MenuItem } from 'primevue/menuitem'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import type { Band } from './bands'
import type { CriteriaDocument, JsonObject, TermSet } from './document'
import SentenceText from './SentenceText.vue'
import { TypedLine } from './typed'
import type { Behind } from './who'

/** One band: how much of the list it is, what it is called, and when somebody is in it. */
const { band, level, list, index, findings, nameable, asOf } = defineProps<{
  band: Band
  level: Schemas['BandLevel']
  /** Those of the list, who would fill the stick. */
  list: Schemas['Counts']
  index: number
  findings: string[]
  /** The set with all that may be named in it. */
  nameable: CriteriaDocument
  asOf: string
}>()
const emit = defineEmits<{
  edit: [event: Event, control: NonNullable<Schemas['PhraseView']['control']>, pointer: string]
  who: [behind: Behind]
  name: [name: string]
  move: [step: 1 | -1]
  remove: []
  retype: [when: JsonObject, made: TermSet[]]
}>()

const menu = useTemplateRef('menu')
const items: MenuItem[] = [
  { label: 'Move up', command: () => emit('move', -1) },
  { label: 'Move down', command: () => emit('move', 1) },
  { label: 'Change by typing', command: openTyping },
  { separator: true },
  { label: 'Remove', command: () => emit('remove') },
]
const total = computed(() => list.yes + list.unsure)

const typing = ref(false)
const typedLine = useTemplateRef('typedLine')

function openTyping() {
  typing.value = true
  void nextTick(() => typedLine.value?.focus())
}

function retyped(when: JsonObject, made: TermSet[]) {
  typing.value = false
  emit('retype', when, made)
}

function rename(event: Event) {
  const name = (event.target as HTMLInputElement).value.trim()
  if (name && name !== band.name) {
    emit('name', name)
  }
}

function onKey(event: KeyboardEvent) {
  if (event.key === 'F2') {
    event.preventDefault()
    openTyping()
  } else if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
    event.preventDefault()
    emit('move', event.key === 'ArrowUp' ? -1 : 1)
  } else if (event.altKey && event.key === 'Delete') {
    event.preventDefault()
    emit('remove')
  }
}
</script>

<template>
  <li class="line" :data-band="index" @keydown="onKey">
    <Stick :value="level.people.yes" :unsure="level.people.unsure" :total="total" />
    <div class="on-stick">
      <button
        class="word level"
        :aria-label="`${count(level.people.yes)} on the list in ${band.name}`"
        @click="emit('who', { part: 'IN_BAND', band: band.name, title: band.name })"
      >
        {{ count(level.people.yes) }}
      </button>
      <button
        v-if="level.people.unsure"
        class="word"
        @click="
          emit('who', {
            part: 'TO_CHECK_IN_BAND',
            band: band.name,
            title: `${band.name}, to check`,
          })
        "
      >
        {{ count(level.people.unsure) }} to check
      </button>
    </div>
    <div class="words">
      <InputText
        class="name"
        size="small"
        :model-value="band.name"
        :maxlength="PARAMETERS['GET /api/lists/{set}/desk'].band.maxLength"
        :aria-label="`Name of band ${index + 1}`"
        @change="rename"
      />
      <TypedLine
        v-if="typing"
        ref="typedLine"
        class="typing"
        band
        :document="nameable"
        :as-of="asOf"
        :start="level.typed"
        :label="`Type “${band.name}” anew`"
        example=""
        @add="retyped"
        @leave="typing = false"
      />
      <SentenceText
        v-else
        :sentence="level.sentence"
        @edit="(event, control, pointer) => emit('edit', event, control, pointer)"
      />
      <p v-for="finding in findings" :key="finding" class="notice">{{ finding }}</p>
    </div>
    <button
      class="grip"
      type="button"
      :aria-label="`What can be done with “${band.name}”; drag to move`"
      aria-haspopup="menu"
      draggable="true"
      @click="menu?.toggle($event)"
      @dragstart="$event.dataTransfer?.setData('text/x-band', String(index))"
    >
      <i class="pi pi-ellipsis-v" />
    </button>
    <Menu ref="menu" :model="items" popup />
  </li>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: var(--stick) 1fr 26px;
  gap: 10px;
  align-items: start;
  min-height: 34px;
  border-bottom: 1px solid var(--hair);
  background: var(--sheet);
}

.words {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 10px;
  padding: 3px 0 4px;
}

.name {
  width: 138px;
  padding: 1px 4px;
  border-color: transparent;
  background: transparent;
  box-shadow: none;
  font-weight: 600;
  font-size: 1rem;
}

.name:hover,
.name:focus {
  border-color: var(--rule);
  background: var(--field);
}

.typing {
  flex: 1;
  padding: 0;
  background: none;
}

.grip {
  border: 0;
  background: none;
  height: 30px;
  cursor: grab;
  color: var(--soft-ink);
}

@media (max-width: 700px) {
  .line {
    grid-template-columns: var(--stick) auto 1fr 26px;
  }
}

.grip:hover {
  background: var(--paper);
}
</style>
