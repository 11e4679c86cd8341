import type { Schemas } from '@/api/client'

export type Plan = Schemas['ReadingPlanView']

/** A dial as a document has it (criteria.md section 4). */
export interface DialOfSet {
  name: string
  label?: string
  default: unknown
  choices?: unknown[]
}

function ordinal(day: number): string {
  const last = day % 10
  const teens = day > 10 && day < 20
  return `${String(day)}${teens ? 'th' : last === 1 ? 'st' : last === 2 ? 'nd' : last === 3 ? 'rd' : 'th'}`
}

/** When a list is read, in one sentence. */
export function planWords(plan: Plan): string {
  const weekday = plan.dayOfWeek.charAt(0) + plan.dayOfWeek.slice(1).toLowerCase()
  const dials = Object.entries(plan.turned).map(([name, value]) => `${name} at ${value}`)
  const turned = dials.length ? `, with ${dials.join(', ')}` : ''
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
