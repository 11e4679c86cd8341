<script setup lang="ts">
import type { RouteLocationRaw } from 'vue-router'
import { computed } from 'vue'
import { useRouter } from 'vue-router'

/** A row that opens beside its list by a click, and in a window of its own as any link does. */
const { to } = defineProps<{ to: RouteLocationRaw }>()
const emit = defineEmits<{ open: [] }>()

const router = useRouter()
const href = computed(() => router.resolve(to).href)

function click(event: MouseEvent) {
  if (!event.ctrlKey && !event.metaKey && !event.shiftKey && !event.altKey) {
    event.preventDefault()
    emit('open')
  }
}
</script>

<template>
  <a :href="href" @click.stop="click"><slot /></a>
</template>
