<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { JsonObject } from '../document'
import { NEW_TESTS, type NewTest } from '../newTests'
import { groupAsJson, groupOf } from './rule'
import RuleInput from './RuleInput.vue'

/** A group: its rule, and its parts, which are changed where they stand. */
const group = defineModel<JsonObject>({ required: true })

const rule = computed({
  get: () => groupOf(group.value).rule,
  set: (next) => {
    group.value = groupAsJson(next, groupOf(group.value).parts)
  },
})

function add(one: NewTest) {
  group.value = groupAsJson(rule.value, [...groupOf(group.value).parts, one.test()])
}
</script>

<template>
  <div class="group">
    <div class="row"><RuleInput v-model="rule" label="Rule of the group" /></div>
    <div class="row">
      <span>Add to it:</span>
      <Button
        v-for="one in NEW_TESTS"
        :key="one.word"
        size="small"
        text
        :label="one.name"
        @click="add(one)"
      />
    </div>
  </div>
</template>

<style scoped>
.group {
  display: grid;
  gap: 8px;
  max-width: 420px;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
</style>
