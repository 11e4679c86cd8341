import type { Schemas } from '@/api/client'
import { dayWords } from '@/days'
import { count } from '@/stick'
import type { RouteLocationRaw } from 'vue-router'

/** Something to do, and where. */
export interface ToDo {
  words: string
  to: RouteLocationRaw
}

/**
 * What to do today, the first thing first: whoever was promised a call, whoever a colleague gave up for one, whoever
 * stands at the desk today, and whoever is new.
 *
 * @param coming who comes in this week; nothing while that is not known
 * @param today the practice's day
 */
export function toDo(
  day: Schemas['MyDay'],
  coming: readonly Schemas['ComingIn'][] | undefined,
  today: string,
): ToDo[] {
  const due = day.followUps[0]
  const given = day.handedOver[0]
  const asked = (coming ?? []).filter(
    (one) => one.on === today && one.mention.some((mention) => mention.not === undefined),
  )
  return [
    due && {
      words: `${some(day.followUps.length, 'follow-up is', 'follow-ups are')} due, the first since ${dayWords(due.on)}`,
      to: inHand(due.set, due.person.id),
    },
    given && {
      words: `${people(day.handedOver.length)} handed over to you`,
      to: inHand(given.set, given.person.id),
    },
    asked.length > 0 && {
      words: `${people(asked.length)} to be spoken to, coming in today`,
      to: '/today/coming-in',
    },
    ...day.joined.map((one) => ({
      words: `${people(one.people)} new on ${one.list}`,
      to: { path: `/lists/${encodeURIComponent(one.set)}`, query: { queue: 'joined' } },
    })),
  ].filter((one) => one !== undefined && one !== false)
}

function inHand(set: string, person: string): RouteLocationRaw {
  return { path: `/lists/${encodeURIComponent(set)}`, query: { person } }
}

function people(number: number): string {
  return some(number, 'person', 'people')
}

function some(number: number, one: string, many: string): string {
  return `${count(number)} ${number === 1 ? one : many}`
}
