<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { timeWords } from '@/days'
import { Veiled } from '@/veil'

/** What was said of pairs before, each to be undone. */
const { told } = defineProps<{ told: Schemas['SamePerson']; busy: boolean }>()
const emit = defineEmits<{
  undo: [address: `apart/${string}` | `joined/${string}`, done: string]
}>()
</script>

<template>
  <section v-if="told.joined.length" aria-label="Joined">
    <h2>Joined</h2>
    <table class="on-sheet">
      <thead>
        <tr>
          <th>Goes on as</th>
          <th>Also found by</th>
          <th>When</th>
          <th>By</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in told.joined" :key="one.id">
          <td>{{ one.person }} <Veiled :text="one.name" /></td>
          <td>{{ one.other }}</td>
          <td>{{ timeWords(one.at) }}</td>
          <td>{{ one.by }}</td>
          <td>
            <button
              type="button"
              class="word"
              :disabled="busy"
              :aria-label="`Undo: ${one.other} goes on as ${one.person}`"
              @click="
                emit(
                  'undo',
                  `joined/${String(one.id)}`,
                  `${one.person} and ${one.other} are two again.`,
                )
              "
            >
              undo
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
  <section v-if="told.apart.length" aria-label="Two people">
    <h2>Two people</h2>
    <table class="on-sheet">
      <thead>
        <tr>
          <th>One</th>
          <th>Other</th>
          <th>When</th>
          <th>By</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in told.apart" :key="one.id">
          <td>{{ one.one }} <Veiled :text="one.oneName" /></td>
          <td>{{ one.other }} <Veiled :text="one.otherName" /></td>
          <td>{{ timeWords(one.at) }}</td>
          <td>{{ one.by }}</td>
          <td>
            <button
              type="button"
              class="word"
              :disabled="busy"
              :aria-label="`Undo: ${one.one} and ${one.other} are two people`"
              @click="
                emit(
                  'undo',
                  `apart/${String(one.id)}`,
                  `${one.one} and ${one.other} may be offered again.`,
                )
              "
            >
              undo
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
