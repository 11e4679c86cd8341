import type { Schemas } from '@/api/client'

type Crossing = Pick<Schemas['Crossing'], 'after' | 'ahead'>

/** What happens to somebody at the line of the list, in a few words: it will, or it did. */
export function listTurn({ after, ahead }: Crossing): string {
  switch (after) {
    case 'YES':
      return ahead ? 'will join the list' : 'has joined the list'
    case 'NO':
      return ahead ? 'will leave the list' : 'has left the list'
    default:
      return ahead ? 'will be to check' : 'has come to be checked'
  }
}

/** The same at the line of one criterion. */
export function criterionTurn({ after, ahead }: Crossing): string {
  switch (after) {
    case 'YES':
      return ahead ? 'will meet it' : 'has come to meet it'
    case 'NO':
      return ahead ? 'will not meet it' : 'no longer meets it'
    default:
      return ahead ? 'it can’t be told from then' : 'it can’t be told since'
  }
}
