import type { Section } from './document'

/** What each section of a sheet is called. */
export const NAMES: Record<Section, string> = {
  INCLUDE: 'Include',
  EXCLUDE: 'Exclude',
  SHOULD_HAVE: 'Should have',
}

/** Where its criteria are in the document (RFC 6901). */
export const KEYS: Record<Section, string> = {
  INCLUDE: '/include',
  EXCLUDE: '/exclude',
  SHOULD_HAVE: '/shouldHave/of',
}

/** What may be typed there. */
export const EXAMPLES: Record<Section, string> = {
  INCLUDE: 'aged 50 to 74',
  EXCLUDE: 'status is moved away',
  SHOULD_HAVE: 'visit in the last 12 months',
}

/** What is so where nothing stands there. */
export const HINTS: Record<Section, string> = {
  INCLUDE: 'Nobody is left out yet: everybody counts. Add whom this is about.',
  EXCLUDE: 'Nobody is exempt. Add to whom it does not apply.',
  SHOULD_HAVE: 'Nothing is asked for, so everybody eligible is on the list.',
}
