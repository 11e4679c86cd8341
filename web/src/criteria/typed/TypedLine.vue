<script setup lang="ts">
import { count } from '@/stick'
import { computed, nextTick, ref, shallowRef, useId, useTemplateRef } from 'vue'
import type { CriteriaDocument, JsonObject, TermSet } from '../document'
import { sortOf, take, termSetOf, withTermSets, type Offer, type Said } from './offers'
import { useTyped } from './useTyped'

/** A criterion typed in the words that sentences print, with suggestions from the records. */
const {
  document,
  asOf,
  label,
  example,
  start = '',
  shouldHave = false,
  band = false,
} = defineProps<{
  document: CriteriaDocument
  asOf: string
  label: string
  /** What might be typed here. */
  example: string
  /** What stands there already and is typed anew. */
  start?: string
  /** Whether it says what should be on record, where a lack is nearly always meant the other way round. */
  shouldHave?: boolean
  /** Whether it says when somebody is in a band. */
  band?: boolean
}>()
const emit = defineEmits<{
  add: [test: JsonObject, termSets: TermSet[], words: string]
  /** Nothing is to be typed after all. */
  leave: []
}>()

const input = useTemplateRef('input')
const list = useId()
const text = ref(start)
const open = ref(false)
/** The suggestion that was chosen with the keys; -1 for none. */
const active = ref(-1)
/** Term sets that suggestions brought along; they come with the criterion. */
const made = shallowRef<TermSet[]>([])
const { answer, answered, problem, read } = useTyped()

const offers = computed(() => (open.value ? (answer.value?.offers ?? []) : []))
const mistake = computed(() => (text.value.trim() ? answer.value?.mistake : undefined))
/** What is not finished is no mistake yet. */
const unfinished = computed(() => {
  const end = text.value.trimEnd().length
  const goesOn = (answer.value?.offers.length ?? 0) > 0
  return mistake.value !== undefined && (goesOn ? mistake.value.to : mistake.value.from) >= end
})
/** What it may mean where that is several things, or what may be taken instead where it is not understood. */
const saids = computed<readonly Said[]>(() => {
  const read = answer.value
  if (!open.value || !read || !text.value.trim() || answered.value !== text.value) {
    return []
  }
  return read.readings.length ? read.readings : unfinished.value ? [] : read.mended
})
const fits = computed(() => (text.value.trim() ? answer.value?.test : undefined))
/** What is taken instead of a lack, unless who types insists. */
const meant = computed(() => (fits.value ? answer.value?.meant : undefined))
/** What Enter takes of the suggestions: the one that was chosen, or the only one where nothing else can be read. */
const taken = computed(
  () =>
    offers.value[active.value - saids.value.length] ??
    (!fits.value && !saids.value.length && offers.value.length === 1 ? offers.value[0] : undefined),
)

let reading = Promise.resolve()

function ask() {
  const caret = input.value?.selectionStart ?? text.value.length
  active.value = -1
  const typing = { text: text.value, caret }
  reading = read(typing, withTermSets(document, made.value), asOf, { shouldHave, band })
}

function onInput() {
  open.value = true
  ask()
}

async function choose(offer: Offer) {
  if (offer.members.length) {
    const termSet = termSetOf(withTermSets(document, made.value), offer)
    made.value = [...made.value.filter((one) => one.id !== termSet.id), termSet]
  }
  const caret = input.value?.selectionStart ?? text.value.length
  const next = take({ text: text.value, caret }, offer)
  text.value = next.text
  await nextTick()
  input.value?.focus()
  input.value?.setSelectionRange(next.caret, next.caret)
  onInput()
}

/** Takes the suggestion that was chosen; else adds what is typed. What was typed last is read first. */
async function enter() {
  await reading
  if (answered.value !== text.value) {
    return
  }
  const said = saids.value[active.value]
  if (said) {
    takeSaid(said)
  } else if (taken.value) {
    await choose(taken.value)
  } else if (meant.value) {
    add(meant.value.test as JsonObject, meant.value.words)
  } else if (fits.value) {
    add(fits.value as JsonObject, text.value.trim())
  }
}

/** Adds one of the things that it may mean, with the term set that was gathered for it. */
function takeSaid(said: Said) {
  if (said.termSet) {
    made.value = [...made.value, said.termSet as TermSet]
  }
  add(said.test as JsonObject, text.value.trim())
}

/** Adds what is typed as it stands. */
async function insist() {
  await reading
  if (fits.value && answered.value === text.value) {
    add(fits.value as JsonObject, text.value.trim())
  }
}

function add(test: JsonObject, words: string) {
  emit('add', test, made.value, words)
  text.value = start
  made.value = []
  open.value = false
  active.value = -1
}

function step(by: 1 | -1) {
  if (!open.value) {
    onInput()
    return
  }
  const all = saids.value.length + offers.value.length
  if (all) {
    active.value = (active.value + by + all + (active.value < 0 && by < 0 ? 1 : 0)) % all
  }
}

function onTab(event: KeyboardEvent) {
  if (taken.value && !event.shiftKey) {
    event.preventDefault()
    void choose(taken.value)
  }
}

function onEscape(event: KeyboardEvent) {
  if (open.value) {
    event.stopPropagation()
    open.value = false
    active.value = -1
  } else {
    emit('leave')
  }
}

defineExpose({ focus: () => input.value?.focus() })
</script>

<template>
  <div class="typed">
    <input
      ref="input"
      v-model="text"
      class="line"
      role="combobox"
      autocomplete="off"
      spellcheck="false"
      aria-autocomplete="list"
      :aria-label="label"
      :aria-expanded="offers.length + saids.length > 0"
      :aria-controls="list"
      :aria-activedescendant="active >= 0 ? `${list}-${active}` : undefined"
      :aria-invalid="mistake && !unfinished ? true : undefined"
      :placeholder="`Type a criterion, such as: ${example}`"
      @input="onInput"
      @click="ask"
      @focus="onInput"
      @blur="open = false"
      @keydown.enter.exact.prevent="enter"
      @keydown.alt.enter.prevent="insist"
      @keydown.down.prevent="step(1)"
      @keydown.up.prevent="step(-1)"
      @keydown.tab="onTab"
      @keydown.escape="onEscape"
    />
    <div v-if="text.trim()" class="told" role="status">
      <p v-if="problem" class="notice">{{ problem }}</p>
      <template v-else-if="mistake">
        <p v-if="!unfinished" class="marked">
          {{ text.slice(0, mistake.from) }}<mark>{{ text.slice(mistake.from, mistake.to) }}</mark
          >{{ text.slice(mistake.to) }}
        </p>
        <p :class="unfinished ? 'quiet' : 'wrong'">{{ mistake.message }}</p>
        <p v-if="!unfinished && answer?.understood" class="quiet">
          Understood so far: {{ answer.understood }}.
        </p>
        <p v-if="saids.length" class="quiet">
          Did you mean one of these? <kbd>↓</kbd> and <kbd>Enter</kbd>
          {{ start ? 'take' : 'add' }} it.
        </p>
        <p v-else-if="offers.length > 1 && !taken" class="quiet">
          <kbd>↓</kbd> and <kbd>Enter</kbd> choose one of these.
        </p>
      </template>
      <p v-else-if="answer?.readings.length">
        This may mean {{ answer.readings.length === 2 ? 'two' : 'several' }} things;
        <kbd>↓</kbd> and <kbd>Enter</kbd> {{ start ? 'take' : 'add' }} the one that you mean.
      </p>
      <p v-else-if="answer?.meant">
        What should be on record is named here, so <kbd>Enter</kbd>
        {{ start ? 'changes it to' : 'adds' }}: <strong>{{ answer.meant.sentence }}</strong>; those
        without are listed. Alone: yes for {{ count(answer.meant.alone.yes)
        }}<template v-if="answer.meant.alone.unsure"
          >, can’t tell for {{ count(answer.meant.alone.unsure) }}</template
        >.
        <button type="button" class="word" @mousedown.prevent @click="insist">
          As it stands (Alt+Enter)</button
        >: whoever has one is listed.
      </p>
      <p v-else-if="answer?.alone" class="quiet">
        <kbd>Enter</kbd> {{ start ? 'changes it to' : 'adds' }}: {{ answer.sentence }}. Alone: yes
        for {{ count(answer.alone.yes)
        }}<template v-if="answer.alone.unsure"
          >, can’t tell for {{ count(answer.alone.unsure) }}</template
        >.
      </p>
    </div>
    <ul
      v-show="offers.length + saids.length"
      :id="list"
      role="listbox"
      :aria-label="`Suggestions for: ${label}`"
    >
      <li
        v-for="(said, i) in saids"
        :id="`${list}-${i}`"
        :key="`said ${said.words}`"
        role="option"
        :aria-selected="i === active"
        @mousedown.prevent="takeSaid(said)"
      >
        <span>{{ said.sentence }}</span>
        <span v-if="said.termSet" class="quiet">
          new term set of
          {{ count((said.termSet as TermSet).members.length) }} on record
        </span>
        <span class="quiet number">{{ count(said.alone.yes) }}</span>
      </li>
      <li
        v-for="(offer, i) in offers"
        :id="`${list}-${i + saids.length}`"
        :key="`${offer.what} ${offer.words} ${offer.says}`"
        role="option"
        :aria-selected="i + saids.length === active"
        @mousedown.prevent="choose(offer)"
      >
        <span>{{ offer.words }}</span>
        <span class="quiet">{{ sortOf(offer) }}</span>
        <span class="quiet number">{{ offer.count === undefined ? '' : count(offer.count) }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.typed {
  position: relative;
  padding: 4px 8px 5px calc(var(--stick) + 10px);
  background: linear-gradient(90deg, var(--pressed) var(--stick), transparent var(--stick));
}

.line {
  width: 100%;
  box-sizing: border-box;
  padding: 4px 7px;
  border: 1px solid transparent;
  border-radius: 3px;
  background: transparent;
  color: var(--ink);
  font: inherit;
}

.line::placeholder {
  color: var(--soft-ink);
  font-style: italic;
}

.line:hover {
  border-color: var(--rule);
}

.line:focus {
  background: var(--field);
  border-color: var(--verdigris);
}

.told p {
  margin: 2px 7px;
}

.marked {
  white-space: pre-wrap;
}

mark {
  color: inherit;
  background: none;
  text-decoration: underline wavy var(--brick) 1.5px;
  text-underline-offset: 3px;
}

.wrong {
  color: var(--brick);
}

ul {
  position: absolute;
  z-index: 5;
  left: calc(var(--stick) + 10px);
  min-width: 420px;
  max-width: calc(100% - 114px);
  margin: 2px 0 0;
  padding: 3px 0;
  list-style: none;
  background: var(--sheet);
  border: 1px solid var(--ink);
  border-radius: 3px;
}

li {
  display: flex;
  gap: 12px;
  padding: 3px 9px;
  cursor: pointer;
}

li[aria-selected='true'],
li:hover {
  background: var(--pressed);
}

.number {
  margin-left: auto;
}
</style>
