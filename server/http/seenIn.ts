import type { Plain } from '@/core/records/merge.ts'
import { told } from '@/contract/told.ts'
import type { Written } from '../db/standing.ts'
import { badRequest, ConflictError } from './httpError.ts'
import { checkPlain } from './parseBody.ts'

/** A page that is away for weeks takes the place of what it typed before; more than so many are not under way. */
const MOST_SEEN = 120

/** What was sent, without what its writer had seen of the record; that is undefined where an earlier version does not say. */
export interface SentBody {
  body: unknown
  seen: (Plain | null)[] | undefined
}

const isPlain = (value: unknown): boolean => value === null || (typeof value === 'object' && !Array.isArray(value))

/** @throws HttpError 400 where `seen` is no list of records */
export function seenIn(sent: unknown): SentBody {
  if (typeof sent !== 'object' || sent === null || !('seen' in sent)) return { body: sent, seen: undefined }
  const { seen, ...body } = sent
  if (!Array.isArray(seen) || seen.length > MOST_SEEN || !seen.every(isPlain))
    throw badRequest(told('What was seen of a record is a list of records.'), 'seen')
  checkPlain(seen, 'seen')
  return { body, seen: seen as (Plain | null)[] }
}

/**
 * What stands now.
 *
 * @throws ConflictError 409 with what somebody else wrote; null: it was taken out
 */
export function standing<T>(written: Written<T>): T | null {
  if ('stands' in written) return written.stands
  if (written.theirs === null) throw new ConflictError(told('This was taken out on another device.'), null)
  throw new ConflictError(told('This was changed on another device too.'), written.theirs)
}
