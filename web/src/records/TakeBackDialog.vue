<script setup lang="ts">
import { Dialog } from '@/controls'
import { send, sentenceOf, type Schemas } from '@/api/client'
import { count } from '@/stick'
import Button from 'primevue/button'
import { onMounted, ref, shallowRef } from 'vue'

/** What taking a delivery back does, and doing it. */
const { delivery } = defineProps<{ delivery: Schemas['Taken'] }>()
const emit = defineEmits<{ close: []; takenBack: [] }>()

const look = shallowRef<Schemas['Undone']>()
const failed = ref('')
const everything = ref(false)
const busy = ref(false)
const address = `/api/deliveries/taken/${delivery.id}/taking-back` as const

onMounted(async () => {
  try {
    look.value = await send<Schemas['Undone']>(address)
  } catch (failure) {
    failed.value = sentenceOf(failure)
  }
})

async function takeBack() {
  busy.value = true
  failed.value = ''
  try {
    await send(`${address}?everything=${String(everything.value)}`, { method: 'POST' })
    emit('takenBack')
  } catch (failure) {
    failed.value = sentenceOf(failure)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <Dialog
    visible
    modal
    :header="`Take back ${delivery.fileName}`"
    :style="{ width: '34rem' }"
    @update:visible="emit('close')"
  >
    <p v-if="failed" class="notice" role="alert">{{ failed }}</p>
    <p v-if="!look && !failed" role="status">Looking what it changed …</p>
    <template v-if="look">
      <p>
        <strong>{{ count(look.gone) }}</strong> that it added go,
        <strong>{{ count(look.asBefore) }}</strong> that it changed are as before. Lists follow;
        what colleagues logged stays.
      </p>
      <template v-if="look.changedSince">
        <p class="notice">
          {{ count(look.changedSince) }} of these
          {{ look.changedSince === 1 ? 'was' : 'were' }} changed since, and
          {{ look.changedSince === 1 ? 'stays' : 'stay' }} as
          {{ look.changedSince === 1 ? 'it is' : 'they are' }}: of
          {{ look.people.slice(0, 8).join(', ') }}{{ look.people.length > 8 ? ' …' : '' }}.
        </p>
        <label class="all">
          <input v-model="everything" type="checkbox" /> Take these back too, and what changed them
          since
        </label>
      </template>
    </template>
    <div class="buttons">
      <Button v-if="look" label="Take back" :disabled="busy" @click="takeBack" />
      <Button text label="Leave it as it is" @click="emit('close')" />
    </div>
  </Dialog>
</template>

<style scoped>
.all {
  display: flex;
  gap: 8px;
  align-items: center;
}
</style>
