import type { Schemas } from '@/api/client'
import { useQueryClient } from '@tanstack/vue-query'
import { useEventSource } from '@vueuse/core'
import { watch } from 'vue'

/** In which one's own desk is read again after one's own work. */
const OWN_MS = 250

/** Has what a colleague changed read again as it happens; the stream comes back by itself when it breaks. */
export function useTogether(): void {
  const queries = useQueryClient()
  const { data, event, lastEventId, status } = useEventSource(
    '/api/together',
    ['lists', 'records', 'hello'] as const,
    {
      autoReconnect: { retries: -1, delay: 2000 },
    },
  )

  /** What was read since an event holds what it tells. */
  function readAgain(lists: readonly string[], told: number): void {
    for (const list of lists) {
      const desk = queries.getQueryData<Schemas['DeskView']>(['lists', list, 'desk'])
      if (desk === undefined || desk.told < told) {
        for (const part of ['desk', 'readings']) {
          void queries.invalidateQueries({ queryKey: ['lists', list, part] })
        }
      }
    }
    void queries.invalidateQueries({ queryKey: ['lists'], exact: true })
    void queries.invalidateQueries({ queryKey: ['today'] })
  }

  // At once, since two that come together would be seen as one.
  watch(
    lastEventId,
    (id) => {
      const lists: unknown = JSON.parse(data.value ?? '{}')
      if (Array.isArray(lists)) {
        // A little later, since whoever did it reads again at once.
        setTimeout(() => readAgain(lists.map(String), Number(id)), OWN_MS)
      }
    },
    { flush: 'sync' },
  )

  // Whether the records that are shown are behind is another matter: everything may read differently.
  watch(
    data,
    () => {
      if (event.value === 'records') {
        void queries.invalidateQueries()
      }
    },
    { flush: 'sync' },
  )

  // What happened while nobody told us.
  watch(status, (now, before) => {
    if (now === 'OPEN' && before === 'CONNECTING') {
      void queries.invalidateQueries({ queryKey: ['lists'] })
      void queries.invalidateQueries({ queryKey: ['records'] })
    }
  })
}
