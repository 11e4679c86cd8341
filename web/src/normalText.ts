/** White space as Unicode has it, and as the server does. */
const SPACES = /[\t-\r\u0085\p{Z}]+/gu

/** What only has to be written small: most of it, and thousands of words are compared while somebody types. */
const PLAIN = /^(?:[!-~]+(?: [!-~]+)*)?$/

/**
 * Text as it is compared (criteria.md, section 1, text): Unicode NFKC, lower case, runs of white space to one space, ends
 * trimmed.
 */
export function normalText(text: string): string {
  if (PLAIN.test(text)) {
    return text.toLowerCase()
  }
  return text.normalize('NFKC').toLowerCase().replaceAll(SPACES, ' ').replaceAll(/^ | $/g, '')
}

export function sameText(one: string, other: string): boolean {
  return normalText(one) === normalText(other)
}
