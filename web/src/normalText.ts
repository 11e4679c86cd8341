/** White space as Unicode has it, and as the server does. */
const SPACES = /[\t-\r\u0085\p{Z}]+/gu

/**
 * Text as it is compared (criteria.md, section 1, text): Unicode NFKC, lower case, runs of white space to one space, ends
 * trimmed.
 */
export function normalText(text: string): string {
  return text.normalize('NFKC').toLowerCase().replaceAll(SPACES, ' ').replaceAll(/^ | $/g, '')
}

export function sameText(one: string, other: string): boolean {
  return normalText(one) === normalText(other)
}
