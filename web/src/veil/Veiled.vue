<script setup lang="ts">
import { useVeil } from './veil'

/** A name or a contact: not in the page at all while the veil is down. */
const { text, what = 'name' } = defineProps<{
  text: string
  /** What is hidden, for who hears the page. */
  what?: string
}>()

const veil = useVeil()
</script>

<template>
  <span v-if="veil.isDown && text" class="veiled"
    ><span aria-hidden="true">▒▒▒▒▒▒</span
    ><span class="visually-hidden">{{ what }} hidden</span></span
  >
  <template v-else>{{ text }}</template>
</template>

<style scoped>
.veiled {
  color: var(--rule);
  letter-spacing: -1px;
}
</style>
