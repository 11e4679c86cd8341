/** A day as the date picker knows it. */
interface PickerDay {
  day: number
  /** From 0 for January. */
  month: number
  year: number
}

/**
 * Names each day of a date picker in full, for who hears it: “Sunday 29 November 2026” instead of “29” (WCAG 2.2, 2.4.6).
 */
export const namedDays = {
  // By itself it has the focus, but no role that may be chosen.
  day: ({ context }: { context: { date: PickerDay; selected: boolean; disabled: boolean } }) => ({
    role: 'button',
    'aria-label': nameOf(context.date),
    'aria-pressed': context.selected,
    'aria-selected': null,
    'aria-disabled': context.disabled || null,
  }),
}

export function nameOf({ day, month, year }: PickerDay): string {
  return new Date(year, month, day)
    .toLocaleDateString('en-GB', {
      weekday: 'long',
      day: 'numeric',
      month: 'long',
      year: 'numeric',
    })
    .replace(',', '')
}
