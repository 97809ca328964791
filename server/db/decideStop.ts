import { isDeepStrictEqual } from 'node:util'
import type { Stop } from '@/core/records/round.ts'

/** Who writes a stop, and what they knew of it. */
export interface Writer {
  /** The device; empty for a file that was opened. */
  by: string
  /** Version of the stop that was on the screen when it was changed; below 0: none of this server's. */
  base: number
  /** Id of the command, the same each time it is sent. */
  command?: string | undefined
  /** Commands that this one takes the place of: whether one of them arrived is not known there. */
  after?: string[] | undefined
  /** The stop was added on the way, not planned: another device may have added one of the same number. */
  added?: boolean | undefined
}

/** The stop that stands there now, and who wrote it last. */
export interface Standing {
  id: string
  version: number
  by: string
  command: string | null
}

/** What becomes of a stop that is sent; `elsewhere`: somebody else wrote what stands, so it may only stay if it is the same. */
export type Decision = 'write' | 'repeated' | 'elsewhere' | 'renumber'

/**
 * Whether a stop may take the place of the one that stands. It may where its writer saw what stands, or wrote it; a count
 * that another page or device made meanwhile is never written over.
 *
 * @param writer left out where nobody could have seen an earlier version, as a fresh import
 */
export function decideStop(standing: Standing, sent: Pick<Stop, 'id'>, writer?: Writer): Decision {
  if (!writer) return 'write'
  const { id, version, command } = standing
  if (writer.added && id !== sent.id) return 'renumber'
  if (command !== null && command === writer.command) return 'repeated'
  if (command !== null && writer.after?.includes(command)) return 'write'
  if (writer.base === version || (version === 0 && writer.base >= 0)) return 'write'
  // A version of this app that names no commands: its own device may go on.
  if (writer.command === undefined && writer.by !== '' && writer.by === standing.by) return 'write'
  return 'elsewhere'
}

/** What was seen at a stop, as plain data: fields that are not set do not count. */
type Seen = Pick<Stop, 'hits' | 'measures' | 'skipped'>
const seenIn = ({ hits, measures, skipped }: Seen): unknown => JSON.parse(JSON.stringify({ hits, measures, skipped }))

/** Whether two pages saw the same at a stop. */
export const sameSeen = (a: Seen, b: Seen): boolean => isDeepStrictEqual(seenIn(a), seenIn(b))
