<script setup lang="ts">
import type { Schemas } from '@/api/client'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import type { CriteriaDocument, Json } from '../document'
import DialDialog from './DialDialog.vue'
import { dialsOf, fixDial, putDial, settingOf, valueOf, type Dial } from './dials'
import DialValue from './DialValue.vue'

/** The dials on top of the bench. Turning one shows other levels; the set stays as it is. */
const settings = defineModel<Record<string, string>>('settings', { required: true })
const { document, fields } = defineProps<{
  document: CriteriaDocument
  fields: Schemas['FieldWords'][]
}>()
const emit = defineEmits<{ change: [document: CriteriaDocument] }>()

const dials = computed(() => dialsOf(document))

const shown = ref(false)
const changing = ref<Dial>()

function valueAt(dial: Dial): Json {
  const setting = settings.value[dial.name]
  return setting === undefined ? dial.default : valueOf(dial.type, setting)
}

function isTurned(dial: Dial): boolean {
  return settings.value[dial.name] !== undefined
}

function turn(dial: Dial, value: Json) {
  const others = Object.fromEntries(
    Object.entries(settings.value).filter(([name]) => name !== dial.name),
  )
  const setting = settingOf(value)
  settings.value =
    setting === settingOf(dial.default) ? others : { ...others, [dial.name]: setting }
}

function open(dial: Dial) {
  changing.value = dial
  shown.value = true
}

function save(dial: Dial) {
  turn(dial, dial.default)
  emit('change', putDial(document, dial))
}

function fix(dial: Dial) {
  turn(dial, dial.default)
  emit('change', fixDial(document, dial))
}
</script>

<template>
  <section class="dials" aria-label="Dials">
    <span v-for="dial in dials" :key="dial.name" class="dial">
      <button class="word" title="Label, default and choices of this dial" @click="open(dial)">
        {{ dial.label }}
      </button>
      <DialValue
        :model-value="valueAt(dial)"
        :dial="dial"
        :fields="fields"
        @update:model-value="turn(dial, $event)"
      />
      <Button
        v-if="isTurned(dial)"
        size="small"
        text
        icon="pi pi-replay"
        :aria-label="`${dial.label}: back to ${settingOf(dial.default)}`"
        @click="turn(dial, dial.default)"
      />
    </span>
    <DialDialog
      v-if="changing"
      v-model:visible="shown"
      :dial="changing"
      :fields="fields"
      @save="save"
      @fix="fix"
    />
  </section>
</template>

<style scoped>
.dials {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  align-items: center;
  margin-bottom: 8px;
}

.dial {
  display: inline-flex;
  gap: 8px;
  align-items: center;
}

.dial :deep(.amount) {
  width: 64px;
}
</style>
