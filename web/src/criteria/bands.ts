import { withKey, type CriteriaDocument, type JsonObject } from './document'

/** How urgent somebody on the list is (criteria.md, section 4). */
export interface Band extends JsonObject {
  name: string
  when: JsonObject
}

export function bandsOf(document: CriteriaDocument): Band[] {
  return (document.bands ?? []) as Band[]
}

function withBands(document: CriteriaDocument, bands: Band[]): CriteriaDocument {
  return withKey(document, 'bands', bands.length ? bands : undefined) as CriteriaDocument
}

/** Adds a band by a name that no other has; before the one of everybody else, who would hide it. */
export function addBand(
  document: CriteriaDocument,
  name: string,
  when: JsonObject,
): CriteriaDocument {
  const bands = bandsOf(document)
  const taken = new Set(bands.map((one) => one.name))
  let free = name
  for (let n = 2; taken.has(free); n++) {
    free = `${name} (${String(n)})`
  }
  const rest = bands.findIndex(isOfOthers)
  const at = rest < 0 || isOfOthers({ name, when }) ? bands.length : rest
  return withBands(document, bands.toSpliced(at, 0, { name: free, when }))
}

/** Whether everybody is in it who is in none before. */
export function isOfOthers({ when }: Band): boolean {
  return Array.isArray(when.all) && when.all.length === 0
}

export function changeBand(
  document: CriteriaDocument,
  at: number,
  change: (band: Band) => Band,
): CriteriaDocument {
  return withBands(
    document,
    bandsOf(document).map((band, index) => (index === at ? change(band) : band)),
  )
}

export function removeBand(document: CriteriaDocument, at: number): CriteriaDocument {
  return withBands(document, bandsOf(document).toSpliced(at, 1))
}

/** Moves a band to stand before another; at the end where there is none. */
export function moveBand(document: CriteriaDocument, from: number, to: number): CriteriaDocument {
  const bands = bandsOf(document)
  const moved = bands[from]
  return moved && to >= 0 && to <= bands.length
    ? withBands(document, bands.toSpliced(from, 1).toSpliced(to > from ? to - 1 : to, 0, moved))
    : document
}
