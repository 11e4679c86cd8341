import type { Schemas } from '@/api/client'
import { expect, it } from 'vitest'
import { movesOf } from './moves'

type Change = Schemas['ChangeView']

function change(was: Change['was'], nowIs: Change['nowIs']): Change {
  const person = {
    id: was + nowIs,
    name: '',
    born: '',
    age: '',
    phone: '',
    provider: '',
    site: '',
    doNotContact: false,
  }
  return { person, was, nowIs, cause: 'TIME', words: '' }
}

it('sorts changes by what they did, each once', () => {
  const outcomes = ['NO', 'UNSURE', 'YES'] as const
  const changes = outcomes
    .flatMap((was) => outcomes.map((now) => [was, now] as const))
    .filter(([was, now]) => was !== now)
    .map(([was, now]) => change(was, now))
  const moves = movesOf(changes)
  expect(moves.map((move) => [move.name, move.changes.map((one) => one.person.id)])).toEqual([
    ['Joined', ['NOYES', 'UNSUREYES']],
    ['Left', ['YESNO']],
    ['Now to check, was on the list', ['YESUNSURE']],
    ['Now to check', ['NOUNSURE']],
    ['No more to check', ['UNSURENO']],
  ])
})

it('leaves out what nobody did', () => {
  expect(movesOf([])).toEqual([])
})
