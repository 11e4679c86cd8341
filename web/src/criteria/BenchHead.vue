<script setup lang="ts">
import { useSession } from '@/session'
import AsOfDate from '@/shell/AsOfDate.vue'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import type { CriteriaDocument } from './document'
import type { History } from './history'

/** The head of the bench: what the set is called, how it stands, and what is done with the whole of it. */
defineProps<{
  document: CriteriaDocument
  /** How it is saved, in words. */
  standing: string
  history: History<CriteriaDocument>
  canSave: boolean
  canPublish: boolean
  saving: boolean
  /** Whether it is only looked at. */
  fixed: boolean
}>()
const asOf = defineModel<string>('asOf', { required: true })
const emit = defineEmits<{
  name: [name: string]
  save: []
  publish: []
}>()

const session = useSession()
</script>

<template>
  <div class="head">
    <InputText
      :model-value="document.name"
      placeholder="Name of the set"
      aria-label="Name of the set"
      class="name"
      :readonly="fixed"
      @update:model-value="emit('name', $event ?? '')"
    />
    <AsOfDate v-model="asOf" :today="session.today" />
    <span class="quiet grow">{{ standing }}</span>
    <Button
      text
      icon="pi pi-undo"
      aria-label="Undo"
      :disabled="!history.canUndo.value"
      @click="history.undo()"
    />
    <Button
      text
      icon="pi pi-refresh"
      aria-label="Redo"
      :disabled="!history.canRedo.value"
      @click="history.redo()"
    />
    <slot name="menu" />
    <Button outlined label="Save" :disabled="!canSave" :loading="saving" @click="emit('save')" />
    <Button label="Publish" :disabled="!canPublish" @click="emit('publish')" />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-bottom: 8px;
}

.name {
  width: 300px;
  font-weight: 600;
}

.grow {
  flex: 1;
}

@media (max-width: 1000px) {
  .head {
    flex-wrap: wrap;
  }

  .name {
    width: 100%;
  }

  .grow {
    flex-basis: 240px;
  }
}
</style>
