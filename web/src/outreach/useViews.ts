import { ifMatch, send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { useToast } from 'primevue/usetoast'
import { computed, shallowRef, watch, type Ref } from 'vue'
import { columnOf, USUAL_VIEW, type View } from './columns'

/** How somebody lays out the desk of a list; kept with their account, the one in use first. */
export function useViews(list: Ref<string>) {
  const queries = useQueryClient()
  const toast = useToast()
  const address = computed(() => `/api/lists/${encodeURIComponent(list.value)}/desk/views`)
  const key = computed(() => ['views', list.value])
  const view = shallowRef<View>(USUAL_VIEW)

  const { data } = useQuery({
    queryKey: key,
    queryFn: () => send<Schemas['OwnViewsKept']>(address.value),
    staleTime: Infinity,
  })
  const kept = computed(() => (data.value?.views ?? []).map(known))
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

  /** One after another, each from the revision that the one before it made. */
  let last: Promise<void> = Promise.resolve()

  function keep(all: readonly View[]): Promise<void> {
    const at = key.value
    const to = address.value
    last = last
      .catch(() => undefined)
      .then(async () => {
        const revision = queries.getQueryData<Schemas['OwnViewsKept']>(at)?.revision
        try {
          const answer = await sendJson<Schemas['OwnViewsKept']>(
            'PUT',
            to,
            { views: all },
            ifMatch(revision),
          )
          queries.setQueryData(at, answer)
        } catch (failure) {
          await queries.invalidateQueries({ queryKey: at })
          throw failure
        }
      })
    return last
  }

  /** Lays the desk out so, now and the next time. */
  function use(next: View): void {
    view.value = next
    keep([next, ...kept.value.filter((one) => one.name !== next.name)]).catch(
      (failure: unknown) => {
        toast.add({ severity: 'warn', summary: sentenceOf(failure), life: 9000 })
      },
    )
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
