import type { ClientRateLimitInfo, Options, Store } from 'express-rate-limit'
import type { Sql } from '../db/db.ts'

/** Rows whose time is over go after so many requests. */
const CLEARED_EVERY = 500

/** Counts of requests in the database, so that several processes count together. */
export class RateLimitStore implements Store {
  private windowMs = 60_000
  private asked = 0

  constructor(
    private readonly db: Sql,
    readonly prefix: string,
  ) {}

  init(options: Options): void {
    this.windowMs = options.windowMs
  }

  /**
   * A window that would end much later than one begun now was begun by a clock that was ahead: it is begun anew. Not one
   * that ends a little later: of several at once the one that began first may be written last.
   */
  async increment(key: string): Promise<ClientRateLimitInfo> {
    if (++this.asked % CLEARED_EVERY === 0) await this.db.query('delete from asked where until < now()')
    const { rows } = await this.db.query<{ times: number; until: string }>(
      `insert into asked as a (who, times, until) values ($1, 1, now() + $2 * interval '1 millisecond')
       on conflict (who) do update set
         times = case when a.until < now() or a.until > excluded.until + interval '1 minute' then 1 else a.times + 1 end,
         until = case when a.until < now() or a.until > excluded.until + interval '1 minute' then excluded.until else a.until end
       returning times, until`,
      [this.prefix + key, this.windowMs],
    )
    return { totalHits: rows[0]!.times, resetTime: new Date(rows[0]!.until) }
  }

  async decrement(key: string): Promise<void> {
    await this.db.query('update asked set times = times - 1 where who = $1 and times > 0', [this.prefix + key])
  }

  async resetKey(key: string): Promise<void> {
    await this.db.query('delete from asked where who = $1 or until < now()', [this.prefix + key])
  }
}
