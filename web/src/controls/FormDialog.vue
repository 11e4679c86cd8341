<script setup lang="ts">
import Button from 'primevue/button'
import { useTemplateRef, watch } from 'vue'
import Dialog from './Dialog'

/**
 * What is filled in before something is done. What was typed stays until it is done, or left; what went wrong is told above
 * it. What it does comes first among its buttons, and the way out beside that; where it can do one of several, they are its
 * `actions`, and the one that Enter does is of type submit.
 */
const visible = defineModel<boolean>('visible', { required: true })
const {
  header,
  action = '',
  leave = 'Leave as it was',
  width = 520,
  stacked = false,
  problem = '',
  fetching = '',
  busy = false,
  ready = true,
} = defineProps<{
  header: string
  /** What it does; empty while there is nothing to do yet. */
  action?: string
  /** What the way out is called. */
  leave?: string
  /** In px; never wider than the window. */
  width?: number
  /** Whether labels stand above what is filled in, rather than beside it. */
  stacked?: boolean
  /** What went wrong, as a sentence. */
  problem?: string
  /** What is fetched before there is anything to fill in, as a sentence; empty once it is there. */
  fetching?: string
  /** Whether it is being done. */
  busy?: boolean
  /** Whether it can be done as it is filled in. */
  ready?: boolean
}>()
const emit = defineEmits<{ done: [] }>()

/** The first thing to fill in has the focus, also where it had to be fetched before. */
const form = useTemplateRef('form')
watch(
  [form, () => fetching],
  ([shown]) => {
    if (shown?.contains(document.activeElement) === false) {
      const first =
        shown.querySelector<HTMLElement>('[autofocus]') ??
        shown.querySelector<HTMLElement>(':is(input, select, textarea):enabled')
      first?.focus()
    }
  },
  { flush: 'post' },
)
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="header"
    :style="{ width: `${String(width)}px`, maxWidth: '97vw' }"
  >
    <form ref="form" :class="{ form: !stacked }" @submit.prevent="emit('done')">
      <p v-if="problem" class="notice whole" role="alert">{{ problem }}</p>
      <p v-if="fetching && !problem" class="quiet whole" role="status">{{ fetching }}</p>
      <slot v-if="!fetching" />
      <span v-if="!stacked"></span>
      <div class="buttons">
        <slot name="actions">
          <Button
            v-if="action"
            type="submit"
            :label="action"
            :loading="busy"
            :disabled="!ready || fetching !== ''"
          />
        </slot>
        <Button type="button" text :label="leave" @click="visible = false" />
        <slot name="more" />
      </div>
    </form>
  </Dialog>
</template>

<style scoped>
/* The ring of a first field that has the focus would be cut off. */
form {
  padding-top: 4px;
}

form:not(.form) > .buttons {
  margin-top: 10px;
}
</style>
