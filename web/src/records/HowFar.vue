<script setup lang="ts">
import { count } from '@/stick'
import ProgressBar from 'primevue/progressbar'
import { computed, ref, watch } from 'vue'
import { restWords } from './deliveries'

/** How far the reading of a file is, once it takes longer than a moment. */
const { done, of } = defineProps<{ done: number; of: number }>()

const began = ref(Date.now())
const sinceMs = ref(0)

watch(
  () => done,
  (now, before) => {
    if (now < before) {
      began.value = Date.now()
    }
    sinceMs.value = Date.now() - began.value
  },
)

const percent = computed(() => Math.min(100, Math.round((100 * done) / Math.max(1, of))))
const rest = computed(() => restWords(done, of, sinceMs.value))
</script>

<template>
  <div v-if="rest">
    <ProgressBar :value="percent" aria-label="Rows read" />
    <p class="quiet">{{ count(done) }} of {{ count(of) }} rows, {{ rest }}</p>
  </div>
</template>
