<script setup lang="ts">
import { Dialog } from '@/controls'
import Button from 'primevue/button'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { howToRead } from './howToRead'
import { MEANINGS } from './meanings'
import { useWalk } from './walk'

/** How to read the place where one is: what it is for, and what each of its numbers says. */
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ keys: [] }>()

const route = useRoute()
const walk = useWalk()
const how = computed(() => howToRead(route.path))

function begin() {
  visible.value = false
  walk.begin()
}

function showKeys() {
  visible.value = false
  emit('keys')
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="how ? `How to read ${how.place}` : 'Help'"
    :style="{ width: '620px', maxWidth: '97vw' }"
  >
    <template v-if="how">
      <p v-for="words in how.words" :key="words">{{ words }}</p>
      <h2>What its numbers and signs say</h2>
      <dl>
        <template v-for="name in how.meanings" :key="name">
          <dt>{{ MEANINGS[name].name }}</dt>
          <dd>{{ MEANINGS[name].words }}</dd>
        </template>
      </dl>
    </template>
    <p class="buttons">
      <Button v-if="walk.steps.length" outlined label="A walk in five steps" @click="begin" />
      <Button text label="Keys of this place" @click="showKeys" />
    </p>
  </Dialog>
</template>

<style scoped>
h2 {
  margin: 10px 0 4px;
  font-size: 1em;
}

dl {
  display: grid;
  grid-template-columns: minmax(90px, max-content) 1fr;
  gap: 4px 14px;
  margin: 0;
}

dt {
  font-weight: 600;
  max-width: 150px;
}

dd {
  margin: 0;
}

@media (max-width: 700px) {
  dl {
    display: block;
  }
}
</style>
