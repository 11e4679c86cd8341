import type { Schemas } from '@/api/client'
import { whenWords } from '@/schedule'

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

/** Where a dial stands in its set, as it would be set to it. */
export function startOf({ default: start }: DialOfSet): string {
  return Array.isArray(start) ? start.map(String).join('; ') : String(start)
}

/** Those that are set to something; the others stay as the set has them. */
export function settingsOf(turned: Record<string, string>): Record<string, string> {
  return Object.fromEntries(Object.entries(turned).filter(([, value]) => value.trim() !== ''))
}

/** What dials are set to that are not at their default; empty where none is. */
export function turnedWords(turned: Record<string, string>): string {
  const dials = Object.entries(turned).map(([name, value]) => `${name} at ${value}`)
  return dials.length ? `with ${dials.join(', ')}` : ''
}

/** When a list is read, in one sentence. */
export function planWords(plan: Plan): string {
  const words = turnedWords(plan.turned)
  const turned = words ? `, ${words}` : ''
  const when = whenWords(plan)
  return `${when ? `Read ${when}` : 'Not read by itself'}${turned}.`
}
