<script setup lang="ts">
import { FormDialog } from '@/controls'
import { fieldWords } from '@/fields'
import type { Schemas } from '@/api/client'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, shallowRef, watch } from 'vue'
import { withKey, type Json } from '../document'
import { isAmong, settingOf, valueOf, type Dial } from './dials'
import DialValue from './DialValue.vue'

/** What a dial is called, where it begins, and what may be chosen. */
const visible = defineModel<boolean>('visible', { required: true })
const { dial, fields } = defineProps<{ dial: Dial; fields: Schemas['FieldWords'][] }>()
const emit = defineEmits<{ save: [dial: Dial]; fix: [dial: Dial] }>()

const label = ref('')
const start = shallowRef<Json>(null)
const choices = ref('')
const from = ref<string>()

watch(
  visible,
  (shown) => {
    if (shown) {
      label.value = dial.label
      start.value = dial.default
      choices.value = ((dial.choices as Json[] | undefined) ?? []).map(settingOf).join('; ')
      from.value = dial.choicesFrom as string | undefined
    }
  },
  { immediate: true },
)

const isText = computed(() => dial.type === 'text' || dial.type === 'texts')
const toOfferFrom = computed(() => fields.filter((one) => one.values.length > 0))

const written = computed(() => valueOf('texts', choices.value) as string[])
const problem = computed(() => {
  const noNumber = written.value.find((one) => dial.type === 'number' && Number.isNaN(Number(one)))
  if (noNumber !== undefined) {
    return `“${noNumber}” is no number.`
  }
  return written.value.length > 0 && !isAmong(dial.type, start.value, written.value)
    ? `It begins at ${settingOf(start.value)}, which is not among the choices.`
    : ''
})

function save() {
  const one = dial.type === 'number' ? 'number' : 'text'
  const list = written.value.map((choice) => valueOf(one, choice))
  const changed = { ...dial, label: label.value.trim() || dial.name, default: start.value }
  emit(
    'save',
    withKey(
      withKey(changed, 'choices', list.length ? list : undefined),
      'choicesFrom',
      isText.value ? from.value : undefined,
    ) as Dial,
  )
  visible.value = false
}

function fix() {
  emit('fix', dial)
  visible.value = false
}
</script>

<template>
  <FormDialog
    v-model:visible="visible"
    :header="`Dial: ${dial.label}`"
    action="Use it"
    :problem="problem"
    :ready="problem === ''"
    stacked
    @done="save"
  >
    <div class="dial">
      <label>What it is called <InputText v-model="label" fluid /></label>
      <div>
        <span>Begins at</span>
        <DialValue v-model="start" :dial="dial" :fields="fields" free />
      </div>
      <label>
        Only these choices, with semicolons between; blank for any
        <InputText
          v-model="choices"
          fluid
          :placeholder="dial.type === 'period' ? 'P6M; P12M; P24M' : ''"
        />
      </label>
      <div v-if="isText">
        <label for="dial-from">Offers what is on record in</label>
        <select id="dial-from" v-model="from" class="plain">
          <option :value="undefined">no field</option>
          <option v-for="one in toOfferFrom" :key="one.name" :value="one.name">
            {{ fieldWords(one.name) }}
          </option>
        </select>
      </div>
    </div>
    <template #more>
      <Button
        type="button"
        text
        severity="secondary"
        label="Not a dial any more"
        title="Its default stays wherever it stood"
        @click="fix"
      />
    </template>
  </FormDialog>
</template>

<style scoped>
.dial {
  display: grid;
  gap: 12px;
}

.dial > div {
  display: flex;
  gap: 10px;
  align-items: center;
}
</style>
