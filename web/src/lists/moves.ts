import type { Schemas } from '@/api/client'

type Moved = Schemas['Moved']

/** What happened to some people between two readings. */
export interface Move {
  name: string
  people: Moved[]
}

/** People by what happened to their place on the list; moves that nobody made are left out. */
export function movesOf(people: readonly Moved[]): Move[] {
  const some = (name: string, which: (one: Moved) => boolean) => ({
    name,
    people: people
      .filter((one) => one.was !== one.nowIs && which(one))
      .sort((one, other) => one.person.name.localeCompare(other.person.name)),
  })
  return [
    some('Joined', (one) => one.nowIs === 'ON'),
    some('Left', (one) => one.was === 'ON' && one.nowIs === 'OFF'),
    some('Now to check, was on the list', (one) => one.was === 'ON' && one.nowIs === 'CHECK'),
    some('Now to check', (one) => one.was === 'OFF' && one.nowIs === 'CHECK'),
    some('No more to check', (one) => one.was === 'CHECK' && one.nowIs === 'OFF'),
  ].filter((move) => move.people.length > 0)
}
