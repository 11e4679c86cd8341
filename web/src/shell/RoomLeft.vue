<script setup lang="ts">
import { send, type Schemas } from '@/api/client'
import { useQuery } from '@tanstack/vue-query'

/** Says on every page when the server's disk is full, or soon will be. */
const AGAIN_MS = 60_000

const { data: room } = useQuery({
  queryKey: ['room'],
  queryFn: () => send<Schemas['RoomLeft']>('/api/room'),
  refetchInterval: AGAIN_MS,
})
</script>

<template>
  <p v-if="room?.words" class="notice room" role="status">{{ room.words }}</p>
</template>

<style scoped>
.room {
  margin: 0;
}
</style>
