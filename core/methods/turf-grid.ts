import type { Counted, CountingMethod, Uniformity } from './method.ts'
import { asCounted, pilotOfShare, usual } from './parts.ts'

const FEWEST_GRIDS = 3

/** Evenness of a turf: how much the share of the sown plants differs from grid to grid (common practice, no source). */
function uniformityOf({ round, together, leading }: Counted): Uniformity | undefined {
  if (together.totals.length < FEWEST_GRIDS) return undefined
  const sown = round.paddock.sown.filter((t) => together.taxa.includes(t))
  const of = sown.length > 0 ? sown : leading.slice(0, 1)
  if (of.length === 0) return undefined
  const columns = of.map((t) => together.amounts[together.taxa.indexOf(t)]!)
  const shares = Array.from(together.totals, (total, i) => columns.reduce((s, c) => s + c[i]!, 0) / total)
  const mean = shares.reduce((a, b) => a + b, 0) / shares.length
  const sd = Math.sqrt(shares.reduce((s, x) => s + (x - mean) ** 2, 0) / (shares.length - 1))
  return mean > 0 ? { of, mean, cv: sd / mean } : undefined
}

/** First hits at the crossings of a strung grid on close-mown turf. */
export const turfGrid: CountingMethod = {
  ...usual,
  protocol: 'Turf grid',
  unit: 'grid',
  entry: 'points',
  kit: ['strung-grid'],
  minutesEach: 3,
  pilot: pilotOfShare,
  sward: { amounts: asCounted },
  figures: (counted) => ({ uniformity: uniformityOf(counted) }),
}
