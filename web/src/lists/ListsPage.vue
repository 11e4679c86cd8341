<script setup lang="ts">
import { usePageTitle, useShownInAddress } from '@/address'
import Button from 'primevue/button'
import ComparedDialog from './ComparedDialog.vue'
import ListsRack from './ListsRack.vue'
import { useLists } from './useLists'

const comparedShown = useShownInAddress('compared')
const { data } = useLists()
usePageTitle(() => ['Lists'])
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1 class="grow">Lists</h1>
      <Button
        v-if="(data?.length ?? 0) > 1"
        text
        label="Compare two"
        @click="comparedShown = true"
      />
    </div>
    <ListsRack />
    <ComparedDialog v-model:visible="comparedShown" :lists="data ?? []" />
  </div>
</template>
