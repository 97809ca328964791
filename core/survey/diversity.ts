/** Amounts of the species of a plot or a round; zeros count as absent. */
const present = (amounts: number[]) => amounts.filter((a) => a > 0)

function shares(amounts: number[]): number[] {
  const here = present(amounts)
  const total = here.reduce((a, b) => a + b, 0)
  if (!(total > 0)) throw new RangeError('no plant was recorded: diversity is not defined')
  return here.map((a) => a / total)
}

/** Number of species with any amount. */
export const richness = (amounts: number[]): number => present(amounts).length

/**
 * Shannon's index, -sum(p ln p), natural logarithm.
 *
 * @param amounts hits or cover, 0 or more
 * @throws RangeError nothing recorded
 */
export function shannon(amounts: number[]): number {
  return -shares(amounts).reduce((s, p) => s + p * Math.log(p), 0)
}

/**
 * Simpson's index, 1 - sum(p^2): the chance that two draws are of different species.
 *
 * @throws RangeError nothing recorded
 */
export function simpson(amounts: number[]): number {
  return 1 - shares(amounts).reduce((s, p) => s + p * p, 0)
}

/**
 * Effective number of species of order 1, exp(Shannon). Source: Hill 1973.
 *
 * @throws RangeError nothing recorded
 */
export const effectiveSpecies = (amounts: number[]): number => Math.exp(shannon(amounts))

/**
 * Pielou's evenness, Shannon over the logarithm of richness, 0 to 1; undefined for a single species.
 *
 * @throws RangeError nothing recorded
 */
export function evenness(amounts: number[]): number | undefined {
  const n = richness(amounts)
  return n > 1 ? shannon(amounts) / Math.log(n) : undefined
}
