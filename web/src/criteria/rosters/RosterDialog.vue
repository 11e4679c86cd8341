<script setup lang="ts">
import { FormDialog } from '@/controls'
import { fieldWords } from '@/fields'
import { sendJson, type Schemas } from '@/api/client'
import { LIMITS } from '@/api/limits'
import { useNewest } from '@/api/newest'
import { useSaving } from '@/api/saving'
import { useSession } from '@/session'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import MultiSelect from 'primevue/multiselect'
import Select from 'primevue/select'
import Textarea from 'primevue/textarea'
import { computed, ref, watch } from 'vue'
import { firstFree, slug } from '../document'
import { pastedOf, problemOf, rowsOf, type Roster } from './rosters'
import { addressOf, copyOf, rosterOf, rostersQuery } from './shared'

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

const session = useSession()
const queries = useQueryClient()
const { data: all } = useQuery(rostersQuery)
/** Those that may be taken into this document. */
const offered = computed(() => (all.value ?? []).filter((one) => !taken.has(one.id)))
/** The shared one of which this may be a copy. */
const shared = computed(() => all.value?.find((one) => one.id === roster?.id))
const said = ref('')
const { ask, forget, problem: notTaken } = useNewest()
const opened = ref(0)
const { save: keep, say, saving, problem: notShared } = useSaving(opened)
const refused = computed(() => notShared.value || notTaken.value)

function take(id: string) {
  void ask(
    () => rosterOf(id),
    (one) => {
      emit('save', copyOf(one, session.today))
      visible.value = false
    },
  )
}

async function share(own: Roster) {
  said.value = ''
  const content = {
    name: own.name,
    key: own.key,
    rows: own.rows.map((cells) => ({ cells, until: '' })),
    until: '',
  }
  await keep(
    async () => {
      await sendJson('PUT', addressOf(own.id), content)
      // It is shared, whatever is on the page by now.
      void queries.invalidateQueries({ queryKey: ['rosters'] })
    },
    () => {
      said.value = 'Shared. Other sets can take it now; a file can replace it, in Records.'
    },
  )
}

watch(visible, (shown) => {
  // Who closes it does not want what was asked for any more.
  forget()
  opened.value += 1
  say('')
  if (shown) {
    said.value = ''
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
  <FormDialog
    v-model:visible="visible"
    :header="roster ? `Roster: ${roster.name}` : 'New roster'"
    action="Use it"
    :width="640"
    stacked
    :problem="refused"
    :ready="complete"
    @done="save"
  >
    <div class="roster">
      <div v-if="!roster && offered.length" class="take">
        <span id="roster-shared">Take one that is shared</span>
        <Select
          :options="offered"
          option-label="name"
          option-value="id"
          placeholder="Choose, or make a new one below"
          fluid
          aria-labelledby="roster-shared"
          @update:model-value="take($event as string)"
        />
      </div>
      <p v-if="shared" class="quiet">
        “{{ shared.name }}” is shared. Changed here, it is this set’s own; in Records it is changed
        for all sets that hold it.
      </p>
      <label>
        What it is called
        <InputText
          v-model="name"
          fluid
          :maxlength="LIMITS.RosterChange.name.maxLength"
          placeholder="No letters, please"
        />
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
      <p v-if="said" role="status">{{ said }}</p>
    </div>
    <template #more>
      <Button
        v-if="roster && !shared"
        type="button"
        outlined
        label="Share it with other sets"
        :loading="saving"
        @click="share(roster)"
      />
    </template>
  </FormDialog>
</template>

<style scoped>
.roster {
  display: grid;
  gap: 12px;
}
</style>
