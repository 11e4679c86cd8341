<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { computed } from 'vue'

/** What the dials of a list are set to: with others it is another list. */
const { dials } = defineProps<{ dials: readonly Schemas['DialSetting'][] }>()

const words = computed(() =>
  dials.map((one) => `${one.label || one.name}: ${one.value}`).join(', '),
)
</script>

<template>
  <span v-if="dials.length" class="dials-set">{{ words }}</span>
</template>
