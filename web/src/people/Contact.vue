<script setup lang="ts">
import { useVeil, Veiled } from '@/veil'
import { computed } from 'vue'

/** A field of somebody; a way to reach them is a link to take it (RFC 3966, RFC 6068). */
const { field, value } = defineProps<{ field: string; value: string }>()

const veil = useVeil()
const href = computed(() => {
  switch (field) {
    case 'phone':
    case 'mobile':
      return `tel:${value.replace(/[^+\d]/g, '')}`
    case 'email':
      return `mailto:${encodeURIComponent(value)}`
    default:
      return undefined
  }
})
</script>

<template>
  <a v-if="href && !veil.isDown" class="way" :href="href">{{ value }}</a>
  <Veiled v-else :text="value" :what="field" />
</template>

<style scoped>
/* As large as a finger needs. */
.way {
  display: inline-block;
  min-height: 24px;
  line-height: 24px;
}
</style>
