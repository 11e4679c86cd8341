<script setup lang="ts">
import { Dialog } from '@/controls'
import { send, sentenceOf, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { timeWords } from '@/days'
import { count } from '@/stick'
import { useQuery } from '@tanstack/vue-query'
import { computed, watch } from 'vue'
import type { CriteriaDocument } from './document'

/** The published versions of a set; each can be looked at. */
const visible = defineModel<boolean>('visible', { required: true })
const { id, newest } = defineProps<{ id: string; newest: number }>()
const emit = defineEmits<{ look: [document: CriteriaDocument, version: number] }>()

const address = computed(() => `/api/criteria/${encodeURIComponent(id)}/versions` as const)
const { ask, forget, problem } = useNewest()

const { data: versions, error } = useQuery({
  queryKey: computed(() => ['criteria', id, 'versions', newest]),
  queryFn: () => send<Schemas['SetVersion'][]>(address.value),
  enabled: visible,
})

function look(version: number) {
  void ask(
    (signal) => send<CriteriaDocument>(`${address.value}/${String(version)}`, { signal }),
    (old) => {
      emit('look', old, version)
      visible.value = false
    },
  )
}

watch([visible, () => id], forget)
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Versions" :style="{ width: '760px' }">
    <p v-if="problem || error" class="notice" role="alert">{{ problem || sentenceOf(error) }}</p>
    <p v-else-if="!versions" class="quiet">The versions are being fetched.</p>
    <p v-else-if="versions.length === 0" class="quiet">It was never published.</p>
    <ol>
      <li v-for="one in versions" :key="one.version">
        <strong>Version {{ one.version }}</strong>
        <span class="quiet">{{ one.changedBy }}, {{ timeWords(one.changedAt) }}</span>
        <span>
          {{ count(one.on) }} on the list today<template v-if="one.joined || one.left"
            >: {{ count(one.joined) }} joined, {{ count(one.left) }} left by it</template
          >
        </span>
        <button class="word" @click="look(one.version)">
          Look at it<template v-if="one.version === newest">, the newest</template>
        </button>
        <p v-if="one.note" class="note">“{{ one.note }}”</p>
        <ul v-if="one.changes.length">
          <li v-for="change in one.changes" :key="change">{{ change }}</li>
        </ul>
      </li>
    </ol>
  </Dialog>
</template>

<style scoped>
.note {
  grid-column: 1 / -1;
  margin: 0;
}

ol {
  list-style: none;
  margin: 0;
  padding: 0;
}

ol > li {
  display: grid;
  grid-template-columns: 90px 220px 1fr auto;
  gap: 2px 14px;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
}

ul {
  grid-column: 1 / -1;
  margin: 0;
  padding-left: 18px;
}
</style>
