import { useQueryClient } from '@tanstack/vue-query'
import { useEventSource } from '@vueuse/core'
import { watch } from 'vue'

/** Has what a colleague changed read again as it happens; the stream comes back by itself when it breaks. */
export function useTogether(): void {
  const queries = useQueryClient()
  const { data, status } = useEventSource('/api/together', ['lists', 'hello'] as const, {
    autoReconnect: { retries: -1, delay: 2000 },
  })

  function readAgain(lists: readonly string[]): void {
    for (const list of lists) {
      void queries.invalidateQueries({ queryKey: ['lists', list] })
    }
    void queries.invalidateQueries({ queryKey: ['lists'], exact: true })
    void queries.invalidateQueries({ queryKey: ['today'] })
  }

  watch(data, (told) => {
    const lists: unknown = JSON.parse(told ?? '{}')
    if (Array.isArray(lists)) {
      readAgain(lists.map(String))
    }
  })

  // What happened while nobody told us.
  watch(status, (now, before) => {
    if (now === 'OPEN' && before === 'CONNECTING') {
      void queries.invalidateQueries({ queryKey: ['lists'] })
    }
  })
}
