<script setup lang="ts">
import InputText from 'primevue/inputtext'

/** A text that is mostly one of a few, which are offered beneath. What its field has besides is said where it stands. */
const text = defineModel<string>({ required: true })
defineProps<{ offered: readonly string[] }>()
defineOptions({ inheritAttrs: false })
</script>

<template>
  <span>
    <InputText v-model="text" v-bind="$attrs" fluid required />
    <span class="offered">
      <button v-for="one in offered" :key="one" type="button" class="word" @click="text = one">
        {{ one }}
      </button>
    </span>
  </span>
</template>

<style scoped>
.offered {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
}

.offered .word {
  min-height: 24px;
}
</style>
