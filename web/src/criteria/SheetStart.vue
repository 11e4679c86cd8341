<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { Stick, count } from '@/stick'
import Select from 'primevue/select'
import { withKey, type CriteriaDocument } from './document'
import type { Behind } from './who'

/** Where the stick begins: whom the set looks at in the first place. */
defineProps<{
  document: CriteriaDocument
  levels: Schemas['Levels'] | undefined
}>()
const emit = defineEmits<{
  change: [document: CriteriaDocument]
  who: [behind: Behind]
}>()

const POPULATIONS = [
  { population: 'living', name: 'everybody living' },
  { population: 'everyone', name: 'everybody, also the deceased' },
]
</script>

<template>
  <div class="bar start">
    <Stick :value="levels?.people ?? 0" :total="levels?.people ?? 0" />
    <div class="on-stick">
      <button
        class="word level"
        @click="emit('who', { part: 'POPULATION', title: 'Everybody in the population' })"
      >
        {{ levels ? count(levels.people) : '…' }}
      </button>
    </div>
    <div class="words">
      <Select
        :model-value="(document.population as string | undefined) ?? 'living'"
        :options="POPULATIONS"
        option-label="name"
        option-value="population"
        size="small"
        aria-label="Population"
        @update:model-value="
          emit(
            'change',
            withKey(
              document,
              'population',
              $event === 'living' ? undefined : $event,
            ) as CriteriaDocument,
          )
        "
      />
      <span v-if="levels?.deceased" class="quiet">
        {{ count(levels.deceased) }} deceased are left out
      </span>
    </div>
  </div>
</template>

<style scoped>
.bar {
  display: grid;
  grid-template-columns: var(--stick) 1fr;
  gap: 10px;
}

@media (max-width: 700px) {
  .bar {
    grid-template-columns: var(--stick) 60px 1fr;
  }

  .start .words {
    flex-wrap: wrap;
  }
}

.start {
  align-items: center;
  border-bottom: 1px solid var(--rule);
}

.start .words {
  display: flex;
  gap: 12px;
  align-items: center;
}
</style>
