/** Where what is known of one's own sessions is kept. */
export const SESSIONS = ['own', 'sessions'] as const
