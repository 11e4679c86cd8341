import { ifMatch, send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { useToast } from 'primevue/usetoast'
import { computed, shallowRef, watch, type Ref } from 'vue'
import { columnsOf, SET_ORDER, USUAL_VIEW, usualView, type Shown, type View } from './columns'

/** How somebody lays out the desk of a list; kept with their account, the one in use first. */
export function useViews(list: Ref<string>, desk: Ref<Schemas['DeskView'] | undefined>) {
  const queries = useQueryClient()
  const toast = useToast()
  const address = computed(() => `/api/lists/${encodeURIComponent(list.value)}/desk/views` as const)
  const key = computed(() => ['views', list.value])
  const view = shallowRef<View>(USUAL_VIEW)
  /** As a text, so that a desk that is read anew and shows the same changes nothing here. */
  const shown = computed(() => JSON.stringify(desk.value?.show ?? []))
  const show = computed(() => JSON.parse(shown.value) as Shown[])
  const isOrdered = computed(() => desk.value?.ordered ?? false)
  const usual = computed(() => usualView(show.value, isOrdered.value))
  const columns = computed(() => columnsOf(show.value))

  const { data, isPending } = useQuery({
    queryKey: key,
    queryFn: () => send<Schemas['OwnViewsKept']>(address.value),
    staleTime: Infinity,
  })
  const kept = computed(() => (data.value?.views ?? []).map(known))
  /** Those that were kept, and the usual one, which is always there. */
  const views = computed(() =>
    kept.value.some((one) => one.name === USUAL_VIEW.name)
      ? kept.value
      : [...kept.value, usual.value],
  )

  watch(
    views,
    (all) => {
      view.value = all[0] ?? usual.value
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

  /** Without columns that are not there any more. */
  function known(one: Schemas['OwnView']): View {
    const find = (id: string) => columns.value.find((column) => column.id === id)?.id
    const left = one.columns.map(find).filter((id) => id !== undefined)
    const bySet = one.sortBy === SET_ORDER && isOrdered.value
    return {
      name: one.name,
      columns: left.length ? left : usual.value.columns,
      sortBy: bySet ? SET_ORDER : (find(one.sortBy) ?? usual.value.sortBy),
      descending: one.descending,
      groupBy: find(one.groupBy) ?? '',
    }
  }

  return { view, views, usual, columns, isPending, use, save: keep }
}
