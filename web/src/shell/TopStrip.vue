<script setup lang="ts">
import { HelpDialog } from '@/help'
import { KeysDialog, useKeys, type PlaceKey } from '@/keys'
import { isWithin, placesOf } from '@/places'
import { WhoRings } from '@/prompts'
import { OwnAccountDialog, useSession } from '@/session'
import { useVeil, VEIL_KEY } from '@/veil'
import { useEventListener } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { RouterLink, useRoute } from 'vue-router'

const session = useSession()
const veil = useVeil()
const keys = useKeys()
const accountShown = ref(false)
const helpShown = ref(false)

const places = computed(() => placesOf(session.roles))

const route = useRoute()

/** Where there is little room, places and what is one's own come down when they are asked for. */
const isOpen = ref(false)
watch(
  () => route.path,
  () => (isOpen.value = false),
)

/** A function key, as the veil's, since it is pressed wherever one is. */
const WHO_KEY = 'F8'
const whoShown = ref(false)

/** What keys do in every place, besides those that have no place. */
const everywhere = computed<PlaceKey[]>(() =>
  session.has('WORK_LISTS') ? [{ key: WHO_KEY, does: 'who rings or walks in' }] : [],
)

useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (event.key === WHO_KEY && session.has('WORK_LISTS')) {
    event.preventDefault()
    whoShown.value = true
  }
})
</script>

<template>
  <header class="strip" :class="{ open: isOpen }">
    <RouterLink to="/" class="mark"
      ><img src="/mark.svg" alt="" width="22" height="22" /> Dipstick</RouterLink
    >
    <button
      v-if="session.has('WORK_LISTS')"
      class="word who"
      :title="`Who rings or walks in (${WHO_KEY})`"
      @click="whoShown = true"
    >
      Who is it?
    </button>
    <button class="word unfold" :aria-expanded="isOpen" @click="isOpen = !isOpen">
      {{ isOpen ? 'Close' : 'Places' }}
    </button>
    <nav aria-label="Places">
      <RouterLink
        v-for="place in places"
        :key="place.to"
        :to="place.to"
        :class="{ here: isWithin(route.path, place.to) }"
        >{{ place.name }}</RouterLink
      >
    </nav>
    <div class="own">
      <span class="practice">{{ session.current?.practice }}</span>
      <button
        class="word"
        :aria-pressed="veil.isDown"
        :title="`Hide names and contacts (${VEIL_KEY})`"
        @click="veil.turn()"
      >
        {{ veil.isDown ? 'Lift the veil' : 'Veil' }}
      </button>
      <button class="word" title="How to read this place" @click="helpShown = true">Help</button>
      <button class="word" title="Keys of this place (?)" @click="keys.shown = true">Keys</button>
      <button class="word" title="Your account" @click="accountShown = true">
        {{ session.signedIn?.displayName }}
      </button>
      <button class="word" @click="session.signOut()">Sign out</button>
    </div>
    <OwnAccountDialog v-model:visible="accountShown" />
    <HelpDialog v-model:visible="helpShown" @keys="keys.shown = true" />
    <KeysDialog :everywhere="everywhere" />
    <WhoRings v-if="session.has('WORK_LISTS')" v-model:visible="whoShown" />
  </header>
</template>

<style scoped>
.strip {
  display: flex;
  align-items: stretch;
  gap: 0 18px;
  padding: 0 20px;
  min-height: 40px;
  line-height: 37px;
  background: var(--sheet);
  border-bottom: 1px solid var(--rule);
}

.mark {
  display: flex;
  align-items: center;
  gap: 8px;
  font-weight: 600;
  color: var(--ink);
  text-decoration: none;
}

nav {
  display: flex;
  gap: 4px;
  flex: 1;
}

nav a {
  padding: 0 12px;
  color: var(--ink);
  text-decoration: none;
  border-bottom: 3px solid transparent;
}

nav a:hover {
  background: var(--paper);
}

nav a.here {
  border-bottom-color: var(--amber);
  font-weight: 600;
}

.who {
  order: 1;
}

.own {
  order: 2;
  display: flex;
  align-items: center;
  gap: 0 18px;
}

.practice {
  color: var(--soft-ink);
}

.word {
  border-bottom: 0;
}

.unfold {
  display: none;
}

@media (max-width: 1100px) {
  .practice {
    display: none;
  }
}

@media (max-width: 900px) {
  .strip {
    flex-wrap: wrap;
    padding: 0 12px;
  }

  .mark {
    flex: 1;
  }

  .unfold {
    display: block;
    order: 1;
  }

  nav,
  .own {
    display: none;
    order: 2;
    flex: 0 0 100%;
    flex-wrap: wrap;
  }

  .strip.open nav,
  .strip.open .own {
    display: flex;
  }
}
</style>
