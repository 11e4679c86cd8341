/** A calendar day as ISO 8601 writes it, from the local day of a date picker. */
export function toIso(day: Date): string {
  const two = (number: number) => String(number).padStart(2, '0')
  const year = String(day.getFullYear()).padStart(4, '0')
  return `${year}-${two(day.getMonth() + 1)}-${two(day.getDate())}`
}

/** The local midnight of a calendar day, for a date picker; nothing where there is no day. */
export function fromIso(iso: string): Date | null {
  const [year, month, day] = iso.split('-').map(Number)
  if (!year || !month || !day) {
    return null
  }
  const local = new Date(2000, 0, 1)
  // Not as a constructor's argument, where years up to 99 are taken for those of the twentieth century.
  local.setFullYear(year, month - 1, day)
  return local
}

/** A calendar day in words: 23 Nov 2026. Years have four digits, as they are typed. */
export function dayWords(iso: string): string {
  const words = fromIso(iso)?.toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })
  return words === undefined ? iso : `${words.replace('Sept', 'Sep')} ${iso.slice(0, 4)}`
}

/** The same without the year, where it is this one. */
export function shortDayWords(iso: string, today: string): string {
  const words = dayWords(iso)
  return iso.slice(0, 4) === today.slice(0, 4) ? words.replace(/ \d{4}$/, '') : words
}

/** A month of ISO 8601 in words: Nov 2026. */
export function monthWords(month: string): string {
  return dayWords(`${month}-01`).replace('1 ', '')
}

/** The practice's time zone; the browser's until it is known. */
let practiceZone: string | undefined

/** Has all times of day be those of the practice, wherever the browser is. */
export function keepZone(zone: string): void {
  practiceZone = zone
}

/** An instant in words, by the practice's clock: 23 Nov 2026, 15:39. */
export function timeWords(instant: string): string {
  return new Date(instant)
    .toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: practiceZone })
    .replace('Sept', 'Sep')
}

/** The calendar day of an instant, by the practice's clock. */
export function dayOfInstant(instant: string): string {
  // Swedish writes days as ISO 8601 does.
  return new Date(instant).toLocaleDateString('sv-SE', { timeZone: practiceZone })
}

const DAY_MS = 86_400_000

/** The number of a calendar day, counted from 1 January 1970. */
export function dayNumber(iso: string): number {
  return Math.round(Date.parse(`${iso}T00:00:00Z`) / DAY_MS)
}

/** The calendar day of a number, as ISO 8601 writes it. */
export function isoOf(day: number): string {
  return new Date(day * DAY_MS).toISOString().slice(0, 10)
}

/** The day from which somebody lacks what they should have; nothing where there is none. */
export function lapseWords(due: string): string {
  return due === 'never' ? 'never met' : due === '' ? '' : dayWords(due)
}

/** As {@link lapseWords}, in a sentence. */
export function dueWords(due: string): string {
  return due === 'never' || due === '' ? lapseWords(due) : `due ${dayWords(due)}`
}
