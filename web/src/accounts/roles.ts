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
export const ROLE_WORDS: readonly { role: Role; does: string }[] = [
  { role: 'COORDINATOR', does: 'builds criteria, brings records in, shares lists' },
  { role: 'CALLER', does: 'works the lists' },
  { role: 'CLINICIAN', does: 'sees people, and excuses them' },
  { role: 'MANAGER', does: 'sees how lists stand, and the audit log' },
  { role: 'ADMINISTRATOR', does: 'keeps accounts and records; reads no list' },
]
