<script setup lang="ts">
import Select from 'primevue/select'
import { computed } from 'vue'
import { withKey, type Json, type JsonObject } from '../document'
import NumberInput from './NumberInput.vue'

/** One end of an interval of numbers, itself inside or not; blank where that side is open. */
const { test, outside, inside, label } = defineProps<{
  test: JsonObject
  /** The operator that leaves the bound out, and the one that holds it. */
  outside: { key: string; name: string }
  inside: { key: string; name: string }
  label: string
}>()
const emit = defineEmits<{ change: [test: JsonObject] }>()

const key = computed(() => (outside.key in test ? outside.key : inside.key))

function put(operator: string, bound: Json | undefined) {
  const cleared = withKey(withKey(test, outside.key, undefined), inside.key, undefined)
  emit('change', withKey(cleared, operator, bound))
}
</script>

<template>
  <Select
    :model-value="key"
    :options="[inside, outside]"
    option-label="name"
    option-value="key"
    :aria-label="`${label}, inside or not`"
    @update:model-value="put($event, test[key])"
  />
  <NumberInput
    :model-value="test[key]"
    :label="label"
    blank
    @update:model-value="put(key, $event)"
  />
</template>
