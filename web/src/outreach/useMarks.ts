import { sentenceOf } from '@/api/client'
import { computed, shallowRef } from 'vue'
import type { DeskRow } from './queues'
import type { Marked, useDeskPages } from './useDeskPages'

type Pages = Pick<
  ReturnType<typeof useDeskPages>,
  'rows' | 'places' | 'row' | 'answered' | 'everybody'
>

function markOf(one: DeskRow | undefined): Marked | undefined {
  return (
    one && {
      person: one.person.id,
      revision: one.revision,
      standing: one.standing,
      mine: one.inHand?.mine ?? false,
    }
  )
}

/** Who is marked at a desk, and whom an act is about: all that are marked, else the one in hand. */
export function useMarks(
  { rows, places, row, answered, everybody }: Pages,
  warn: (summary: string) => void,
) {
  /** By number, as they were seen. */
  const marked = shallowRef<ReadonlyMap<string, Marked>>(new Map())

  function rowOf(person: string): DeskRow | undefined {
    return rows.value.get(places.value.get(person) ?? -1)
  }

  const targets = computed<readonly Marked[]>(() =>
    marked.value.size > 0
      ? [...marked.value.values()].map((one) => markOf(rowOf(one.person)) ?? one)
      : [markOf(row.value)].filter((one) => one !== undefined),
  )

  function clear(): void {
    marked.value = new Map()
  }

  function mark(one: DeskRow): void {
    const next = new Map(marked.value)
    const now = markOf(one)
    if (now && !next.delete(one.person.id)) {
      next.set(one.person.id, now)
    }
    marked.value = next
  }

  /** All of this pile, also those who are not in sight; or nobody, where all are. */
  async function markAll(): Promise<void> {
    if (marked.value.size >= (answered.value?.total ?? 0)) {
      clear()
      return
    }
    try {
      const all = await everybody()
      marked.value = new Map(all.map((one) => [one.person, one]))
    } catch (failure) {
      warn(sentenceOf(failure))
    }
  }

  return {
    marked,
    markedIds: computed(() => new Set(marked.value.keys())),
    targets,
    rowOf,
    clear,
    mark,
    markAll,
  }
}
