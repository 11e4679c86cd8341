<script setup lang="ts">
import { FormDialog } from '@/controls'
import { send, sendJson, type Schemas } from '@/api/client'
import { LIMITS, PARAMETERS } from '@/api/limits'
import { useNewest } from '@/api/newest'
import { useSaving } from '@/api/saving'
import { useTyping } from '@/api/typing'
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
const preview = shallowRef<Schemas['Letter']>()

const known = computed(() =>
  templates.find((one) => one.name === name.value && one.language === language.value),
)
const address = computed(
  () =>
    `/api/letters/${encodeURIComponent(name.value)}/${encodeURIComponent(language.value)}` as const,
)
const {
  draft: typed,
  ifMatch,
  saved,
} = useTyping(
  () => address.value,
  () => {
    const { subject, body, revision } = known.value ?? {}
    return revision === undefined
      ? undefined
      : { value: { subject: subject ?? '', body: body ?? '' }, revision }
  },
)
watch(
  typed,
  (now) => {
    // Of a letter that there is not yet, nothing is typed at first.
    typed.value = now ?? { subject: '', body: '' }
  },
  { immediate: true, flush: 'sync' },
)
const draft = computed(() => typed.value ?? { subject: '', body: '' })
const { save: keep, saving, problem: refused } = useSaving(address)
const previewing = useNewest()
const problem = computed(() => refused.value || previewing.problem.value)

const settled = refDebounced(
  computed(() => ({ person: example, ...typed.value })),
  300,
)

watch(
  settled,
  (wanted) => {
    if (!wanted.subject?.trim() && !wanted.body?.trim()) {
      previewing.forget()
      preview.value = undefined
      return
    }
    void previewing.ask(
      (signal) =>
        sendJson<Schemas['Letter']>(
          'POST',
          `/api/lists/${encodeURIComponent(list)}/out/preview`,
          wanted,
          { signal },
        ),
      (letter) => {
        preview.value = letter
      },
    )
  },
  { immediate: true },
)

async function save() {
  const sent = { ...draft.value }
  await keep(
    () => sendJson<Schemas['LetterTemplate']>('PUT', address.value, sent, ifMatch.value),
    (answer) => {
      saved(sent, answer.revision)
      emit('saved')
    },
  )
}

async function remove() {
  await keep(
    () => send(address.value, { method: 'DELETE', ...ifMatch.value }),
    () => {
      emit('saved')
    },
  )
}
</script>

<template>
  <FormDialog
    visible
    header="Letters"
    action="Save this language"
    leave="Back"
    :width="640"
    :problem="problem"
    :busy="saving"
    @done="save"
    @update:visible="emit('close')"
  >
    <label for="letter-name">Letter</label>
    <span class="which">
      <InputText
        id="letter-name"
        v-model="name"
        list="letters-known"
        required
        :maxlength="PARAMETERS['PUT /api/letters/{name}/{language}'].name.maxLength"
      />
      <datalist id="letters-known">
        <option v-for="one in templates" :key="one.name + one.language" :value="one.name" />
      </datalist>
      <label for="letter-language">in</label>
      <InputText
        id="letter-language"
        v-model="language"
        required
        :maxlength="PARAMETERS['PUT /api/letters/{name}/{language}'].language.maxLength"
        size="4"
      />
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
    <InputText
      id="letter-subject"
      v-model="draft.subject"
      required
      :maxlength="LIMITS.TemplateChange.subject.maxLength"
    />
    <label for="letter-body">Text</label>
    <Textarea
      id="letter-body"
      v-model="draft.body"
      rows="9"
      required
      :maxlength="LIMITS.TemplateChange.body.maxLength"
    />
    <span>Fields</span>
    <span class="quiet">{{ fieldsWords }}</span>
    <template v-if="preview && !previewing.problem.value">
      <span>Reads so</span>
      <div class="preview">
        <strong>{{ preview.subject }}</strong>
        <p>{{ preview.body }}</p>
      </div>
    </template>
    <template #more>
      <Button
        v-if="known && language !== 'en'"
        type="button"
        text
        label="Remove this language"
        @click="remove"
      />
    </template>
  </FormDialog>
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
