<script setup lang="ts">
import { send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import {
  gatheredIn,
  sharedTermSets,
  TermSetDialog,
  type GatheredTerm,
  type TermSet,
} from '@/criteria'
import { count } from '@/stick'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Select from 'primevue/select'
import { computed, ref, shallowRef } from 'vue'

/** Codes and wordings that no term set means; each is gathered in one that is shared, or in a new one. */
const NEW = { id: '', name: 'a new term set' }

const queries = useQueryClient()
const { data: outside, error } = useQuery({
  queryKey: ['records', 'terms', 'outside'],
  queryFn: () => send<Schemas['OutsideView']>('/api/records/terms/outside'),
})
const { data: sets } = useQuery(sharedTermSets)
const choices = computed(() => [NEW, ...(sets.value ?? [])])
const shown = ref(false)
const into = shallowRef<TermSet>()
const member = shallowRef<GatheredTerm>()
const said = ref('')
const refused = ref('')

function gather(term: Schemas['TermView'], id: string) {
  said.value = ''
  refused.value = ''
  const gathered = gatheredIn(sets.value ?? [], id, term)
  into.value = gathered.termSet
  member.value = gathered.member
  shown.value = true
}

/** A new one is shared at once: no set holds it yet. */
async function share(termSet: TermSet) {
  try {
    await sendJson('PUT', `/api/term-sets/${encodeURIComponent(termSet.id)}`, {
      name: termSet.name,
      members: termSet.members,
      leftOut: [],
    })
    told(termSet.name)
  } catch (failure) {
    refused.value = sentenceOf(failure)
  }
}

function told(name: string) {
  said.value = `“${name}” is shared, with what you gathered.`
  void queries.invalidateQueries()
}
</script>

<template>
  <h2>Codes in no term set</h2>
  <p v-if="said" role="status">{{ said }}</p>
  <p v-if="refused" class="notice" role="alert">{{ refused }}</p>
  <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
  <p v-else-if="!outside" role="status">Looking through the codes …</p>
  <p v-else-if="outside.total === 0" class="quiet">Every code on record is in a term set.</p>
  <template v-else>
    <p class="quiet">
      {{ count(outside.total) }} codes and wordings are meant by no term set<template
        v-if="outside.total > outside.terms.length"
        >, the {{ outside.terms.length }} most frequent here</template
      >.
    </p>
    <table class="on-sheet">
      <thead>
        <tr>
          <th>Code or wording</th>
          <th>Says</th>
          <th>Kinds</th>
          <th>Sources</th>
          <th class="number">Records</th>
          <th class="number">People</th>
          <th><span class="visually-hidden">What can be done with them</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="term in outside.terms" :key="`${term.sort} ${term.term} ${term.system}`">
          <td>
            {{ term.term }}<span v-if="term.system" class="quiet">, {{ term.system }}</span>
          </td>
          <td>{{ term.sort === 'CODE' ? term.says : '' }}</td>
          <td>{{ term.kinds.join(', ') }}</td>
          <td>{{ term.sources.join(', ') }}</td>
          <td class="number">{{ count(term.records) }}</td>
          <td class="number">{{ count(term.people) }}</td>
          <td>
            <Select
              :model-value="undefined"
              :options="choices"
              option-label="name"
              option-value="id"
              placeholder="gather in …"
              size="small"
              :aria-label="`Gather ${term.term} in`"
              @update:model-value="gather(term, $event as string)"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </template>
  <TermSetDialog
    v-model:visible="shown"
    :term-set="into"
    :taken="new Set<string>()"
    :own-allowed="false"
    :extra="member"
    @shared="told($event.termSet.name)"
    @save="share"
  />
</template>
