import type { Schemas } from '@/api/client'
import type { Asked } from './index'
import { markOf } from './rows'

type DeskRow = Schemas['DeskRow']

/** Somebody at a desk, and the piles that they are in. */
export interface Placed {
  row: DeskRow
  queues: Schemas['InQueue']['queue'][]
}

const QUEUES: Schemas['InQueue']['queue'][] = [
  'OPEN',
  'MINE',
  'NOBODYS',
  'DUE',
  'JOINED',
  'CHECK',
  'PROGRESS',
  'WAITING',
  'HELD',
  'EXCUSED',
  'DONE',
]

function parametersOf(asked: Asked): URLSearchParams {
  return new URL(asked.path, 'http://localhost').searchParams
}

/** The people of a desk as a server gives them to whoever asks, in the order in which they are placed. */
export function deskServer(
  placed: readonly Placed[],
  desk: Record<string, unknown>,
  account = 'tam',
) {
  const { parts } = desk.manner as { parts: Schemas['ListPart'][] }

  function partOf(asked: URLSearchParams): Schemas['ListPart'] | undefined {
    return parts.find((part) =>
      asked.has('ownPart') ? part.colleagues.includes(account) : part.name === asked.get('part'),
    )
  }

  function ofPart(asked: URLSearchParams): Placed[] {
    const sites = partOf(asked)?.sites.map((site) => site.toLowerCase()) ?? []
    return placed.filter(
      ({ row }) => sites.length === 0 || sites.includes(row.person.site.toLowerCase()),
    )
  }

  function found(asked: URLSearchParams): DeskRow[] {
    const person = asked.get('person')
    const queue = asked.get('queue')
    return ofPart(asked)
      .filter(({ row }) => person === null || row.person.id === person)
      .filter(({ queues }) => queue === null || queues.some((one) => one === queue))
      .filter(({ row }) => row.person.name.toLowerCase().includes(asked.get('find') ?? ''))
      .map(({ row }) => row)
  }

  return {
    view(one: Asked) {
      const asked = parametersOf(one)
      const all = found(asked)
      const from = Number(asked.get('from') ?? 0)
      return {
        ...desk,
        ordered: false,
        part: partOf(asked)?.name ?? '',
        mine: placed.length,
        queues: QUEUES.map((queue) => ({
          queue,
          people: ofPart(asked).filter(({ queues }) => queues.includes(queue)).length,
        })),
        bands: [],
        beyond: 0,
        total: all.length,
        groups: [],
        rows: all.slice(from, from + Number(asked.get('size') ?? 100)),
      }
    },
    everybody: (one: Asked) => found(parametersOf(one)).map(markOf),
    /** Whoever is free, after the place that is asked from. */
    next(one: Asked) {
      const asked = parametersOf(one)
      const from = Number(asked.get('from'))
      const all = found(asked)
      return { row: [...all.slice(from), ...all.slice(0, from)].find((row) => !row.inHand) }
    },
  }
}
