<script setup lang="ts">
import { Dialog } from '@/controls'
import { send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { count } from '@/stick'
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
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
const problem = ref('')
const filling = ref(false)

watch([visible, () => file], ([shown]) => {
  chosen.value = undefined
  opened.value = undefined
  problem.value = ''
  if (shown && file) {
    void open({ file: file as unknown as NonNullable<Chosen['file']> })
  }
})

async function open(one: Chosen) {
  chosen.value = one
  opened.value = undefined
  problem.value = ''
  try {
    const answer = await sendJson<Schemas['OpenedTemplate']>('POST', '/api/templates/opened', one)
    if (chosen.value === one) {
      opened.value = answer
      taken.value = answer.questions.map((question) =>
        question.choices.map((choice) => choice.chosen),
      )
    }
  } catch (failure) {
    if (chosen.value === one) {
      problem.value = sentenceOf(failure)
    }
  }
}

const stayOpen = computed(
  () => taken.value.filter((choices) => !choices.some((isTaken) => isTaken)).length,
)

async function put() {
  const of = opened.value
  if (!of || filling.value) {
    return
  }
  filling.value = true
  problem.value = ''
  try {
    const answers = of.questions.map((question, i) =>
      question.choices.filter((_, j) => taken.value[i]?.[j]).map((choice) => choice.answer),
    )
    const filled = await sendJson<{ document: CriteriaDocument }>('POST', '/api/templates/filled', {
      template: chosen.value,
      answers,
    })
    emit('put', filled.document)
    visible.value = false
  } catch (failure) {
    problem.value = sentenceOf(failure)
  } finally {
    filling.value = false
  }
}

function words(choice: Choice): string {
  return choice.also === '' || choice.says.includes(choice.also)
    ? choice.says
    : `${choice.says}, ${choice.also}`
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="opened ? opened.name : 'New set from a template'"
    :style="{ width: '760px', maxWidth: '97vw' }"
  >
    <p v-if="problem" class="notice" role="alert">{{ problem }}</p>
    <template v-if="!chosen">
      <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
      <p v-else-if="!library" class="quiet">The templates are being fetched.</p>
      <p v-else class="quiet">
        What a template leaves open, since it is called otherwise in each practice, is asked with
        what is on record here.
      </p>
      <ul class="library">
        <li v-for="one in library" :key="one.id">
          <button class="word" @click="open({ id: one.id })">{{ one.name }}</button>
          <span class="quiet">{{ one.about }}</span>
        </li>
      </ul>
    </template>
    <p v-else-if="!opened && !problem" class="quiet">What is on record is being looked up.</p>
    <form v-if="opened" @submit.prevent="put">
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
      <p class="buttons">
        <Button type="submit" label="Put it on the bench" :loading="filling" />
        <Button type="button" text label="Leave it" @click="visible = false" />
        <span v-if="stayOpen" class="quiet">
          {{ count(stayOpen) }} {{ stayOpen === 1 ? 'question stays' : 'questions stay' }} open
        </span>
      </p>
    </form>
  </Dialog>
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

.buttons {
  display: flex;
  align-items: baseline;
  gap: 10px;
}
</style>
