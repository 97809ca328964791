import { createHash } from 'node:crypto'

/** What is kept of a long random token; it has no need of a slow digest. */
export const digest = (token: string): string => createHash('sha256').update(token).digest('base64url')
