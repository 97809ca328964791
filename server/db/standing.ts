import { mergeRecord, sameValue, type Plain } from '@/core/records/merge.ts'
import type { Db, Sql } from './db.ts'

/** How a kind of record is read, written and taken out. */
export interface Keeper<T extends object> {
  get: (sql: Sql, id: string) => Promise<T | undefined>
  put: (sql: Sql, value: T) => Promise<unknown>
  /** Left out where it is never taken out. */
  drop?: (sql: Sql, id: string) => Promise<unknown>
  /** Fields whose items stand for themselves: two people may add to them. */
  lists?: readonly (keyof T & string)[]
}

/** What stands now, or what somebody else wrote that cannot be put together with what was sent; null: it was taken out. */
export type Written<T> = { stands: T | null } | { theirs: T | null }

/**
 * What becomes of a record: one that was changed meanwhile is never written over unseen. What can be put together is, field
 * by field; where both sides changed the same it stays as it stands. Sent twice it is written once.
 *
 * @param mine what was sent; null where it is to be taken out
 * @param seen what its writer had seen or sent of it, the earliest first, null where there was none; left out by a version of
 *   this app that does not say: then it is written as it comes
 */
export function decideRecord<T extends object>(
  stands: T | null,
  mine: T | null,
  seen: readonly (Plain | null)[] | undefined,
  lists: readonly string[] = [],
): Written<T> {
  if (seen === undefined || sameValue(mine, stands)) return { stands: mine }
  const known = seen.length > 0 ? seen : [null]
  if (known.some((s) => sameValue(s, stands))) return { stands: mine }
  // What was changed meanwhile is not taken out, and what was taken out is not brought back, without a word.
  if (stands === null) return mine === null || known.some((s) => sameValue(s, mine)) ? { stands } : { theirs: null } // prettier-ignore
  if (mine === null) return { theirs: stands }
  const merge = mergeRecord(known[0]!, mine as Plain, stands as Plain, lists)
  return 'merged' in merge ? { stands: merge.merged as T } : { theirs: stands }
}

/** Write a record, or take it out, on top of what its writer had seen; see `decideRecord`. */
export async function writeRecord<T extends object>(
  db: Db,
  keeper: Keeper<T>,
  id: string,
  mine: T | null,
  seen: readonly (Plain | null)[] | undefined,
): Promise<Written<T>> {
  return db.transaction(async (sql) => {
    // A record that is not there yet has no row that could be locked.
    await sql.query('select pg_advisory_xact_lock(hashtextextended($1, 0))', [id])
    const stands = (await keeper.get(sql, id)) ?? null
    const decided = decideRecord(stands, mine, seen, keeper.lists)
    if (!('stands' in decided) || sameValue(decided.stands, stands)) return decided
    await (decided.stands === null ? keeper.drop?.(sql, id) : keeper.put(sql, decided.stands))
    return decided
  })
}
