<script setup lang="ts">
import { send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { refDebounced } from '@vueuse/core'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import { computed, ref, shallowRef, watch } from 'vue'

/** Letters in each language, and how the one that is being changed reads for a real person. */
const { list, example, templates, fields } = defineProps<{
  list: string
  example: string
  templates: readonly Schemas['LetterTemplate'][]
  /** What a letter can say of somebody. */
  fields: readonly string[]
}>()
const emit = defineEmits<{ saved: []; close: [] }>()

/** As they stand in a text. */
const fieldsWords = computed(() => fields.map((field) => '{' + `{${field}}` + '}').join(' '))

const name = ref('Recall')
const language = ref('en')
const subject = ref('')
const body = ref('')
const problem = ref('')
const preview = shallowRef<Schemas['Letter']>()

const known = computed(() =>
  templates.find((one) => one.name === name.value && one.language === language.value),
)
const address = computed(
  () => `/api/letters/${encodeURIComponent(name.value)}/${encodeURIComponent(language.value)}`,
)

watch(
  known,
  (template) => {
    if (template) {
      subject.value = template.subject
      body.value = template.body
    }
  },
  { immediate: true },
)

const settled = refDebounced(
  computed(() => ({ person: example, subject: subject.value, body: body.value })),
  300,
)

watch(
  settled,
  async (draft) => {
    try {
      preview.value = await sendJson<Schemas['Letter']>(
        'POST',
        `/api/lists/${encodeURIComponent(list)}/out/preview`,
        draft,
      )
      problem.value = ''
    } catch (failure) {
      problem.value = sentenceOf(failure)
    }
  },
  { immediate: true },
)

async function save() {
  try {
    await sendJson(
      'PUT',
      address.value,
      { subject: subject.value, body: body.value },
      { headers: { 'If-Match': `"${String(known.value?.revision ?? 0)}"` } },
    )
    problem.value = ''
    emit('saved')
  } catch (failure) {
    problem.value = sentenceOf(failure)
  }
}

async function remove() {
  try {
    await send(address.value, { method: 'DELETE' })
    emit('saved')
  } catch (failure) {
    problem.value = sentenceOf(failure)
  }
}
</script>

<template>
  <form class="form" @submit.prevent="save">
    <p v-if="problem" class="notice whole" role="alert">{{ problem }}</p>
    <label for="letter-name">Letter</label>
    <span class="which">
      <InputText id="letter-name" v-model="name" list="letters-known" required maxlength="100" />
      <datalist id="letters-known">
        <option v-for="one in templates" :key="one.name + one.language" :value="one.name" />
      </datalist>
      <label for="letter-language">in</label>
      <InputText id="letter-language" v-model="language" required maxlength="17" size="4" />
      <span class="quiet">
        there is
        {{
          templates
            .filter((one) => one.name === name)
            .map((one) => one.language)
            .join(', ') || 'none yet'
        }}
      </span>
    </span>
    <label for="letter-subject">Subject</label>
    <InputText id="letter-subject" v-model="subject" required maxlength="400" />
    <label for="letter-body">Text</label>
    <Textarea id="letter-body" v-model="body" rows="9" required maxlength="8000" />
    <span>Fields</span>
    <span class="quiet">{{ fieldsWords }}</span>
    <template v-if="preview">
      <span>Reads so</span>
      <div class="preview">
        <strong>{{ preview.subject }}</strong>
        <p>{{ preview.body }}</p>
      </div>
    </template>
    <span></span>
    <span class="buttons">
      <Button type="submit" label="Save this language" :disabled="problem !== ''" />
      <Button
        v-if="known && language !== 'en'"
        type="button"
        text
        label="Remove this language"
        @click="remove"
      />
      <Button type="button" text label="Back" @click="emit('close')" />
    </span>
  </form>
</template>

<style scoped>
.which {
  display: flex;
  align-items: center;
  gap: 8px;
}

.preview {
  border: 1px solid var(--rule);
  background: var(--sheet);
  padding: 6px 10px;
  max-height: 180px;
  overflow: auto;
}

.preview p {
  white-space: pre-wrap;
  margin: 4px 0 0;
}
</style>
