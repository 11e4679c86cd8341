import type { Schemas } from '@/api/client'
import { useQueryClient, type Query } from '@tanstack/vue-query'
import { useEventSource } from '@vueuse/core'
import { watch } from 'vue'

/** What is told of a list. */
interface TouchedList {
  list: string
  /** Of whom something is another; empty where it may be so of everybody. */
  people: string[]
  /** Whether the list itself is another, or was read anew. */
  whole: boolean
  /** Whether it is about people in one's own hand, or who were. */
  mine: boolean
  /** Whether others are to be contacted than before. */
  open: boolean
}

/** In which one's own desk is read again after one's own work, and several things that come at once are read once. */
const TOGETHER_MS = 250

/** Who has people in hand stands at the rack, where each call of a morning need not be told by itself. */
const RACK_MS = 5000

/** Has what a colleague changed read again as it happens; the stream comes back by itself when it breaks. */
export function useTogether(): void {
  const queries = useQueryClient()
  const { data, event, lastEventId } = useEventSource(
    '/api/together',
    ['lists', 'records', 'hello'] as const,
    {
      autoReconnect: { retries: -1, delay: 2000 },
    },
  )
  /** The number of the last thing that was told; nothing before the first. */
  let told: number | undefined
  const waiting = new Map<
    string,
    { people: Set<string>; everybody: boolean; whole: boolean; told: number }
  >()
  let today = false
  let rack = false

  function readRackLater(): void {
    if (!rack) {
      rack = true
      setTimeout(() => {
        rack = false
        void queries.invalidateQueries({ queryKey: ['lists'], exact: true })
      }, RACK_MS)
    }
  }

  /** What was read since an event holds what it tells. */
  function holds(query: Query, number: number): boolean {
    const view = query.state.data as Partial<Schemas['DeskView']> | undefined
    return view?.told !== undefined && view.told >= number
  }

  function readAgain(): void {
    let lists = false
    waiting.forEach(({ people, everybody, whole, told: number }, list) => {
      void queries.invalidateQueries({
        queryKey: ['lists', list, 'desk'],
        // Of whoever nothing was done about, nothing is new.
        predicate: (query) =>
          !holds(query, number) &&
          (everybody || query.queryKey[3] !== 'log' || people.has(String(query.queryKey[4]))),
      })
      if (whole) {
        void queries.invalidateQueries({ queryKey: ['lists', list, 'readings'] })
        lists = true
      }
    })
    waiting.clear()
    if (lists) {
      void queries.invalidateQueries({ queryKey: ['lists'], exact: true })
    } else {
      readRackLater()
    }
    if (today) {
      void queries.invalidateQueries({ queryKey: ['today'] })
      today = false
    }
  }

  function hear(touched: readonly TouchedList[], number: number): void {
    if (waiting.size === 0) {
      setTimeout(readAgain, TOGETHER_MS)
    }
    for (const { list, people, whole, mine, open } of touched) {
      const before = waiting.get(list)
      waiting.set(list, {
        people: new Set([...(before?.people ?? []), ...people]),
        everybody: before?.everybody || people.length === 0,
        whole: before?.whole || whole,
        told: number,
      })
      today ||= mine || open
    }
  }

  // At once, since two that come together would be seen as one.
  watch(
    lastEventId,
    (id) => {
      const touched: unknown = JSON.parse(data.value ?? '{}')
      if (Array.isArray(touched)) {
        told = Number(id)
        hear(touched as TouchedList[], told)
      }
    },
    { flush: 'sync' },
  )

  watch(
    data,
    (said) => {
      if (event.value === 'records') {
        // Whether the records that are shown are behind is another matter: everything may read differently.
        void queries.invalidateQueries()
      } else if (event.value === 'hello') {
        const { told: last } = JSON.parse(said ?? '{}') as { told: number }
        // What happened while nobody told us, or before anybody did.
        if (told !== last) {
          void queries.invalidateQueries({
            queryKey: ['lists'],
            predicate: (query) => !holds(query, last),
          })
          void queries.invalidateQueries({ queryKey: ['today'] })
          void queries.invalidateQueries({ queryKey: ['records'] })
        }
        told = last
      }
    },
    { flush: 'sync' },
  )
}
