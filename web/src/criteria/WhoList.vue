<script setup lang="ts">
import { RowLink } from '@/address'
import type { Schemas } from '@/api/client'
import { cellWords, fieldWords, tellsWho } from '@/fields'
import { vOneStop } from '@/keys'
import { count } from '@/stick'
import { Veiled, VeiledWords } from '@/veil'
import { computed } from 'vue'
import { useRoute } from 'vue-router'

/** People behind a number, a line each, under the reason where several have one. */
const { people, show, top, total, moreCanCome } = defineProps<{
  people: readonly Schemas['Line'][]
  /** What the set shows of each besides. */
  show: readonly Schemas['ShownColumn'][]
  /** How many of those on the list the set shows; all where it is left out. */
  top: number | undefined
  total: number
  /** Whether others than have come can be asked for now: not while these are of the criteria before a change. */
  moreCanCome: boolean
}>()
const emit = defineEmits<{ open: [id: string]; more: [] }>()

const route = useRoute()
const hasMore = computed(() => people.length < total)

/** What the line does not say anyway. */
function besides(shown: readonly string[]) {
  return show
    .map(({ name, ofCriterion }, at) => ({
      name: ofCriterion ? name : fieldWords(name),
      telling: !ofCriterion && tellsWho(name),
      text: cellWords(shown[at] ?? ''),
    }))
    .filter((cell) => cell.text !== '' && cell.name !== 'provider' && cell.name !== 'state')
}

/** How many of those that are shown have the same reason. */
function withReason(why: string): string {
  const shown = people.filter((one) => one.why === why).length
  return hasMore.value && people.at(-1)?.why === why ? `${count(shown)} or more` : count(shown)
}
</script>

<template>
  <ol v-one-stop class="people">
    <template v-for="({ person: one, why, shown }, i) in people" :key="one.id">
      <li v-if="i === top" class="why">
        Only the first {{ count(top) }} of {{ count(total) }} are shown on the list; the others come
        after them:
      </li>

      <li v-if="why && why !== people[i - 1]?.why" class="why">
        <VeiledWords :text="why" :telling="[one.born]" />{{ ' ' }}
        <strong>{{ withReason(why) }}</strong>
      </li>
      <li>
        <RowLink
          class="person-row"
          :to="{ query: { ...route.query, person: one.id } }"
          :data-person="one.id"
          @open="emit('open', one.id)"
        >
          <span class="name"><Veiled :text="one.name" /></span>
          <span class="quiet">{{ one.age || 'no birth date' }}</span>
          <span class="quiet">{{ one.provider }}</span>
          <span v-if="besides(shown).length" class="quiet besides">
            <span v-for="cell in besides(shown)" :key="cell.name" class="cell">
              {{ cell.name }}
              <Veiled v-if="cell.telling" :text="cell.text" :what="cell.name" /><template v-else>{{
                cell.text
              }}</template>
            </span>
          </span>
        </RowLink>
      </li>
    </template>
    <li v-if="hasMore && moreCanCome">
      <button class="word more" @click="emit('more')">Show more of {{ count(total) }}</button>
    </li>
  </ol>
</template>

<style scoped>
.people {
  list-style: none;
  margin: 0;
  padding: 0;
  overflow: auto;
  flex: 1;
}

.why {
  padding: 8px 12px 2px;
  color: var(--amber-ink);
  border-bottom: 1px solid var(--rule);
}

.person-row {
  grid-template-columns: 1fr 90px 130px;
}

.person-row .cell {
  margin-right: 12px;
}

.person-row .besides {
  grid-column: 1 / -1;
}

.person-row span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.more {
  margin: 8px 12px;
}
</style>
