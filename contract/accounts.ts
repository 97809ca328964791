/** Who may come in: an advisor changes places, plans and copies, a trainee names, counts and practises. */
export const accountRoles = ['advisor', 'trainee'] as const
export type AccountRole = (typeof accountRoles)[number]

/** The longest password, in characters: long enough for a sentence; its digest takes any length, a request should not. */
export const LONGEST_PASSWORD = 200
