import type { Schemas } from '@/api/client'

type Change = Schemas['ChangeView']

/** What happened to some people between two readings. */
export interface Move {
  name: string
  changes: Change[]
}

/** Changes by what they did to a place on the list; moves that nobody made are left out. */
export function movesOf(changes: readonly Change[]): Move[] {
  const some = (name: string, which: (change: Change) => boolean) => ({
    name,
    changes: changes
      .filter(which)
      .sort((one, other) => one.person.name.localeCompare(other.person.name)),
  })
  return [
    some('Joined', (one) => one.nowIs === 'YES'),
    some('Left', (one) => one.was === 'YES' && one.nowIs === 'NO'),
    some('Now to check, was on the list', (one) => one.was === 'YES' && one.nowIs === 'UNSURE'),
    some('Now to check', (one) => one.was === 'NO' && one.nowIs === 'UNSURE'),
    some('No more to check', (one) => one.was === 'UNSURE' && one.nowIs === 'NO'),
  ].filter((move) => move.changes.length > 0)
}
