/** Text that is cut where it is longer than there is room, between characters, with a last one that says so. */
export function shortened(text: string, most: number): string {
  const characters = [...text]
  return characters.length > most
    ? `${characters
        .slice(0, most - 1)
        .join('')
        .trimEnd()}…`
    : text
}
