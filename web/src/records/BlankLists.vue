<script setup lang="ts">
import { send, sentenceOf, type Schemas } from '@/api/client'
import { count } from '@/stick'
import { useQuery } from '@tanstack/vue-query'

/** The lists that ask for a field that is blank in some. */
const { query } = defineProps<{ query: string }>()

const { data, error } = useQuery({
  queryKey: ['records', 'blank-lists', query],
  queryFn: () => send<Schemas['Touched'][]>(`/api/records/state/blank/lists?${query}`),
})
</script>

<template>
  <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
  <p v-else-if="!data" role="status">Looking which lists ask for it …</p>
  <p v-else-if="data.length === 0" class="quiet">No list asks for it.</p>
  <p v-else>
    Asked for by
    <template v-for="(set, at) in data" :key="set.set"
      >{{ at ? '; ' : ''
      }}<RouterLink :to="`/criteria/${encodeURIComponent(set.set)}`">{{ set.name }}</RouterLink
      ><template v-if="set.toCheck"
        >, {{ count(set.toCheck) }} of these people to check</template
      ></template
    >.
  </p>
</template>
