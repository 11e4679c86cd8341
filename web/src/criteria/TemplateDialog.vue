<script setup lang="ts">
import { FormDialog } from '@/controls'
import { send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { useSaving } from '@/api/saving'
import { count } from '@/stick'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, shallowRef, watch } from 'vue'
import type { CriteriaDocument } from './document'

/** A template is chosen, what it leaves open is asked, and the set goes on the bench; nothing is saved by that. */
const visible = defineModel<boolean>('visible', { required: true })
const { file = undefined } = defineProps<{
  /** One that was opened from a file, in place of the library. */
  file?: Record<string, unknown>
}>()
const emit = defineEmits<{ put: [document: CriteriaDocument] }>()

type Chosen = Schemas['Chosen']
type Choice = Schemas['MayBeMeant']

const { data: library, error } = useQuery({
  queryKey: ['templates'],
  queryFn: () => send<Schemas['InLibrary'][]>('/api/templates'),
  enabled: computed(() => visible.value && file === undefined),
})
const chosen = shallowRef<Chosen>()
const opened = shallowRef<Schemas['OpenedTemplate']>()
/** Which choices of each question are taken. */
const taken = ref<boolean[][]>([])
const opening = useNewest()
const { save, say, saving, problem: refused } = useSaving(chosen)
const problem = computed(() => refused.value || opening.problem.value || sentenceOf(error.value))

watch([visible, () => file], ([shown]) => {
  opening.forget()
  chosen.value = undefined
  opened.value = undefined
  say('')
  if (shown && file) {
    open({ file: file as unknown as NonNullable<Chosen['file']> })
  }
})

function open(one: Chosen) {
  chosen.value = one
  void opening.ask(
    (signal) =>
      sendJson<Schemas['OpenedTemplate']>('POST', '/api/templates/opened', one, { signal }),
    (answer) => {
      opened.value = answer
      taken.value = answer.questions.map((question) =>
        question.choices.map((choice) => choice.chosen),
      )
    },
  )
}

const stayOpen = computed(
  () => taken.value.filter((choices) => !choices.some((isTaken) => isTaken)).length,
)
const fetching = computed(() => {
  if (opening.asking.value) {
    return 'What is on record is being looked up.'
  }
  return library.value || file ? '' : 'The templates are being fetched.'
})

function put() {
  const answers = (opened.value?.questions ?? []).map((question, i) =>
    question.choices.filter((_, j) => taken.value[i]?.[j]).map((choice) => choice.answer),
  )
  void save(
    () =>
      sendJson<{ document: CriteriaDocument }>('POST', '/api/templates/filled', {
        template: chosen.value,
        answers,
      }),
    (filled) => {
      emit('put', filled.document)
      visible.value = false
    },
  )
}

function words(choice: Choice): string {
  return choice.also === '' || choice.says.includes(choice.also)
    ? choice.says
    : `${choice.says}, ${choice.also}`
}
</script>

<template>
  <FormDialog
    v-model:visible="visible"
    :header="opened ? opened.name : 'New set from a template'"
    :action="opened ? 'Put it on the bench' : ''"
    leave="Leave it"
    :width="760"
    stacked
    :problem="problem"
    :fetching="fetching"
    :busy="saving"
    @done="put"
  >
    <template v-if="opened">
      <p class="quiet">{{ opened.about }}</p>
      <fieldset v-for="(question, i) in opened.questions" :key="i">
        <legend>{{ question.question }}</legend>
        <p v-if="question.choices.length === 0" class="quiet">
          Nothing on record is worded so; it stays open on the bench.
        </p>
        <label v-for="(choice, j) in question.choices" :key="j" class="choice">
          <input v-model="taken[i]![j]" type="checkbox" /> {{ words(choice) }}
          <span class="quiet">{{ count(choice.count) }}</span>
        </label>
      </fieldset>
    </template>
    <template v-else-if="!file">
      <p class="quiet">
        What a template leaves open, since it is called otherwise in each practice, is asked with
        what is on record here.
      </p>
      <ul class="library">
        <li v-for="one in library" :key="one.id">
          <button type="button" class="word" @click="open({ id: one.id })">{{ one.name }}</button>
          <span class="quiet">{{ one.about }}</span>
        </li>
      </ul>
    </template>
    <template #more>
      <span v-if="opened && stayOpen" class="quiet">
        {{ count(stayOpen) }} {{ stayOpen === 1 ? 'question stays' : 'questions stay' }} open
      </span>
    </template>
  </FormDialog>
</template>

<style scoped>
.library {
  list-style: none;
  margin: 0;
  padding: 0;
}

.library li {
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}

.library .word {
  margin-right: 10px;
}

fieldset {
  border: 1px solid var(--rule);
  margin: 8px 0;
  padding: 4px 12px 8px;
  max-height: 180px;
  overflow: auto;
}

legend {
  font-weight: 600;
}

.choice {
  display: block;
}
</style>
