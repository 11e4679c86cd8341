<script setup lang="ts">
import { PARAMETERS } from '@/api/limits'
import { usePageTitle } from '@/address'
import { count } from '@/stick'
import { vOneStop } from '@/keys'
import { useSession } from '@/session'
import { Veiled } from '@/veil'
import InputText from 'primevue/inputtext'
import { onMounted, useTemplateRef } from 'vue'
import { RouterLink } from 'vue-router'
import { useFinding } from '@/api/finding'
import PersonStanding from './PersonStanding.vue'

/** Anybody on record, found by typing; where they stand is shown beside. */
const { id = '' } = defineProps<{ id?: string }>()

const session = useSession()
usePageTitle(() => (id === '' ? ['People'] : []))
const results = useTemplateRef('results')

const { typed, nothingTyped, people, now, problem } = useFinding('/api/people', ['people'])

function focusFind() {
  document.getElementById('find-people')?.focus()
}

onMounted(focusFind)

/** From what is typed to who was found; an arrow up at the first leads back. */
function focusFirst() {
  results.value?.querySelector<HTMLElement>('a')?.focus()
}
</script>

<template>
  <div class="people">
    <h1 class="visually-hidden">People</h1>
    <section class="search" aria-label="Find people">
      <InputText
        id="find-people"
        v-model="typed"
        fluid
        :maxlength="PARAMETERS['GET /api/people'].find.maxLength"
        placeholder="Name, id, birth date, or phone"
        aria-label="Find people"
        @keydown.down.prevent="focusFirst"
      />
      <p v-if="problem" class="notice" role="alert">{{ problem }}</p>
      <p class="quiet" role="status">
        <template v-if="nothingTyped">Everybody on record can be found here.</template>
        <template v-else-if="!now">{{ problem ? '' : 'Looking …' }}</template>
        <template v-else-if="people.length < now.total">
          The first {{ people.length }} of {{ count(now.total) }}; type more of it.
        </template>
        <template v-else>{{ count(now.total) }} found</template>
      </p>
      <ol ref="results" v-one-stop @keydown.up="focusFind">
        <li v-for="person in people" :key="person.id">
          <RouterLink
            class="person-row"
            :to="`/people/${encodeURIComponent(person.id)}`"
            :aria-current="person.id === id ? 'true' : undefined"
          >
            <span><Veiled :text="person.name" /></span>
            <span class="quiet"><Veiled :text="person.born" what="birth date" /></span>
            <span class="quiet">{{ person.age }}</span>
          </RouterLink>
        </li>
      </ol>
    </section>
    <PersonStanding v-if="id" :key="id" :person="id" :today="session.today" />
    <p v-else class="quiet none">Open somebody to see on which lists they are, and why.</p>
  </div>
</template>

<style scoped>
.people {
  display: grid;
  grid-template-columns: 400px minmax(0, 1fr);
  gap: 16px;
  padding: 12px 16px;
  height: calc(100vh - var(--above));
  box-sizing: border-box;
}

.search {
  display: flex;
  flex-direction: column;
  min-height: 0;
}

.search > p {
  margin: 6px 0;
}

ol {
  list-style: none;
  margin: 0;
  padding: 0;
  overflow: auto;
  background: var(--sheet);
  border: 1px solid var(--rule);
}

ol:empty {
  border: 0;
}

.person-row {
  grid-template-columns: 1fr 96px 44px;
}

.person-row[aria-current] {
  box-shadow: inset 3px 0 var(--amber);
}

.none {
  margin: 10px;
}

@media (max-width: 900px) {
  .people {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }

  ol {
    max-height: 40vh;
  }
}
</style>
