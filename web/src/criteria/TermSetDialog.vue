<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { refDebounced } from '@vueuse/core'
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { computed, ref, watch } from 'vue'
import { firstFree, slug, type JsonObject, type TermSet } from './document'

/** Gathers the codes, wordings and keywords that mean one thing, from those that occur in the records. */
const visible = defineModel<boolean>('visible', { required: true })
const { termSet, taken } = defineProps<{
  /** The one that is changed; nothing for a new one. */
  termSet: TermSet | undefined
  /** The ids that other term sets have. */
  taken: Set<string>
}>()
const emit = defineEmits<{ save: [termSet: TermSet] }>()

type Term = Schemas['Term']

const name = ref('')
const find = ref('')
const members = ref<JsonObject[]>([])
const terms = ref<Term[]>([])
const problem = ref('')
const wanted = refDebounced(find, 150)

watch(visible, (shown) => {
  if (shown) {
    name.value = termSet?.name ?? ''
    find.value = ''
    members.value = [...(termSet?.members ?? [])]
  }
})

watch(
  [visible, wanted],
  async ([shown, words]) => {
    if (!shown) {
      return
    }
    try {
      const found = await send<Term[]>(`/api/records/terms?find=${encodeURIComponent(words)}`)
      if (words === wanted.value) {
        terms.value = found
        problem.value = ''
      }
    } catch (failure) {
      problem.value = sentenceOf(failure)
    }
  },
  { immediate: true },
)

function memberOf(term: Term): JsonObject {
  switch (term.sort) {
    case 'CODE':
      return term.system ? { system: term.system, code: term.term } : { code: term.term }
    case 'TEXT':
      return { text: term.term }
    case 'KEYWORD':
      return { keyword: term.term }
  }
}

function words(member: JsonObject): string {
  const text = (value: unknown) => (typeof value === 'string' ? value : '…')
  if ('code' in member) {
    return `code ${text(member.code)}${member.system ? ` of ${text(member.system)}` : ''}`
  }
  if ('keyword' in member) {
    return `keyword ${text(member.keyword)}`
  }
  const how = { startsWith: 'starts with', contains: 'contains' }[text(member.match)] ?? 'is'
  return `wording ${how} “${text(member.text)}”`
}

function same(one: JsonObject, other: JsonObject): boolean {
  return words(one).toLowerCase() === words(other).toLowerCase()
}

function isMember(term: Term): boolean {
  return members.value.some((member) => same(member, memberOf(term)))
}

function toggle(term: Term) {
  const member = memberOf(term)
  members.value = isMember(term)
    ? members.value.filter((one) => !same(one, member))
    : [...members.value, member]
}

const typed = computed(() => find.value.trim())

function addTyped(member: JsonObject) {
  if (!members.value.some((one) => same(one, member))) {
    members.value = [...members.value, member]
  }
}

function save() {
  const given = name.value.trim()
  const id = termSet?.id ?? firstFree(slug(given) || 'terms', taken)
  emit('save', { id, name: given, members: members.value })
  visible.value = false
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="termSet ? `Term set: ${termSet.name}` : 'New term set'"
    :style="{ width: '860px' }"
  >
    <form class="terms" @submit.prevent="save">
      <label>
        What it means
        <InputText v-model="name" autofocus required placeholder="hearing check" />
      </label>
      <label>
        Find in the records
        <InputText v-model="find" placeholder="Type a code or wording" />
      </label>
      <section aria-label="Terms in the records" class="found">
        <p v-if="problem" class="notice" role="alert">{{ problem }}</p>
        <p v-else-if="terms.length === 0" class="quiet">
          Nothing in the records holds “{{ typed }}”. It can be added all the same, below.
        </p>
        <label v-for="term in terms" :key="`${term.sort} ${term.system} ${term.term}`" class="term">
          <Checkbox :model-value="isMember(term)" binary @update:model-value="toggle(term)" />
          <span>{{ words(memberOf(term)) }}</span>
          <span v-if="term.sort === 'CODE'" class="quiet">{{ term.says }}</span>
          <span class="quiet number">{{ term.records }}</span>
        </label>
      </section>
      <section aria-label="Members of the term set" class="members">
        <p v-if="members.length === 0" class="quiet">
          Tick what means the same, or add what you typed.
        </p>
        <div v-for="(member, i) in members" :key="words(member)" class="term">
          <span>{{ words(member) }}</span>
          <Button
            size="small"
            text
            severity="secondary"
            icon="pi pi-times"
            :aria-label="`Remove ${words(member)}`"
            @click="members = members.filter((_, other) => other !== i)"
          />
        </div>
        <div v-if="typed" class="add">
          <Button
            size="small"
            text
            :label="`Add wording starting with “${typed}”`"
            @click="addTyped({ text: typed, match: 'startsWith' })"
          />
          <Button
            size="small"
            text
            :label="`Add wording containing “${typed}”`"
            @click="addTyped({ text: typed, match: 'contains' })"
          />
          <Button
            size="small"
            text
            :label="`Add code “${typed}” of any system`"
            @click="addTyped({ code: typed })"
          />
        </div>
      </section>
      <div class="buttons">
        <Button type="button" text label="Leave as it was" @click="visible = false" />
        <Button type="submit" label="Use it" :disabled="!name.trim()" />
      </div>
    </form>
  </Dialog>
</template>

<style scoped>
.terms {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 18px;
}

.terms > label {
  display: grid;
  gap: 3px;
}

.found,
.members {
  height: 330px;
  overflow: auto;
  border: 1px solid var(--rule);
  padding: 4px 8px;
}

.term {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 2px 0;
}

.term .number {
  margin-left: auto;
}

.add {
  display: grid;
  justify-items: start;
  border-top: 1px solid var(--rule);
  margin-top: 6px;
}

.buttons {
  grid-column: 1 / -1;
  display: flex;
  justify-content: flex-end;
  gap: 8px;
}
</style>
