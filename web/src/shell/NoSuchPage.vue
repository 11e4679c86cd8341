<script setup lang="ts">
import { usePageTitle } from '@/address'
import { RouterLink } from 'vue-router'

/** What is at an address that leads nowhere. */
usePageTitle(() => ['No such page'])
</script>

<template>
  <div class="page">
    <h1>There is no page at this address</h1>
    <p>It may have been copied in part, or be of a page that is no more.</p>
    <p><RouterLink to="/">Go to where you begin</RouterLink></p>
  </div>
</template>
