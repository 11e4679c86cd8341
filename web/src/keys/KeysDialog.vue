<script setup lang="ts">
import { Dialog } from '@/controls'
import { VEIL_KEY } from '@/veil'
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import { useKeys, type PlaceKey } from './keys'

/** The keys of where one is, and of everywhere; those that may be others are changed by pressing them. */
const { everywhere } = defineProps<{ everywhere: readonly PlaceKey[] }>()

const keys = useKeys()
const told = ref('')
const groups = computed(() => [
  ...(keys.here ? [{ name: `Keys of ${keys.here.place}`, keys: keys.here.keys }] : []),
  {
    name: 'Keys of every place',
    keys: [
      ...everywhere,
      { key: VEIL_KEY, does: 'hide or show names and contacts' },
      { key: 'Esc', does: 'close what is open' },
      { key: '?', does: 'these keys' },
    ],
  },
])

watch(
  () => keys.shown,
  () => (told.value = ''),
)

/** The key that is pressed while the one of an act has the focus; those that move the focus go on doing so. */
function press(event: KeyboardEvent, one: PlaceKey) {
  if (event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey) {
    event.preventDefault()
    told.value = one.change?.(event.key) ?? `${event.key}: ${one.does}.`
  }
}
</script>

<template>
  <Dialog v-model:visible="keys.shown" modal header="Keys" :style="{ width: '520px' }">
    <section v-for="group in groups" :key="group.name">
      <h2>{{ group.name }}</h2>
      <dl>
        <template v-for="one in group.keys" :key="one.does">
          <dt>
            <input
              v-if="one.change"
              :value="one.key"
              :aria-label="`Key for: ${one.does}`"
              autocomplete="off"
              readonly
              @keydown="press($event, one)"
            />
            <kbd v-else>{{ one.key }}</kbd>
          </dt>
          <dd>{{ one.does }}</dd>
        </template>
      </dl>
    </section>
    <p v-if="keys.here?.keys.some((one) => one.change)" class="quiet">
      To change a key in a frame, go to it and press another.
      <Button
        v-if="keys.here.asAtFirst"
        text
        size="small"
        label="Keys as they were at first"
        @click="keys.here.asAtFirst()"
      />
    </p>
    <p role="status" class="told">{{ told }}</p>
    <label class="single">
      <input v-model="keys.single" type="checkbox" />
      Letters, digits and signs work as keys
    </label>
  </Dialog>
</template>

<style scoped>
h2 {
  margin: 10px 0 4px;
  font-size: 1em;
}

dl {
  display: grid;
  grid-template-columns: minmax(80px, max-content) 1fr;
  align-items: center;
  gap: 3px 12px;
  margin: 0;
}

dd {
  margin: 0;
}

kbd,
input {
  border: 1px solid var(--rule);
  border-radius: 2px;
  padding: 0 5px;
  font: inherit;
}

input {
  width: 24px;
  height: 24px;
  box-sizing: border-box;
  text-align: center;
  border-color: var(--verdigris);
  background: var(--sheet);
  color: var(--ink);
}

.told {
  min-height: 20px;
  margin: 4px 0;
}

.single {
  display: flex;
  align-items: center;
  gap: 8px;
}
</style>
