<script setup lang="ts">
import Toast from 'primevue/toast'
import { RouterView } from 'vue-router'
import { SignInPage, useSession } from './session'
import TopStrip from './shell/TopStrip.vue'

const session = useSession()
</script>

<template>
  <Toast position="bottom-left" />
  <template v-if="session.known">
    <template v-if="session.signedIn">
      <TopStrip />
      <main class="place"><RouterView /></main>
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
