<script setup lang="ts">
import { useWalk } from './walk'

/** Where somebody begins in the demo: that there is a walk through it. */
const walk = useWalk()
</script>

<template>
  <p v-if="walk.offered" class="quiet">
    New here? <button class="word" @click="walk.begin()">Take a walk in five steps</button> ·
    <button class="word" @click="walk.end()">not now</button>
  </p>
</template>

<style scoped>
p {
  margin: 0 0 8px;
}
</style>
