<script setup lang="ts">
import { computed } from 'vue'
import { useVeil } from './veil'
import Veiled from './Veiled.vue'

/** A sentence that may say who somebody is: while the veil is down, those words are not in the page. */
const { text, telling } = defineProps<{
  text: string
  /** What tells who it is: a name, a birth date, a phone number. */
  telling: readonly string[]
}>()

/** Shorter ones, such as an initial, are in any sentence. */
const SHORTEST = 3

const veil = useVeil()

const runs = computed(() => {
  const hidden = telling.filter((one) => one.length >= SHORTEST)
  if (!veil.isDown || hidden.length === 0) {
    return [{ text, told: false }]
  }
  const escaped = hidden.map((one) => one.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))
  return text
    .split(new RegExp(`(${escaped.join('|')})`, 'i'))
    .map((part, i) => ({ text: part, told: i % 2 === 1 }))
})
</script>

<template>
  <template v-for="(run, i) in runs" :key="i"
    ><Veiled v-if="run.told" :text="run.text" what="this" /><template v-else>{{
      run.text
    }}</template></template
  >
</template>
