/** The units of a period, by their letter in ISO 8601. */
export const PERIOD_UNITS = [
  { letter: 'D', name: 'days' },
  { letter: 'W', name: 'weeks' },
  { letter: 'M', name: 'months' },
  { letter: 'Y', name: 'years' },
] as const

export type PeriodUnit = (typeof PERIOD_UNITS)[number]['letter']

export interface SimplePeriod {
  amount: number
  unit: PeriodUnit
}

/** A period of one unit; nothing where it has several, which is then edited as it is written. */
export function simplePeriod(written: string): SimplePeriod | undefined {
  const form = /^P(\d{1,5})([DWMY])$/.exec(written)
  return form ? { amount: Number(form[1]), unit: form[2] as PeriodUnit } : undefined
}

export function writtenPeriod(period: SimplePeriod): string {
  return `P${String(period.amount)}${period.unit}`
}
