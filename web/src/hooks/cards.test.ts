import { expect, it } from 'vitest'
import { cardsOf } from './cards'

it('shows the text of a card without its marks, and no card of a refusal', () => {
  const card = { uuid: 'u', detail: '**Due\\*.**\n\nSince 3 May\\_2025.' }
  expect(cardsOf(JSON.stringify({ cards: [card] }))[0]?.detail).toBe('Due*.\n\nSince 3 May_2025.')
  expect(cardsOf('{"status": 401}')).toEqual([])
})
