/** A card as a record system is answered (CDS Hooks 2.0), as far as the stand-in shows it. */
export interface Card {
  uuid: string
  summary: string
  detail: string
  indicator: string
  source: { label: string }
  links: readonly { label: string; url: string }[]
  overrideReasons: readonly { code: string; display: string }[]
}

/** Markdown without its marks, as plainly as a small chart shows it. */
function withoutMarks(markdown: string): string {
  return markdown.replace(/\*\*/g, '').replace(/\\(.)/g, '$1')
}

/** The cards of an answer; none where it is no answer but a refusal. */
export function cardsOf(answered: string): readonly Card[] {
  const parsed = JSON.parse(answered) as { cards?: Card[] }
  return (parsed.cards ?? []).map((card) => ({ ...card, detail: withoutMarks(card.detail) }))
}
