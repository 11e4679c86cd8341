<script setup lang="ts">
import { sentenceOf, type Schemas } from '@/api/client'
import Button from 'primevue/button'
import Menu from 'primevue/menu'
import type { MenuItem } from 'primevue/menuitem'
import { useToast } from 'primevue/usetoast'
import { computed, useTemplateRef } from 'vue'
import type { CriteriaDocument } from './document'
import { downloadDocument, downloadTemplate } from './files'

/** What can be done with a set besides changing it. */
const { document, state, isNew } = defineProps<{
  document: CriteriaDocument
  /** How it is saved; nothing where it never was. */
  state: Schemas['SetDocument'] | undefined
  isNew: boolean
}>()
const emit = defineEmits<{
  versions: []
  text: []
  copy: []
  dropDraft: []
  retire: [retired: boolean]
}>()

const toast = useToast()
const menu = useTemplateRef('menu')
const items = computed<MenuItem[]>(() => [
  { label: 'Versions', disabled: isNew, command: () => emit('versions') },
  { label: 'As text', command: () => emit('text') },
  { label: 'Make a copy', command: () => emit('copy') },
  { label: 'Download as a file', command: () => downloadDocument(document) },
  { label: 'Download as a template', command: () => void asTemplate() },
  {
    label: 'Go back to what is published',
    disabled: !state?.draft || state.version === 0,
    command: () => emit('dropDraft'),
  },
  {
    label: state?.retired ? 'Take back into use' : 'Retire',
    disabled: !state || state.version === 0,
    command: () => emit('retire', !state?.retired),
  },
])

async function asTemplate() {
  try {
    await downloadTemplate(document)
  } catch (failure) {
    toast.add({ severity: 'warn', summary: sentenceOf(failure), life: 9000 })
  }
}
</script>

<template>
  <Button
    text
    icon="pi pi-ellipsis-h"
    aria-label="What can be done with this set"
    aria-haspopup="menu"
    @click="menu?.toggle($event)"
  />
  <Menu ref="menu" :model="items" popup />
</template>
