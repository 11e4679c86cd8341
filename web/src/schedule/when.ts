import type { Schemas } from '@/api/client'

/** When something is done by itself, in the practice's time. */
export type When = Pick<Schemas['ReadingPlanView'], 'every' | 'dayOfWeek' | 'dayOfMonth' | 'at'>

function ordinal(day: number): string {
  const last = day % 10
  const teens = day > 10 && day < 20
  return `${String(day)}${teens ? 'th' : last === 1 ? 'st' : last === 2 ? 'nd' : last === 3 ? 'rd' : 'th'}`
}

/** MONDAY as it is said: Monday. */
export function dayName(day: When['dayOfWeek']): string {
  return day.charAt(0) + day.slice(1).toLowerCase()
}

/** As in “every day at 06:00”; empty where it is not done by itself. */
export function whenWords(when: When): string {
  switch (when.every) {
    case 'DAY':
      return `every day at ${when.at}`
    case 'WEEK':
      return `every ${dayName(when.dayOfWeek)} at ${when.at}`
    case 'MONTH':
      return `on the ${ordinal(when.dayOfMonth)} of every month at ${when.at}`
    case 'NEVER':
      return ''
  }
}
