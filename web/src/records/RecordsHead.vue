<script setup lang="ts">
import { useSession } from '@/session'
import { computed } from 'vue'

/** The head of each page about the records, and the way to the others. */
const session = useSession()

const PAGES = [
  { to: '/records', name: 'Files', ofCoordinators: false },
  { to: '/records/state', name: 'The state of the records', ofCoordinators: true },
  { to: '/records/compare', name: 'Compare two files', ofCoordinators: true },
  { to: '/records/same-person', name: 'The same person twice', ofCoordinators: true },
]
const pages = computed(() =>
  PAGES.filter((page) => !page.ofCoordinators || session.has('COORDINATE')),
)
</script>

<template>
  <div class="page-head">
    <h1>Records</h1>
    <nav v-if="pages.length > 1" class="one-of" aria-label="Parts of this place">
      <RouterLink v-for="page in pages" :key="page.to" :to="page.to">{{ page.name }}</RouterLink>
    </nav>
  </div>
</template>
