<script setup lang="ts">
import { Dialog } from '@/controls'
import { useInAddress } from '@/address'
import { send, sentenceOf, type Schemas } from '@/api/client'
import { dayWords, dueWords } from '@/days'
import { count } from '@/stick'
import { Veiled } from '@/veil'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

type OnTwo = Schemas['OnTwo']

/** Two lists beside each other: who is only on the one, only on the other, or on both, and what differs. */
const visible = defineModel<boolean>('visible', { required: true })
const { lists } = defineProps<{ lists: readonly Schemas['ListSummary'][] }>()

const one = useInAddress('one', () => lists[0]?.id ?? '')
const other = useInAddress('other', () => lists[1]?.id ?? '')

const { data: compared, error } = useQuery({
  queryKey: computed(() => ['lists', one.value, 'beside', other.value]),
  queryFn: () =>
    send<Schemas['ListsCompared']>(
      `/api/lists-compared?one=${encodeURIComponent(one.value)}&other=${encodeURIComponent(other.value)}`,
    ),
  enabled: computed(
    () => visible.value && one.value !== '' && other.value !== '' && one.value !== other.value,
  ),
})

const piles = computed(() => {
  const people = [...(compared.value?.people ?? [])].sort((a, b) =>
    a.person.name.localeCompare(b.person.name),
  )
  const onOne = (row: OnTwo) => row.one !== 'OFF'
  const onOther = (row: OnTwo) => row.other !== 'OFF'
  return [
    { name: 'On both', people: people.filter((row) => onOne(row) && onOther(row)) },
    {
      name: `Only on ${compared.value?.one ?? ''}`,
      people: people.filter((row) => onOne(row) && !onOther(row)),
    },
    {
      name: `Only on ${compared.value?.other ?? ''}`,
      people: people.filter((row) => !onOne(row) && onOther(row)),
    },
  ]
})

function due(iso: string): string {
  return dueWords(iso) || 'no due date'
}

function differs(row: OnTwo): string {
  const told: Record<string, string> = {
    state: `${row.one === 'ON' ? 'on the list' : 'to check'} / ${row.other === 'ON' ? 'on the list' : 'to check'}`,
    due: `${due(row.dueOne)} / ${due(row.dueOther)}`,
    band: `${row.bandOne || 'no band'} / ${row.bandOther || 'no band'}`,
  }
  return row.differing.map((field) => told[field]).join('; ')
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    header="Two lists beside each other"
    :style="{ width: '860px', maxWidth: '97vw' }"
  >
    <p class="chosen">
      <select v-model="one" class="plain" aria-label="One list">
        <option v-for="list in lists" :key="list.id" :value="list.id">{{ list.name }}</option>
      </select>
      beside
      <select v-model="other" class="plain" aria-label="The other list">
        <option v-for="list in lists" :key="list.id" :value="list.id">{{ list.name }}</option>
      </select>
      <span v-if="compared" class="quiet">
        read {{ dayWords(compared.oneOn) }} and {{ dayWords(compared.otherOn) }}
      </span>
    </p>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-if="one === other" class="quiet">Choose two different lists.</p>
    <p v-else-if="!compared && !error" class="quiet" role="status">
      The lists are being laid beside each other.
    </p>
    <div v-else-if="compared" class="piles">
      <details v-for="(pile, i) in piles" :key="i" :open="i === 0">
        <summary>{{ pile.name }}: {{ count(pile.people.length) }}</summary>
        <ul>
          <li v-for="row in pile.people" :key="row.person.id">
            <Veiled :text="row.person.name" />
            <span class="quiet">{{ row.person.age ? `, ${row.person.age}` : '' }}</span>
            <span class="quiet differs">{{ differs(row) }}</span>
          </li>
        </ul>
      </details>
    </div>
  </Dialog>
</template>

<style scoped>
.chosen {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-top: 0;
}

.piles {
  max-height: 60vh;
  overflow: auto;
}

summary {
  cursor: pointer;
  font-weight: 600;
  padding: 3px 0;
}

ul {
  list-style: none;
  margin: 0 0 8px;
  padding: 0;
}

.differs {
  margin-left: 12px;
}
</style>
