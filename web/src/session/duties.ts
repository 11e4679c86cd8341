import type { Schemas } from '@/api/client'
import written from './duties.json'

export type Role = Schemas['SignedIn']['roles'][number]

/** What somebody does here, as the server asks it of each address. */
export type Duty = keyof typeof written

const ROLES: Readonly<Record<Duty, readonly string[]>> = written

/** Whether it is the duty of somebody with these roles: only then pages offer what belongs to it. */
export function has(roles: readonly Role[], duty: Duty): boolean {
  return roles.some((role) => ROLES[duty].includes(role))
}
