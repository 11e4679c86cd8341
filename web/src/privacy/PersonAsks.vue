<script setup lang="ts">
import { FormDialog, OfferedText } from '@/controls'
import { sendJson } from '@/api/client'
import { LIMITS } from '@/api/limits'
import { keepFile } from '@/api/download'
import { useSaving } from '@/api/saving'
import { useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { reactive, ref } from 'vue'

/** What somebody may ask of the practice: a report of all that is held of them, and that they are erased. */
const { person } = defineProps<{ person: string }>()
const emit = defineEmits<{ erased: [] }>()

const OFFERED = ['the person', 'somebody who may ask for them', 'the practice'] as const

const queries = useQueryClient()
const wanted = ref<'report' | 'erasure'>()
const draft = reactive({ askedBy: '', why: '', typed: '' })
const { save, saving, problem, say } = useSaving(() => [person, wanted.value])

function open(what: 'report' | 'erasure') {
  Object.assign(draft, { askedBy: '', why: '', typed: '' })
  wanted.value = what
  say('')
}

function asked() {
  return { askedBy: draft.askedBy.trim(), why: draft.why.trim() }
}

async function report(format: 'PDF' | 'JSON') {
  await save(() =>
    keepFile(`/api/people/${encodeURIComponent(person)}/report`, { format, asked: asked() }),
  )
}

async function erase() {
  await save(
    () =>
      sendJson('POST', `/api/people/${encodeURIComponent(person)}/erasure`, {
        person: draft.typed.trim(),
        asked: asked(),
      }),
    () => {
      wanted.value = undefined
      queries.removeQueries({ queryKey: ['people', person] })
      void queries.invalidateQueries()
      emit('erased')
    },
  )
}
</script>

<template>
  <p class="asks">
    <button class="word" @click="open('report')">All that is held of them</button>
    <button class="word" @click="open('erasure')">Erase them</button>
    <FormDialog
      :visible="wanted !== undefined"
      :header="wanted === 'erasure' ? 'Erase this person' : 'All that is held of this person'"
      :action="wanted === 'erasure' ? 'Erase for good' : ''"
      leave="Leave it"
      :width="560"
      :problem="problem"
      :busy="saving"
      :ready="draft.typed.trim() === person"
      @update:visible="wanted = undefined"
      @done="erase"
    >
      <p v-if="wanted === 'erasure'" class="whole">
        Their record, their place on every list and whatever was written about them goes, and cannot
        be brought back. A stub without a name keeps the counts of lists true. The audit log still
        has their number, and the backups of before still have it all, for as long as they are kept.
        Files that still name them are read without them.
      </p>
      <p v-else class="whole">
        Their record, lists, readings, what was done about them, and who looked: to read as a PDF,
        or as JSON for a program.
      </p>
      <label for="asked-by">Who asked</label>
      <OfferedText
        id="asked-by"
        v-model="draft.askedBy"
        :maxlength="LIMITS.Asked.askedBy.maxLength"
        :offered="OFFERED"
      />
      <label for="asked-why">Why</label>
      <InputText
        id="asked-why"
        v-model="draft.why"
        required
        :maxlength="LIMITS.Asked.why.maxLength"
      />
      <template v-if="wanted === 'erasure'">
        <label for="asked-typed">Type {{ person }}</label>
        <InputText id="asked-typed" v-model="draft.typed" autocomplete="off" required />
      </template>
      <template v-if="wanted === 'report'" #actions>
        <Button
          v-for="format in ['PDF', 'JSON'] as const"
          :key="format"
          type="button"
          :label="`Take it as ${format}`"
          :loading="saving"
          :disabled="!draft.askedBy.trim() || !draft.why.trim()"
          @click="report(format)"
        />
      </template>
    </FormDialog>
  </p>
</template>

<style scoped>
.asks {
  display: flex;
  gap: 16px;
  margin: 0;
  padding: 8px 12px;
}
</style>
