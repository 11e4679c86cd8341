<script setup lang="ts">
import Toast from 'primevue/toast'
import { watch } from 'vue'
import { RouterView, useRouter } from 'vue-router'
import { missing } from './pages'
import { homeOf } from './places'
import { SecondFactorPage, SignInPage, useSession } from './session'
import RecordsStanding from './shell/RecordsStanding.vue'
import RoomLeft from './shell/RoomLeft.vue'
import TopStrip from './shell/TopStrip.vue'
import { Together } from './together'

const session = useSession()
const router = useRouter()

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
        <TopStrip />
        <RecordsStanding />
        <RoomLeft />
        <p v-if="missing" class="notice page" role="alert">
          That page could not be fetched from the server. You are still where you were, and nothing
          is lost; try again in a moment.
        </p>
        <main class="place"><RouterView /></main>
      </Together>
    </template>
    <SignInPage v-else />
  </template>
  <p v-else-if="session.problem" class="notice page" role="alert">
    {{ session.problem }} <button class="word" @click="session.reload()">Try again</button>
  </p>
</template>

<style scoped>
.place {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
</style>
