<script setup lang="ts">
import { dayWords } from '@/days'
import { count } from '@/stick'
import { memberOf, wordsOf, type Term } from './members'

/** Terms of the records, with where they are recorded; each can be ticked, or left out on purpose. */
defineProps<{
  terms: readonly Term[]
  isIn: (term: Term) => boolean
  isTicked: (term: Term) => boolean
  isLeftOut: (term: Term) => boolean
  elsewhere: (term: Term) => string[]
}>()
const emit = defineEmits<{ tick: [term: Term]; leave: [term: Term] }>()

function keyOf(term: Term): string {
  return `${term.sort} ${term.system} ${term.term}`
}

function days(term: Term): string {
  return term.first && term.last ? `${dayWords(term.first)} to ${dayWords(term.last)}` : 'undated'
}
</script>

<template>
  <table>
    <thead>
      <tr>
        <th>Term</th>
        <th>Kind, source</th>
        <th class="number">Records</th>
        <th class="number">People</th>
        <th>First and last</th>
        <th><span class="visually-hidden">What can be done with it</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="term in terms" :key="keyOf(term)" :class="{ out: isLeftOut(term) }">
        <td>
          <label>
            <input
              type="checkbox"
              :checked="isIn(term)"
              :disabled="isIn(term) && !isTicked(term)"
              :aria-label="wordsOf(memberOf(term))"
              @change="emit('tick', term)"
            />
            <span
              >{{ wordsOf(memberOf(term))
              }}<span v-if="term.sort === 'CODE'" class="quiet">, {{ term.says }}</span>
              <span v-if="elsewhere(term).length" class="quiet">
                (in {{ elsewhere(term).join(', ') }})</span
              ></span
            >
          </label>
        </td>
        <td class="quiet">{{ [...term.kinds, ...term.sources].join(', ') }}</td>
        <td class="number">
          {{ count(term.records) }}
          <span v-if="term.besides" class="quiet besides"
            >{{ term.besides === term.records ? 'all' : count(term.besides) }} as a further
            code</span
          >
        </td>
        <td class="number">{{ count(term.people) }}</td>
        <td class="quiet">{{ days(term) }}</td>
        <td>
          <button
            v-if="!isIn(term)"
            type="button"
            class="word"
            :aria-label="`${isLeftOut(term) ? 'Do not leave out' : 'Leave out'} ${wordsOf(memberOf(term))}`"
            @click="emit('leave', term)"
          >
            {{ isLeftOut(term) ? 'left out' : 'leave out' }}
          </button>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.besides {
  display: block;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding: 2px 8px 2px 0;
  text-align: left;
  vertical-align: top;
}

th {
  font-weight: 400;
  color: var(--soft-ink);
}

.number {
  text-align: right;
  padding-right: 12px;
}

label {
  display: flex;
  gap: 8px;
}

.out label span {
  text-decoration: line-through;
}

.word {
  white-space: nowrap;
}
</style>
