<script setup lang="ts">
import { useTogether } from './together'

/** Listens as long as somebody is signed in. */
useTogether()
</script>

<template>
  <slot />
</template>
