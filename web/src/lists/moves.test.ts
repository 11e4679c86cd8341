import type { Schemas } from '@/api/client'
import { expect, it } from 'vitest'
import { movesOf } from './moves'

type Moved = Schemas['Moved']

function moved(was: Moved['was'], nowIs: Moved['nowIs']): Moved {
  const person = {
    id: `${was} to ${nowIs}`,
    name: '',
    born: '',
    age: '',
    phone: '',
    provider: '',
    site: '',
    doNotContact: false,
  }
  return { person, was, nowIs, words: '', dueWas: '', dueIs: '', bandWas: '', bandIs: '' }
}

it('sorts people by what happened to their place, each once, without those who stayed', () => {
  const places = ['OFF', 'CHECK', 'ON'] as const
  const people = places.flatMap((was) => places.map((now) => moved(was, now)))
  const moves = movesOf(people)
  expect(moves.map((move) => [move.name, move.people.map((one) => one.person.id)])).toEqual([
    ['Joined', ['OFF to ON', 'CHECK to ON']],
    ['Left', ['ON to OFF']],
    ['Now to check, was on the list', ['ON to CHECK']],
    ['Now to check', ['OFF to CHECK']],
    ['No more to check', ['CHECK to OFF']],
  ])
})

it('leaves out what nobody did', () => {
  expect(movesOf([])).toEqual([])
})
