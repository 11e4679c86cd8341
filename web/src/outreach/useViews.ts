import { send, sendJson, type Schemas } from '@/api/client'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, shallowRef, watch, type Ref } from 'vue'
import { columnOf, USUAL_VIEW, type View } from './columns'

/** How somebody lays out the desk of a list; kept with their account, the one in use first. */
export function useViews(list: Ref<string>) {
  const queries = useQueryClient()
  const address = computed(() => `/api/lists/${encodeURIComponent(list.value)}/desk/views`)
  const key = computed(() => ['views', list.value])
  const view = shallowRef<View>(USUAL_VIEW)

  const { data } = useQuery({
    queryKey: key,
    queryFn: () => send<Schemas['OwnView'][]>(address.value),
    staleTime: Infinity,
  })
  const kept = computed(() => (data.value ?? []).map(known))
  /** Those that were kept, and the usual one, which is always there. */
  const views = computed(() =>
    kept.value.some((one) => one.name === USUAL_VIEW.name)
      ? kept.value
      : [...kept.value, USUAL_VIEW],
  )

  watch(
    views,
    (all) => {
      view.value = all[0] ?? USUAL_VIEW
    },
    { immediate: true },
  )

  async function keep(all: readonly View[]): Promise<void> {
    const answer = await sendJson<Schemas['OwnView'][]>('PUT', address.value, { views: all })
    queries.setQueryData(key.value, answer)
  }

  /** Lays the desk out so, now and the next time. */
  function use(next: View): void {
    view.value = next
    void keep([next, ...kept.value.filter((one) => one.name !== next.name)])
  }

  return { view, views, use, save: keep }
}

/** Without columns that are not there any more. */
function known(view: Schemas['OwnView']): View {
  const columns = view.columns.filter((id) => columnOf(id)) as View['columns']
  return {
    name: view.name,
    columns: columns.length ? columns : USUAL_VIEW.columns,
    sortBy: columnOf(view.sortBy)?.id ?? USUAL_VIEW.sortBy,
    descending: view.descending,
    groupBy: columnOf(view.groupBy)?.id ?? '',
  }
}
