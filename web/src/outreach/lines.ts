/** A line of the desk: whoever stands at a place in the order, or the heading above those of a group. */
export type Line = { at: number } | { heading: number; first: number; people: number }

/**
 * The lines of so many people.
 *
 * @param groups how many stand under each heading, in their order; none where there are no headings
 */
export function linesOf(total: number, groups: readonly number[]): Line[] {
  const lines: Line[] = []
  if (groups.length === 0) {
    for (let at = 0; at < total; at++) {
      lines.push({ at })
    }
    return lines
  }
  let at = 0
  groups.forEach((people, heading) => {
    lines.push({ heading, first: at, people })
    for (const end = at + people; at < end; at++) {
      lines.push({ at })
    }
  })
  return lines
}

/** On which line somebody stands. */
export function lineOf(at: number, groups: readonly number[]): number {
  let headings = 0
  let first = 0
  for (const people of groups) {
    if (first > at) {
      break
    }
    headings += 1
    first += people
  }
  return at + headings
}
