<script setup lang="ts">
import { usePageTitle } from '@/address'
import Button from 'primevue/button'
import PasskeysPanel from './PasskeysPanel.vue'
import SecondFactorPanel from './SecondFactorPanel.vue'
import { useSession } from './session'

/** All that there is for whoever has to set up a second factor first. */
const session = useSession()
usePageTitle(() => ['Second factor'])
</script>

<template>
  <main class="page first">
    <h1>One thing first, {{ session.signedIn?.displayName }}</h1>
    <p>
      Your practice asks for more than a password in your role: a passkey, or, unless it says
      otherwise, a code from a device of yours.
    </p>
    <PasskeysPanel @set-up="session.reload()" />
    <SecondFactorPanel @set-up="session.reload()" />
    <p><Button text label="Sign out" @click="session.signOut()" /></p>
  </main>
</template>

<style scoped>
.first {
  width: 100%;
  max-width: 620px;
  margin: 0 auto;
}
</style>
