<script setup lang="ts">
import { FormDialog } from '@/controls'
import { useColleagues } from '@/accounts'
import { ref, watch } from 'vue'

/** To which colleague somebody is given. */
const visible = defineModel<boolean>('visible', { required: true })
const { people } = defineProps<{ people: number }>()
const emit = defineEmits<{ give: [to: string, name: string] }>()

const { working, fetched, problem } = useColleagues()
const to = ref('')

watch([visible, working], ([shown, all], [before]) => {
  const kept = shown === before && all.some((one) => one.name === to.value)
  to.value = kept ? to.value : (all[0]?.name ?? '')
})

function give() {
  emit('give', to.value, working.value.find((one) => one.name === to.value)?.displayName ?? '')
  visible.value = false
}
</script>

<template>
  <FormDialog
    v-model:visible="visible"
    :header="people > 1 ? `Give ${String(people)} people to` : 'Give to'"
    action="Give"
    :width="400"
    :problem="problem"
    :fetching="fetched ? '' : 'The colleagues are being fetched.'"
    :ready="to !== ''"
    @done="give"
  >
    <p v-if="working.length === 0" class="quiet whole">No colleague works lists.</p>
    <fieldset v-else class="whole">
      <legend class="quiet">Arrow keys choose, Enter gives.</legend>
      <label v-for="(one, i) in working" :key="one.name">
        <input v-model="to" type="radio" name="give-to" :value="one.name" :autofocus="i === 0" />
        {{ one.displayName }}
      </label>
    </fieldset>
  </FormDialog>
</template>

<style scoped>
fieldset {
  display: grid;
  gap: 4px;
  border: 0;
  padding: 0;
}

fieldset label {
  min-height: 24px;
}
</style>
