<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import Toast from 'primevue/toast'
import { nextTick, useTemplateRef, watch } from 'vue'
import { RouterView, useRoute, useRouter } from 'vue-router'
import { WalkStrip } from './help'
import { missing } from './pages'
import { homeOf } from './places'
import { SecondFactorPage, SignInPage, useSession } from './session'
import RecordsStanding from './shell/RecordsStanding.vue'
import RoomLeft from './shell/RoomLeft.vue'
import TopStrip from './shell/TopStrip.vue'
import { Together } from './together'

const session = useSession()
const router = useRouter()
const route = useRoute()
const place = useTemplateRef('place')
/** What a place that fills the window has less of it. */
const { height } = useElementSize(useTemplateRef('above'))

// Whoever goes to another place is there with the keyboard too, unless that place has put them somewhere already.
watch(
  () => route.path,
  async (_, before) => {
    await nextTick()
    const { activeElement } = document
    if (before !== '/' && (!activeElement || !place.value?.contains(activeElement))) {
      place.value?.focus({ preventScroll: true })
    }
  },
)

// Who signs in again after the sign-in expired stays where they were.
watch(
  () => session.signedIn,
  async (who) => {
    await router.isReady()
    if (who && router.currentRoute.value.path === '/') {
      await router.replace(homeOf(session.roles))
    }
  },
)
</script>

<template>
  <Toast position="bottom-left" />
  <template v-if="session.known">
    <SecondFactorPage v-if="session.signedIn?.lacksSecondFactor" />
    <template v-else-if="session.signedIn">
      <Together>
        <a class="skip" href="#place" @click.prevent="place?.focus()">To what is on this page</a>
        <div ref="above">
          <TopStrip />
          <WalkStrip />
          <RecordsStanding />
          <RoomLeft />
          <p v-if="missing" class="notice page" role="alert">
            That page could not be fetched from the server. You are still where you were, and
            nothing is lost; try again in a moment.
          </p>
        </div>
        <main
          id="place"
          ref="place"
          class="place"
          :style="{ '--above': `${String(height)}px` }"
          tabindex="-1"
        >
          <RouterView />
        </main>
      </Together>
    </template>
    <SignInPage v-else />
  </template>
  <p v-else-if="session.problem" class="notice page" role="alert">
    {{ session.problem }} <button class="word" @click="session.reload()">Try again</button>
  </p>
</template>

<style scoped>
.skip:not(:focus) {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}

.skip:focus {
  position: absolute;
  left: 8px;
  top: 8px;
  z-index: 10;
  padding: 6px 12px;
  background: var(--sheet);
  border: 1px solid var(--verdigris);
}

.place {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-height: 0;
}

/* It is gone to as a whole, and what is in it shows where the focus is. */
.place:focus {
  outline: none;
}
</style>
