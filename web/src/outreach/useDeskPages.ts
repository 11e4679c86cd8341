import { send, type Schemas } from '@/api/client'
import { useQueries, useQuery, useQueryClient } from '@tanstack/vue-query'
import { until } from '@vueuse/core'
import { computed, shallowRef, watch, type Ref } from 'vue'
import type { ColumnId, SET_ORDER } from './columns'
import { ALL_BANDS, type DeskRow, type QueueId } from './queues'

export type DeskView = Schemas['DeskView']
/** Somebody of whom something can be done with many at once. */
export type Marked = Schemas['Marked']

/** Who is looked at on a desk, and in which order. */
export interface Asked {
  queue: QueueId
  /** By its name, or all of the list; the part of whoever asks where nothing is said. */
  part: string | undefined
  band: string
  find: string
  /** Also those whom the set leaves out, since it shows only so many. */
  everybody: boolean
  /** As the server sorts by itself where nothing is said. */
  sort: ColumnId | typeof SET_ORDER | undefined
  descending: boolean
  group: ColumnId | ''
}

/** A page, with what it answers and how many there are before it. */
type Page = DeskView & { to: string; from: number }

/** So many are fetched at once. */
export const PAGE = 50

function parameters(asked: Asked): URLSearchParams {
  const all = new URLSearchParams({ queue: asked.queue.toUpperCase() })
  const say = (name: string, value: string | undefined) => {
    if (value) {
      all.set(name, value)
    }
  }
  if (asked.part === undefined) {
    all.set('ownPart', 'true')
  } else {
    say('part', asked.part)
  }
  if (asked.band !== ALL_BANDS) {
    all.set('band', asked.band)
  }
  say('find', asked.find.trim())
  say('everybody', asked.everybody ? 'true' : '')
  say('sort', asked.sort)
  say('descending', asked.descending ? 'true' : '')
  say('group', asked.group)
  return all
}

/** Whether the numbers of the piles are the same, whichever of them is looked at and in which order. */
function countsAlike(one: Asked, other: Asked): boolean {
  return one.part === other.part && one.band === other.band && one.everybody === other.everybody
}

/**
 * The desk of a list, page by page as it comes in sight: the server sorts, finds and counts.
 *
 * @param ready whether it is known what is asked for
 */
export function useDeskPages(
  list: Ref<string>,
  asked: Ref<Asked>,
  current: Ref<string>,
  ready: Ref<boolean>,
) {
  const queries = useQueryClient()
  const address = computed(() => `/api/lists/${encodeURIComponent(list.value)}/desk` as const)
  const question = computed(() => `${address.value}?${parameters(asked.value).toString()}` as const)
  /** The first and the last that are in sight, by their place in the order. */
  const inSight = shallowRef<readonly [number, number]>([0, 0])

  const keyOf = (page: number) => ['lists', list.value, 'desk', 'page', question.value, page]
  const query = (page: number) => {
    const to = question.value
    const from = page * PAGE
    const path = `${to}&from=${String(from)}&size=${String(PAGE)}` as const
    return {
      queryKey: keyOf(page),
      queryFn: async (): Promise<Page> => ({ ...(await send<DeskView>(path)), to, from }),
    }
  }

  const pages = computed(() => {
    const [first, last] = inSight.value
    const numbers = []
    for (let page = Math.floor(first / PAGE); page <= Math.floor(last / PAGE); page++) {
      numbers.push(page)
    }
    return numbers
  })
  const results = useQueries({
    queries: computed(() => pages.value.map((page) => ({ ...query(page), enabled: ready.value }))),
  })
  /** Those that answer what is asked now: a result may be of what was asked a moment ago. */
  const answers = computed(() =>
    results.value.flatMap((one) => (one.data?.to === question.value ? [one.data] : [])),
  )
  const error = computed(() => results.value.find((one) => one.error)?.error ?? null)

  /** What the server says to just this question; nothing while it is fetched. */
  const answered = computed(() => answers.value[0])
  /** The last answer of this list, whatever was asked, and what that was. */
  const last = shallowRef<{ view: DeskView; asked: Asked }>()
  watch(list, () => {
    last.value = undefined
    inSight.value = [0, 0]
  })
  watch(question, () => {
    inSight.value = [0, 0]
  })
  watch(
    answered,
    (view) => {
      if (view) {
        last.value = { view, asked: asked.value }
      }
    },
    { immediate: true },
  )
  const desk = computed(() => answered.value ?? last.value?.view)
  /** Of each pile, as far as it is known. */
  const queues = computed(
    () =>
      answered.value?.queues ??
      (last.value && countsAlike(last.value.asked, asked.value) ? last.value.view.queues : []),
  )

  /** Everybody whose page came, by their place in the order. */
  const rows = computed(() => {
    const all = new Map<number, DeskRow>()
    answers.value.forEach(({ from, rows: some }) => {
      some.forEach((row, i) => all.set(from + i, row))
    })
    return all
  })
  const places = computed(() => {
    const all = new Map<string, number>()
    rows.value.forEach((row, at) => all.set(row.person.id, at))
    return all
  })

  /** Whoever stands at a place; fetched where their page did not come yet. */
  async function rowAt(at: number): Promise<DeskRow | undefined> {
    const known = rows.value.get(at)
    if (known || !answered.value || at < 0 || at >= answered.value.total) {
      return known
    }
    const page = Math.floor(at / PAGE)
    const view = await queries.fetchQuery(query(page))
    return view.rows[at - view.from]
  }

  const listed = computed(() => rows.value.get(places.value.get(current.value) ?? -1))
  const oneKey = computed(() => ['lists', list.value, 'desk', 'one', current.value])
  // Kept, so that whoever goes to another pile or page stays in hand.
  watch(
    listed,
    (row) => {
      if (row) {
        queries.setQueryData(oneKey.value, { rows: [row] })
      }
    },
    { immediate: true },
  )
  const one = useQuery({
    queryKey: oneKey,
    queryFn: () =>
      send<Pick<DeskView, 'rows'>>(
        `${address.value}?person=${encodeURIComponent(current.value)}&size=1`,
      ),
    enabled: () => current.value !== '' && answered.value !== undefined && !listed.value,
  })
  const row = computed(() =>
    current.value === '' ? undefined : (listed.value ?? one.data.value?.rows[0]),
  )
  /** Whether it is known that whoever is open is not at this desk. */
  const isNobody = computed(
    () =>
      current.value === '' ||
      (!listed.value && one.data.value !== undefined && one.data.value.rows.length === 0),
  )

  /** Has everybody of the pile come, while something is done that is about all of them. */
  async function withAll(what: () => Promise<void>): Promise<void> {
    const total = answered.value?.total ?? 0
    const before = inSight.value
    inSight.value = [0, Math.max(0, total - 1)]
    try {
      await until(() => rows.value.size >= total || error.value !== null).toBe(true)
      await what()
    } finally {
      inSight.value = before
    }
  }

  function everybody(wanted: Asked = asked.value): Promise<Marked[]> {
    return send<Marked[]>(`${address.value}/everybody?${parameters(wanted).toString()}`)
  }

  /** All of the list, whichever pile they are in. */
  function wholeList(): Promise<Marked[]> {
    return send<Marked[]>(`${address.value}/everybody?everybody=true`)
  }

  /** The first from a place on, and then from the beginning, who is to do and free, or one's own. */
  async function nextToTake(from: number): Promise<DeskRow | undefined> {
    const next = await send<Schemas['NextToTake']>(
      `${address.value}/next?${parameters(asked.value).toString()}&from=${String(from)}&current=${encodeURIComponent(current.value)}`,
    )
    return next.row
  }

  return {
    desk,
    answered,
    queues,
    error,
    rows,
    places,
    row,
    isNobody,
    inSight,
    rowAt,
    withAll,
    everybody,
    wholeList,
    nextToTake,
  }
}
