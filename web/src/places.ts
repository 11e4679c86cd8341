import type { Role } from './session'

/** A place of the application, and who has it. */
export interface PlaceOfWork {
  to: string
  name: string
  roles: readonly Role[]
}

const LIST_READERS: readonly Role[] = ['COORDINATOR', 'CALLER', 'CLINICIAN', 'MANAGER']

/** In the order of the strip; somebody begins in the first that they have. */
export const PLACES: readonly PlaceOfWork[] = [
  { to: '/today', name: 'Today', roles: LIST_READERS },
  { to: '/criteria', name: 'Criteria', roles: ['COORDINATOR'] },
  { to: '/lists', name: 'Lists', roles: LIST_READERS },
  { to: '/people', name: 'People', roles: ['COORDINATOR', 'CLINICIAN'] },
  { to: '/records', name: 'Records', roles: ['COORDINATOR', 'ADMINISTRATOR'] },
  { to: '/practice', name: 'Practice', roles: ['COORDINATOR', 'MANAGER', 'ADMINISTRATOR'] },
]

export function placesOf(roles: readonly Role[]): PlaceOfWork[] {
  return PLACES.filter((place) => place.roles.some((role) => roles.includes(role)))
}

/** Whether an address is a place, or something within it. */
export function isWithin(path: string, place: string): boolean {
  return path === place || path.startsWith(`${place}/`)
}

/** Whether somebody with these roles has the place at an address. */
export function has(roles: readonly Role[], path: string): boolean {
  const place = PLACES.find((one) => isWithin(path, one.to))
  return place === undefined || place.roles.some((role) => roles.includes(role))
}

/** The place where somebody begins. */
export function homeOf(roles: readonly Role[]): string {
  return placesOf(roles)[0]?.to ?? '/'
}
