/** Covers that are nearer than this, as shares, nobody tells apart by eye; common practice, no source. */
const ALIKE = 0.03

/**
 * Whether plants were put in order by cover. Two that are alike may stand either way, as equal ranks are shared out in dry-weight rank.
 *
 * @param covers shares 0 to 1, in the order in which their plants were said, the most first
 */
export const isRanked = (covers: readonly number[]): boolean =>
  covers.every((here, i) => covers.slice(i + 1).every((later) => later - here <= ALIKE))

/** Whether two of them are alike, so that more than one order is right. */
export const hasAlike = (covers: readonly number[]): boolean =>
  covers.some((a, i) => covers.slice(i + 1).some((b) => Math.abs(a - b) <= ALIKE))
