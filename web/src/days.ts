/** A calendar day as ISO 8601 writes it, from the local day of a date picker. */
export function toIso(day: Date): string {
  const two = (number: number) => String(number).padStart(2, '0')
  const year = String(day.getFullYear()).padStart(4, '0')
  return `${year}-${two(day.getMonth() + 1)}-${two(day.getDate())}`
}

/** The local midnight of a calendar day, for a date picker; nothing where there is no day. */
export function fromIso(iso: string): Date | null {
  const [year, month, day] = iso.split('-').map(Number)
  return year && month && day ? new Date(year, month - 1, day) : null
}

/** A calendar day in words: 23 Nov 2026. */
export function dayWords(iso: string): string {
  return (
    fromIso(iso)
      ?.toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })
      .replace('Sept', 'Sep') ?? iso
  )
}

/** The same without the year, where it is this one. */
export function shortDayWords(iso: string, today: string): string {
  const words = dayWords(iso)
  return iso.slice(0, 4) === today.slice(0, 4) ? words.replace(/ \d{4}$/, '') : words
}

/** An instant in words: 23 Nov 2026, 15:39. */
export function timeWords(instant: string): string {
  return new Date(instant)
    .toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
    .replace('Sept', 'Sep')
}
