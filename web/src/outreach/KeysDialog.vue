<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { KEYS } from './keys'

/** The keys of the desk. */
const visible = defineModel<boolean>('visible', { required: true })
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Keys of the desk" :style="{ width: '460px' }">
    <dl>
      <template v-for="one in KEYS" :key="one.key">
        <dt>
          <kbd>{{ one.key }}</kbd>
        </dt>
        <dd>{{ one.does }}</dd>
      </template>
    </dl>
  </Dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 80px 1fr;
  gap: 3px 12px;
  margin: 0;
}

dd {
  margin: 0;
}

kbd {
  border: 1px solid var(--rule);
  border-radius: 2px;
  padding: 0 5px;
  font: inherit;
}
</style>
