<script setup lang="ts">
import { ifMatch, send, sentenceOf } from '@/api/client'
import { dayOfInstant, dayWords } from '@/days'
import { fieldWords } from '@/fields'
import { count } from '@/stick'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, ref, shallowRef, useTemplateRef } from 'vue'
import RosterFileDialog from './RosterFileDialog.vue'
import RosterRowsDialog from './RosterRowsDialog.vue'
import { addressOf, rostersQuery, type SharedRoster } from './shared'

/** The rosters that criteria sets share: made of a file, replaced by the next one, looked at. */
const queries = useQueryClient()
const { data: rosters, error } = useQuery(rostersQuery)
const picker = useTemplateRef('picker')
const file = shallowRef<File>()
const replaced = shallowRef<SharedRoster>()
const seen = shallowRef<SharedRoster>()
/** The id of the one that somebody is about to stop sharing. */
const asked = ref('')
const said = ref('')
const refused = ref('')
const taken = computed(() => new Set((rosters.value ?? []).map((one) => one.id)))

function pick(roster: SharedRoster | undefined) {
  said.value = ''
  refused.value = ''
  replaced.value = roster
  picker.value?.click()
}

function picked() {
  file.value = picker.value?.files?.[0]
  if (picker.value) {
    picker.value.value = ''
  }
}

function saved(name: string) {
  const sets = replaced.value?.usedBy.length
  said.value = replaced.value
    ? `“${name}” was replaced${sets ? `, in ${String(sets)} ${sets === 1 ? 'set' : 'sets'}` : ''}.`
    : `“${name}” is shared. Take it in any set: add a roster of named people.`
  file.value = undefined
  void queries.invalidateQueries()
}

async function remove(roster: SharedRoster) {
  asked.value = ''
  said.value = ''
  refused.value = ''
  try {
    await send(addressOf(roster.id), { method: 'DELETE', ...ifMatch(roster.version) })
    said.value = `“${roster.name}” is not shared any more. Sets that hold it keep their copies.`
  } catch (failure) {
    refused.value = sentenceOf(failure)
  }
  void queries.invalidateQueries({ queryKey: ['rosters'] })
}
</script>

<template>
  <section aria-label="Rosters">
    <h2>Rosters</h2>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="!rosters" class="quiet">The rosters are being fetched.</p>
    <p v-else-if="rosters.length === 0" class="quiet">
      None yet. A roster is a list of named people, such as those who want no letters; sets share
      it, and next week’s file replaces it in all of them.
    </p>
    <table v-else class="on-sheet">
      <thead>
        <tr>
          <th>Name</th>
          <th>Known by</th>
          <th class="number">Rows</th>
          <th>Holds until</th>
          <th>Used by</th>
          <th>Changed</th>
          <th><span class="visually-hidden">What can be done with it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in rosters" :key="one.id">
          <td>
            <button type="button" class="word" @click="seen = one">{{ one.name }}</button>
          </td>
          <td>{{ one.key.map(fieldWords).join(', ') }}</td>
          <td class="number">
            {{ count(one.rows)
            }}<template v-if="one.ended">, {{ count(one.ended) }} ended</template>
          </td>
          <td>{{ one.until ? dayWords(one.until) : 'taken away' }}</td>
          <td>{{ one.usedBy.join(', ') || 'no set' }}</td>
          <td class="quiet when">
            version {{ one.version }}, {{ one.changedBy }},
            {{ dayWords(dayOfInstant(one.changedAt)) }}
          </td>
          <td class="acts">
            <button
              type="button"
              class="word"
              :aria-label="`Replace ${one.name} by a file`"
              @click="pick(one)"
            >
              replace by a file…
            </button>
            <template v-if="asked === one.id">
              <span>Its rows go; sets keep their copies.</span>
              <button type="button" class="word" @click="remove(one)">let it go</button>
              <button type="button" class="word" @click="asked = ''">keep it</button>
            </template>
            <button
              v-else
              type="button"
              class="word"
              :aria-label="`Stop sharing ${one.name}`"
              @click="asked = one.id"
            >
              stop sharing
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="refused" class="notice" role="alert">{{ refused }}</p>
    <input
      ref="picker"
      type="file"
      hidden
      aria-label="A file with a roster"
      data-roster-file
      @change="picked"
    />
    <Button size="small" outlined label="New roster from a file…" @click="pick(undefined)" />
    <RosterFileDialog
      v-if="file"
      :file="file"
      :roster="replaced"
      :taken="taken"
      @close="file = undefined"
      @saved="saved"
    />
    <RosterRowsDialog v-if="seen" :roster="seen" @close="seen = undefined" />
  </section>
</template>

<style scoped>
.when {
  white-space: nowrap;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
}
</style>
