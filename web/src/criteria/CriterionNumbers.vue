<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { meaningOf } from '@/help'
import { Stick, count } from '@/stick'
import { useEventListener } from '@vueuse/core'
import { computed, ref, useId } from 'vue'
import { named, type Side } from './levelNames'

/** The stick at the level of a criterion, with the numbers on it. */
const {
  level,
  before,
  people,
  off,
  words: criterion,
} = defineProps<{
  level: Schemas['CriterionLevel']
  before: Schemas['CriterionLevel'] | undefined
  /** How many people would fill the stick. */
  people: number
  off: boolean
  /** What the criterion is called. */
  words: string
}>()
const emit = defineEmits<{ who: [side: Side] }>()

const shown = computed(() => level.left)
const ghost = computed(() => before?.left?.yes)

/** While its level is pointed at or has the focus, the stick shows the criterion alone. */
const peeking = ref(false)
const peek = useId()
const alone = computed(() => (peeking.value ? level.alone : undefined))

// It lies over other words, which can be read again without moving away (WCAG 2.2, 1.4.13).
useEventListener('keydown', ({ key }) => {
  peeking.value = peeking.value && key !== 'Escape'
})
</script>

<template>
  <Stick
    :value="(alone ?? shown)?.yes ?? 0"
    :unsure="(alone ?? shown)?.unsure ?? 0"
    :total="people"
    :ghost="alone ? shown?.yes : ghost"
  />
  <div
    class="on-stick"
    @mouseenter="peeking = true"
    @mouseleave="peeking = false"
    @focusin="peeking = true"
    @focusout="peeking = false"
  >
    <template v-if="shown">
      <button
        class="word level"
        :aria-label="named(count(shown.yes), level.section, 'LEFT', criterion)"
        :title="meaningOf('level')"
        :aria-describedby="alone ? peek : undefined"
        @click="emit('who', 'LEFT')"
      >
        {{ count(shown.yes) }}
      </button>
      <button
        v-if="shown.unsure"
        class="word"
        data-level="unsure"
        :aria-label="
          named(`${count(shown.unsure)} can’t tell`, level.section, 'MAYBE_LEFT', criterion)
        "
        :title="meaningOf('mayBeLeft')"
        @click="emit('who', 'MAYBE_LEFT')"
      >
        {{ count(shown.unsure) }} can’t tell
      </button>
      <span v-if="ghost !== undefined && ghost !== shown.yes">was {{ count(ghost) }}</span>
    </template>
    <span v-else-if="off" class="quiet">off</span>
    <p v-if="alone" :id="peek" class="peek" role="tooltip">
      Alone: yes for {{ count(alone.yes)
      }}<template v-if="alone.unsure">, can’t tell for {{ count(alone.unsure) }}</template
      >.<br />It alone keeps {{ count(level.onlyByIt ?? 0) }} off the list.
    </p>
  </div>
</template>

<style scoped>
.peek {
  position: absolute;
  z-index: 4;
  top: 30px;
  left: calc(var(--stick) + 4px);
  margin: 0;
  padding: 4px 9px;
  background: var(--sheet);
  border: 1px solid var(--ink);
  border-radius: 3px;
  white-space: nowrap;
}

/* The pointer can go over to it. */
.peek::before {
  content: '';
  position: absolute;
  inset: 0 100% 0 -6px;
}
</style>
