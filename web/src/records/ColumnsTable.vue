<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { KNOWN_FIELDS } from '@/fields'
import { count } from '@/stick'
import { Veiled } from '@/veil'
import { EVENT_FIELDS, PERSON_FIELDS, targetsOf, wordsOf, type Intake, type Target } from './intake'

/** The columns of a file and what becomes of each, to be changed in place. */
const { choices, intake, working } = defineProps<{
  choices: readonly Schemas['Choice'][]
  intake: Intake
  working: boolean
}>()
const emit = defineEmits<{ mend: [column: string, target: Target] }>()

const KEPT = 'kept'

/** What cannot be chosen, and is shown as it stands. */
const FIXED: ReadonlySet<Target | undefined> = new Set<Target>(['each', 'also', 'identity'])

function chosen(column: string): string {
  const targets = targetsOf(intake, column)
  return targets.length > 1 || FIXED.has(targets[0]) ? KEPT : (targets[0] ?? '')
}

const KNOWN = new Set([...KNOWN_FIELDS.person, ...KNOWN_FIELDS.event])

/** The field of its own that a column is or may become: a name that is known is that field, one with a colon says a type. */
function ownField(column: string, of: 'person' | 'event'): string | undefined {
  const now = targetsOf(intake, column)[0]
  const field = now?.startsWith(`${of}:`) ? now.slice(of.length + 1) : column
  const may = !KNOWN.has(field.toLowerCase()) && (field !== column || !column.includes(':'))
  return may || (now === `${of}:${field}` && !KNOWN.has(field)) ? `${of}:${field}` : undefined
}

function words(column: string): string {
  return targetsOf(intake, column).map(wordsOf).join(', ')
}

function change(column: string, event: Event) {
  const target = (event.target as HTMLSelectElement).value
  if (target !== KEPT) {
    emit('mend', column, target as Target)
  }
}

function isGuess(choice: Schemas['Choice']): boolean {
  return choice.certainty === 'LIKELY' && targetsOf(intake, choice.column).length > 0
}
</script>

<template>
  <section aria-label="Columns">
    <h2>Columns</h2>
    <table>
      <thead>
        <tr>
          <th>In the file</th>
          <th>Becomes</th>
          <th class="number">Values</th>
          <th class="number">Blank</th>
          <th>Such as</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="choice in choices"
          :key="choice.column"
          :class="{ out: chosen(choice.column) === '' }"
        >
          <td>{{ choice.column }}</td>
          <td>
            <select
              class="plain"
              :value="chosen(choice.column)"
              :disabled="working"
              :aria-label="`What ${choice.column} becomes`"
              @change="change(choice.column, $event)"
            >
              <option v-if="chosen(choice.column) === KEPT" :value="KEPT">
                {{ words(choice.column) }}
              </option>
              <option value="">left out</option>
              <option value="number">person number</option>
              <optgroup label="Of the person">
                <option
                  v-if="ownField(choice.column, 'person')"
                  :value="ownField(choice.column, 'person')"
                >
                  a field of its own: {{ choice.column }}
                </option>
                <option v-for="field in PERSON_FIELDS" :key="field" :value="`person:${field}`">
                  {{ wordsOf(`person:${field}`) }}
                </option>
              </optgroup>
              <optgroup label="Of the record">
                <option
                  v-if="ownField(choice.column, 'event')"
                  :value="ownField(choice.column, 'event')"
                >
                  a field of its own: {{ choice.column }}
                </option>
                <option v-for="field in EVENT_FIELDS" :key="field" :value="`event:${field}`">
                  {{ wordsOf(`event:${field}`) }}
                </option>
              </optgroup>
            </select>
            <span v-if="isGuess(choice)" class="guess">likely; look at it</span>
          </td>
          <td class="number">{{ count(choice.values) }}</td>
          <td class="number">{{ count(choice.blanks) }}</td>
          <td class="quiet"><Veiled :text="choice.examples.join(' · ')" what="examples" /></td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
td.quiet {
  max-width: 230px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.out td {
  color: var(--soft-ink);
}

.guess {
  color: var(--amber-ink);
  margin-left: 6px;
}
</style>
