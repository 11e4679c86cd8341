<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { computed } from 'vue'

/** A filled drop is yes, a hollow one no, a half one can't tell. */
const { outcome } = defineProps<{ outcome: Schemas['ReasonView']['outcome'] }>()

const words = computed(() => ({ YES: 'yes', NO: 'no', UNSURE: "can't tell" })[outcome])
</script>

<template>
  <svg class="drop" width="13" height="16" viewBox="0 0 13 16" role="img" :aria-label="words">
    <path
      v-if="outcome === 'YES'"
      class="full"
      d="M6.5 1C8 4 12 7.5 12 10.3A5.5 5 0 0 1 1 10.3C1 7.5 5 4 6.5 1Z"
    />
    <template v-else>
      <path
        v-if="outcome === 'UNSURE'"
        class="half"
        d="M6.5 1C5 4 1 7.5 1 10.3A5.5 5 0 0 0 6.5 15.3Z"
      />
      <path class="hollow" d="M6.5 1C8 4 12 7.5 12 10.3A5.5 5 0 0 1 1 10.3C1 7.5 5 4 6.5 1Z" />
    </template>
  </svg>
</template>

<style scoped>
.drop {
  flex: none;
  vertical-align: -2px;
}

.full,
.half {
  fill: var(--amber-ink);
}

.full,
.hollow {
  stroke: var(--amber-ink);
  stroke-width: 1.3;
}

.hollow {
  fill: none;
}
</style>
