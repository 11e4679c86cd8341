import { has, type Duty, type Role } from './session'

/** A place of the application, and whose it is: of who has any of these duties. */
export interface PlaceOfWork {
  to: string
  name: string
  duties: readonly Duty[]
}

/** In the order of the strip; somebody begins in the first that they have. */
export const PLACES: readonly PlaceOfWork[] = [
  { to: '/today', name: 'Today', duties: ['READ_LISTS'] },
  { to: '/criteria', name: 'Criteria', duties: ['COORDINATE'] },
  { to: '/lists', name: 'Lists', duties: ['READ_LISTS'] },
  { to: '/people', name: 'People', duties: ['SEE_PEOPLE'] },
  { to: '/records', name: 'Records', duties: ['BRING_RECORDS_IN'] },
  {
    to: '/practice',
    name: 'Practice',
    duties: ['REVIEW_WORK', 'KEEP_LETTERHEAD', 'READ_AUDIT_LOG', 'KEEP_HOUSE'],
  },
]

function isTheirs(place: PlaceOfWork, roles: readonly Role[]): boolean {
  return place.duties.some((duty) => has(roles, duty))
}

export function placesOf(roles: readonly Role[]): PlaceOfWork[] {
  return PLACES.filter((place) => isTheirs(place, roles))
}

/** Whether an address is a place, or something within it. */
export function isWithin(path: string, place: string): boolean {
  return path === place || path.startsWith(`${place}/`)
}

/** Whether somebody with these roles has the place at an address. */
export function mayGoTo(path: string, roles: readonly Role[]): boolean {
  const place = PLACES.find((one) => isWithin(path, one.to))
  return place === undefined || isTheirs(place, roles)
}

/** The place where somebody begins. */
export function homeOf(roles: readonly Role[]): string {
  return placesOf(roles)[0]?.to ?? '/'
}
