<script setup lang="ts">
import { send, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { count } from '@/stick'
import { Veiled } from '@/veil'
import Button from 'primevue/button'
import { computed, ref, shallowRef, watch } from 'vue'
import { COMPARISONS, type Pile } from './sidebyside'

/** A pile of two lists that are laid side by side, page by page. */
const { laid, pile } = defineProps<{ laid: string; pile: Pile }>()

const ON_A_PAGE = 100

const view = shallowRef<Schemas['PileView']>()
const from = ref(0)
const asking = useNewest()
const address = computed(() => `${COMPARISONS}/laid/${laid}/${pile}` as const)
const until = computed(() => from.value + (view.value?.rows.length ?? 0))

watch(
  [address, from],
  ([, start], [before] = [undefined, 0]) => {
    if (before !== address.value && start !== 0) {
      from.value = 0
      return
    }
    if (before !== address.value) {
      view.value = undefined
    }
    void asking.ask(
      (signal) => send<Schemas['PileView']>(`${address.value}?from=${String(start)}`, { signal }),
      (answer) => {
        view.value = answer
      },
    )
  },
  { immediate: true },
)
</script>

<template>
  <p v-if="asking.problem.value" class="notice" role="alert">{{ asking.problem.value }}</p>
  <p v-else-if="!view" role="status">The rows are being fetched.</p>
  <template v-else>
    <p v-if="view.all === 0" class="quiet">None.</p>
    <template v-else>
      <p class="pages">
        <span>Rows {{ count(from + 1) }} to {{ count(until) }} of {{ count(view.all) }}</span>
        <Button
          v-if="from > 0"
          size="small"
          text
          label="Before"
          @click="from = Math.max(0, from - ON_A_PAGE)"
        />
        <Button v-if="until < view.all" size="small" text label="Next" @click="from += ON_A_PAGE" />
        <a :href="`${address}/csv`" download>Take all out as CSV</a>
      </p>
      <div class="wide" tabindex="0" role="region" aria-label="Rows">
        <table class="on-sheet">
          <thead>
            <tr>
              <th v-for="(column, at) in view.header" :key="at">{{ column }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, at) in view.rows" :key="at">
              <td v-for="(cell, place) in row" :key="place">
                <Veiled :text="cell" :what="view.header[place]" />
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </template>
</template>

<style scoped>
.pages {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
}

.wide {
  overflow-x: auto;
}
</style>
