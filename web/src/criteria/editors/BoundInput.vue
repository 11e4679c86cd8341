<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
import Select from 'primevue/select'
import { computed } from 'vue'
import Turnable from '../dials/Turnable.vue'
import { withKey, type Json, type JsonObject } from '../document'

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
const value = computed(() => {
  const bound = test[key.value]
  return typeof bound === 'number' ? bound : undefined
})

function set(operator: string, bound: unknown) {
  const none = bound === null || bound === undefined || bound === ''
  put(operator, none ? undefined : Number(bound))
}

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
  <Turnable
    :model-value="test[key]"
    type="number"
    :label="label"
    @update:model-value="put(key, $event)"
  >
    <InputNumber
      :model-value="value"
      :max-fraction-digits="6"
      :use-grouping="false"
      :aria-label="label"
      input-class="amount"
      @input="set(key, $event.value)"
    />
  </Turnable>
</template>
