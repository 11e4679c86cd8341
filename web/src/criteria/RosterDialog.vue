<script setup lang="ts">
import { fieldWords } from '@/fields'
import type { Schemas } from '@/api/client'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import MultiSelect from 'primevue/multiselect'
import Textarea from 'primevue/textarea'
import { computed, ref, watch } from 'vue'
import { firstFree, slug } from './document'
import { pastedOf, problemOf, rowsOf, type Roster } from './rosters'

/** People who are named one by one, as they are pasted from a spreadsheet. */
const visible = defineModel<boolean>('visible', { required: true })
const { roster, fields, taken } = defineProps<{
  /** The one that is changed; nothing for a new one. */
  roster: Roster | undefined
  /** The person fields that a key may be made of. */
  fields: Schemas['FieldWords'][]
  /** The ids that other rosters have. */
  taken: Set<string>
}>()
const emit = defineEmits<{ save: [roster: Roster] }>()

const name = ref('')
const key = ref<string[]>([])
const pasted = ref('')

watch(visible, (shown) => {
  if (shown) {
    name.value = roster?.name ?? ''
    key.value = roster?.key ?? ['id']
    pasted.value = pastedOf(roster?.rows ?? [])
  }
})

const options = computed(() =>
  fields.map((one) => ({ name: one.name, label: fieldWords(one.name) })),
)
const rows = computed(() => rowsOf(pasted.value))
const problem = computed(() => problemOf(rows.value, key.value.length))
const complete = computed(
  () => name.value.trim() !== '' && key.value.length > 0 && problem.value === '',
)

function save() {
  const given = name.value.trim()
  const id = roster?.id ?? firstFree(slug(given) || 'roster', taken)
  emit('save', { id, name: given, key: key.value, rows: rows.value })
  visible.value = false
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="roster ? `Roster: ${roster.name}` : 'New roster'"
    :style="{ width: '640px' }"
  >
    <form class="roster" @submit.prevent="save">
      <label>
        What it is called
        <InputText v-model="name" fluid placeholder="No letters, please" />
      </label>
      <div>
        <span id="roster-key">Known by these fields of a person, in this order</span>
        <MultiSelect
          v-model="key"
          :options="options"
          option-label="label"
          option-value="name"
          filter
          fluid
          display="chip"
          aria-labelledby="roster-key"
        />
      </div>
      <label>
        One person a line, as copied from a spreadsheet
        <Textarea v-model="pasted" rows="9" fluid spellcheck="false" />
      </label>
      <p v-if="problem" class="notice" role="alert">{{ problem }}</p>
      <p v-else class="quiet" role="status">{{ rows.length }} rows</p>
      <div class="end">
        <Button text label="Cancel" @click="visible = false" />
        <Button type="submit" label="Use it" :disabled="!complete" />
      </div>
    </form>
  </Dialog>
</template>

<style scoped>
.roster {
  display: grid;
  gap: 12px;
}

.end {
  display: flex;
  justify-content: end;
  gap: 8px;
}
</style>
