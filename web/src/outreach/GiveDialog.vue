<script setup lang="ts">
import { useColleagues } from '@/accounts'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Select from 'primevue/select'
import { computed, ref, watch } from 'vue'

/** To which colleague somebody is given. */
const visible = defineModel<boolean>('visible', { required: true })
const { people } = defineProps<{ people: number }>()
const emit = defineEmits<{ give: [to: string, name: string] }>()

const { colleagues } = useColleagues()
const to = ref('')
const working = computed(() =>
  colleagues.value.filter((one) =>
    one.roles.some((role) => role === 'CALLER' || role === 'COORDINATOR' || role === 'CLINICIAN'),
  ),
)

watch(visible, () => {
  to.value = ''
})

function give() {
  emit('give', to.value, working.value.find((one) => one.name === to.value)?.displayName ?? '')
  visible.value = false
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="people > 1 ? `Give ${String(people)} people to` : 'Give to'"
    :style="{ width: '400px' }"
  >
    <form class="form" @submit.prevent="give">
      <label for="give-to">Colleague</label>
      <Select
        v-model="to"
        label-id="give-to"
        aria-label="Colleague"
        :options="working"
        option-label="displayName"
        option-value="name"
        autofocus
      />
      <span></span>
      <span class="buttons">
        <Button type="submit" label="Give" :disabled="to === ''" />
        <Button type="button" text label="Leave as it was" @click="visible = false" />
      </span>
    </form>
  </Dialog>
</template>
