<script setup lang="ts">
import { nextTick, useTemplateRef, watch } from 'vue'
import { useWalk } from './walk'
import Button from 'primevue/button'

/** The step of the walk that one is at, above the place that it is about. */
const walk = useWalk()
const strip = useTemplateRef('strip')

// Whoever goes on by keyboard hears the next step, and has its buttons at hand.
watch(
  () => walk.at,
  async (at) => {
    if (at !== undefined) {
      await nextTick()
      strip.value?.focus({ preventScroll: true })
    }
  },
)
</script>

<template>
  <section
    v-if="walk.step && walk.at !== undefined"
    ref="strip"
    class="walk"
    aria-label="A walk in five steps"
    tabindex="-1"
  >
    <p>
      <strong>{{ walk.at + 1 }} of {{ walk.steps.length }}</strong> {{ walk.step.words }}
    </p>
    <span class="buttons">
      <Button
        v-if="walk.at > 0"
        size="small"
        text
        label="Step back"
        @click="walk.goTo(walk.at - 1)"
      />
      <Button
        size="small"
        :label="walk.at + 1 < walk.steps.length ? 'Next step' : 'That was it'"
        @click="walk.goTo(walk.at + 1)"
      />
      <Button
        v-if="walk.at + 1 < walk.steps.length"
        size="small"
        text
        label="End the walk"
        @click="walk.end()"
      />
    </span>
  </section>
</template>

<style scoped>
.walk {
  display: flex;
  align-items: center;
  gap: 6px 18px;
  padding: 6px 20px;
  background: var(--calm);
  border-bottom: 1px solid var(--rule);
}

p {
  flex: 1;
  margin: 0;
}

@media (max-width: 700px) {
  .walk {
    flex-wrap: wrap;
    padding: 6px 12px;
  }

  p {
    flex-basis: 100%;
  }
}
</style>
