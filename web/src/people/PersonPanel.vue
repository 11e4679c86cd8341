<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { dayWords, dueWords } from '@/days'
import { computed } from 'vue'
import Contact from './Contact.vue'
import { grouped } from './grouped'
import PersonHead from './PersonHead.vue'
import ReasonLine from './ReasonLine.vue'
import TimeLine from './TimeLine.vue'

/** In the slot stands what can be done with a record. */
defineSlots<{ record(props: { record: Schemas['TimelineRecord'] }): unknown }>()
const {
  view,
  asOf,
  isRecordAlone = false,
  isHeadless = false,
} = defineProps<{
  view: Schemas['PersonView']
  asOf: string
  /** Whether no set is looked at, so that there is no list to stand on. */
  isRecordAlone?: boolean
  /** Whether who it is is said above already. */
  isHeadless?: boolean
}>()

const SECTIONS = { INCLUDE: 'Include', EXCLUDE: 'Exclude', SHOULD_HAVE: 'Should have' } as const
const HIDDEN = new Set(['id', 'family name', 'given name', 'birth date', 'provider', 'site'])

function recordsOf(reason: Schemas['ReasonView']): number[] {
  const nearest = reason.nearest === undefined ? [] : [reason.nearest]
  return [...reason.witness, ...nearest, ...reason.parts.flatMap(recordsOf)]
}

const lit = computed(() => new Set(view.criteria.flatMap((one) => recordsOf(one.reason))))
const bySection = computed(() => grouped(view.criteria, (one) => one.section))
/** What a reason must not say while the veil is down: their fields that are theirs alone. */
const TELLING = new Set([
  'id',
  'family name',
  'given name',
  'birth date',
  'phone',
  'mobile',
  'email',
  'address',
  'postcode',
])
const telling = computed(() => [
  view.person.born,
  ...view.details.filter((one) => TELLING.has(one.field)).map((one) => one.value),
])
const details = computed(() => view.details.filter((one) => !HIDDEN.has(one.field)))

const standing = computed(() => {
  switch (view.list) {
    case 'YES':
      return `On the list${view.due ? `, ${dueWords(view.due)}` : ''}.`
    case 'UNSURE':
      return "Can't tell: to check."
    case 'NO':
      return view.due && view.due !== 'never'
        ? `Not on the list; next due ${dayWords(view.due)}.`
        : 'Not on the list.'
    default:
      return 'Not in the population: recorded as deceased.'
  }
})
</script>

<template>
  <article class="person">
    <PersonHead v-if="!isHeadless" :person="view.person" />
    <p v-if="!isRecordAlone" class="standing">{{ standing }}</p>

    <section v-for="[section, criteria] in bySection" :key="section">
      <h3>{{ SECTIONS[section] }}</h3>
      <div v-for="criterion in criteria" :key="criterion.id" class="criterion">
        <div class="quiet">{{ criterion.sentence }}</div>
        <ReasonLine :reason="criterion.reason" :telling="telling" />
      </div>
    </section>

    <h3>Time line</h3>
    <TimeLine :records="view.records" :windows="view.windows" :as-of="asOf" :lit="lit" />

    <details>
      <summary>Records: {{ view.records.length }}</summary>
      <ol class="records">
        <li
          v-for="record in view.records"
          :key="record.number"
          :class="{ lit: lit.has(record.number) }"
        >
          <span class="when">{{ record.when }}</span> {{ record.what }}
          <span class="quiet"
            >{{ record.kind }}{{ record.status ? `, ${record.status}` : ''
            }}{{ record.more.map((one) => `, ${one.field} ${one.value}`).join('') }}</span
          >
          <slot name="record" :record="record" />
        </li>
      </ol>
    </details>
    <details>
      <summary>Contacts and other fields</summary>
      <dl>
        <template v-for="detail in details" :key="detail.field">
          <dt>{{ detail.field }}</dt>
          <dd><Contact :field="detail.field" :value="detail.value" /></dd>
        </template>
      </dl>
    </details>
  </article>
</template>

<style scoped>
.standing {
  font-weight: 600;
  margin: 4px 0 8px;
}

h3 {
  font-size: 0.86rem;
  font-weight: 600;
  color: var(--soft-ink);
  margin: 10px 0 3px;
  border-bottom: 1px solid var(--rule);
}

.criterion {
  margin: 3px 0 6px;
}

.criterion > .quiet {
  font-size: 0.9rem;
}

summary {
  cursor: pointer;
  color: var(--verdigris);
  margin-top: 6px;
}

.records {
  list-style: none;
  padding: 0;
  margin: 4px 0;
}

.records li {
  padding: 1px 0 1px 6px;
  border-left: 3px solid transparent;
}

.records li.lit {
  border-left-color: var(--amber);
}

.when {
  display: inline-block;
  min-width: 86px;
}

dl {
  display: grid;
  grid-template-columns: 120px 1fr;
  gap: 1px 10px;
  margin: 4px 0;
}

dt {
  color: var(--soft-ink);
}

dd {
  margin: 0;
}
</style>
