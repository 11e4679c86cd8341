import type { Schemas } from '@/api/client'
import type { Role } from '@/session'

export type Account = Schemas['AccountView']

export const ROLES: Record<Role, string> = {
  COORDINATOR: 'coordinator',
  CALLER: 'caller',
  CLINICIAN: 'clinician',
  MANAGER: 'manager',
  ADMINISTRATOR: 'administrator',
}

/** What each role is for, where somebody chooses among them. */
export const ROLE_DOES: Record<Role, string> = {
  COORDINATOR: 'builds criteria, brings records in, shares lists',
  CALLER: 'works the lists',
  CLINICIAN: 'sees people, and excuses them',
  MANAGER: 'sees how lists stand, and the audit log',
  ADMINISTRATOR: 'keeps accounts and records; reads no list',
}
