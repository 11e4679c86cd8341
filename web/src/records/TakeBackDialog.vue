<script setup lang="ts">
import { FormDialog } from '@/controls'
import { send, sentenceOf, type Schemas } from '@/api/client'
import { useSaving } from '@/api/saving'
import { count } from '@/stick'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'

/** What taking a delivery back does, and doing it. */
const { delivery } = defineProps<{ delivery: Schemas['Taken'] }>()
const emit = defineEmits<{ close: []; takenBack: [] }>()

const everything = ref(false)
const address = `/api/deliveries/taken/${delivery.id}/taking-back` as const
const { data: look, error } = useQuery({
  queryKey: ['deliveries', 'taking-back', delivery.id],
  queryFn: () => send<Schemas['Undone']>(address),
  staleTime: 0,
  gcTime: 0,
})
const { save, saving, problem: refused } = useSaving(() => delivery.id)
const problem = computed(() => refused.value || sentenceOf(error.value))

function takeBack() {
  void save(
    () => send(`${address}?everything=${String(everything.value)}`, { method: 'POST' }),
    () => {
      emit('takenBack')
    },
  )
}
</script>

<template>
  <FormDialog
    visible
    :header="`Take back ${delivery.fileName}`"
    action="Take back"
    leave="Leave it as it is"
    :width="544"
    stacked
    :problem="problem"
    :fetching="look ? '' : 'Looking what it changed …'"
    :busy="saving"
    @done="takeBack"
    @update:visible="emit('close')"
  >
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
  </FormDialog>
</template>

<style scoped>
.all {
  display: flex;
  gap: 8px;
  align-items: center;
}
</style>
