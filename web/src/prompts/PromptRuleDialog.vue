<script setup lang="ts">
import { LIMITS } from '@/api/limits'
import { FormDialog } from '@/controls'
import { send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import { useTyping } from '@/api/typing'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Textarea from 'primevue/textarea'
import { computed, watch } from 'vue'

type PromptRule = Schemas['PromptRule']

/** When a list prompts, and what may be said to those on it. */
const visible = defineModel<boolean>('visible', { required: true })
const { id, name } = defineProps<{ id: string; name: string }>()

const queries = useQueryClient()
const address = computed(() => `/api/lists/${encodeURIComponent(id)}/prompt` as const)
const { data: kept, error } = useQuery({
  queryKey: computed(() => ['lists', id, 'prompt']),
  queryFn: () => send<Schemas['PromptRuleKept']>(address.value),
  enabled: visible,
})
const {
  draft: typed,
  ifMatch,
  saved,
  begin,
} = useTyping<PromptRule>(
  () => id,
  () => (kept.value ? { value: kept.value.rule, revision: kept.value.revision } : undefined),
)
/** The form is shown once there is one to change. */
const draft = computed(() => typed.value as PromptRule)
const { save: keep, say, saving, problem } = useSaving(() => id)

watch([visible, () => id], ([shown]) => {
  if (shown) {
    begin()
    say('')
  }
})

async function save() {
  const sent = { ...draft.value }
  const done = await keep(
    () => sendJson<Schemas['PromptRuleKept']>('PUT', address.value, sent, ifMatch.value),
    (answer) => {
      // What was changed since is still to be saved.
      visible.value = JSON.stringify(draft.value) !== JSON.stringify(sent)
      saved(sent, answer.revision)
    },
  )
  if (done) {
    await queries.invalidateQueries({ queryKey: ['lists', id, 'prompt'] })
    await queries.invalidateQueries({ queryKey: ['prompts'] })
  }
}
</script>

<template>
  <FormDialog
    v-model:visible="visible"
    :header="`When “${name}” prompts`"
    action="Save"
    :width="600"
    :problem="problem || sentenceOf(error)"
    :busy="saving"
    :fetching="typed ? '' : 'When it prompts is being fetched.'"
    stacked
    @done="save"
  >
    <p class="quiet">
      Whoever has somebody before them who is on this list is told so. Never of who is to check,
      excused, or held back.
    </p>
    <p>
      <label
        ><input v-model="draft.whenOpened" type="checkbox" /> when a colleague opens them in
        Dipstick</label
      >
    </p>
    <p>
      <label
        ><input v-model="draft.whenComingIn" type="checkbox" /> when they come in: on Today and on
        the morning sheet</label
      >
    </p>
    <p>
      <label
        ><input v-model="draft.toRecordSystems" type="checkbox" /> when they are opened or booked in
        the record system</label
      >
    </p>
    <label for="prompt-say">What to say</label>
    <Textarea
      id="prompt-say"
      v-model="draft.sentence"
      rows="2"
      fluid
      :maxlength="LIMITS.PromptRule.sentence.maxLength"
      placeholder="such as: Your hearing check is due. Shall we find a day?"
    />
  </FormDialog>
</template>

<style scoped>
p {
  margin: 6px 0;
}
</style>
