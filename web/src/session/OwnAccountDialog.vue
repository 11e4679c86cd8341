<script setup lang="ts">
import { Dialog } from '@/controls'
import Button from 'primevue/button'
import { useSession } from './session'
import PasskeysPanel from './PasskeysPanel.vue'
import PasswordPanel from './PasswordPanel.vue'
import SecondFactorPanel from './SecondFactorPanel.vue'
import SessionsPanel from './SessionsPanel.vue'
import TokensPanel from './TokensPanel.vue'

/** What each person does about their own account: where it is signed in, its password, its second factor
 * and passkeys, and tokens for programs. */
const visible = defineModel<boolean>('visible', { required: true })

const session = useSession()
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="session.signedIn?.displayName ?? ''"
    :style="{ width: '1000px', maxWidth: '97vw' }"
  >
    <div class="sides">
      <div>
        <SessionsPanel />
        <p v-if="session.signedIn?.vouchedFor">
          You sign in with {{ session.current?.service?.label }}, which keeps your password and asks
          for a second factor.
        </p>
        <PasswordPanel v-else />
        <TokensPanel />
      </div>
      <div v-if="!session.signedIn?.vouchedFor">
        <SecondFactorPanel />
        <PasskeysPanel />
      </div>
    </div>
    <div class="buttons">
      <Button text label="Close" @click="visible = false" />
    </div>
  </Dialog>
</template>

<style scoped>
.sides > div {
  display: grid;
  align-content: start;
  gap: 16px;
}

.sides {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(400px, 100%), 1fr));
  gap: 0 40px;
}
</style>
