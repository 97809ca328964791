import quantile from '@stdlib/stats-base-dists-beta-quantile'
import { remembered } from './remembered.ts'

/**
 * Quantile of the beta distribution, found once for the same share of the same count: a screen that is drawn anew asks for all
 * of them again.
 *
 * @param p probability, 0 to 1
 * @param a first shape, over 0
 * @param b second shape, over 0
 */
export const betaQuantile: (p: number, a: number, b: number) => number = remembered(quantile)
