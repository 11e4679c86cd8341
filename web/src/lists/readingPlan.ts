import type { Schemas } from '@/api/client'

export type Plan = Schemas['ReadingPlanView']

/** A dial as a document has it (criteria.md section 4). */
export interface DialOfSet {
  name: string
  label?: string
  default: unknown
  choices?: unknown[]
}

/** The dials that the set of a list has; none before its plan is there. */
export function dialsOf(plan: Plan | undefined): readonly DialOfSet[] {
  const dials: unknown = plan?.dials
  return Array.isArray(dials) ? (dials as DialOfSet[]) : []
}

/** Those that are set to something; the others stay as the set has them. */
export function settingsOf(turned: Record<string, string>): Record<string, string> {
  return Object.fromEntries(Object.entries(turned).filter(([, value]) => value.trim() !== ''))
}

function ordinal(day: number): string {
  const last = day % 10
  const teens = day > 10 && day < 20
  return `${String(day)}${teens ? 'th' : last === 1 ? 'st' : last === 2 ? 'nd' : last === 3 ? 'rd' : 'th'}`
}

/** What dials are set to that are not at their default; empty where none is. */
export function turnedWords(turned: Record<string, string>): string {
  const dials = Object.entries(turned).map(([name, value]) => `${name} at ${value}`)
  return dials.length ? `with ${dials.join(', ')}` : ''
}

/** When a list is read, in one sentence. */
export function planWords(plan: Plan): string {
  const weekday = plan.dayOfWeek.charAt(0) + plan.dayOfWeek.slice(1).toLowerCase()
  const words = turnedWords(plan.turned)
  const turned = words ? `, ${words}` : ''
  switch (plan.every) {
    case 'DAY':
      return `Read every day at ${plan.at}${turned}.`
    case 'WEEK':
      return `Read every ${weekday} at ${plan.at}${turned}.`
    case 'MONTH':
      return `Read on the ${ordinal(plan.dayOfMonth)} of every month at ${plan.at}${turned}.`
    case 'NEVER':
      return `Not read by itself${turned}.`
  }
}
