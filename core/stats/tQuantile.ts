import quantile from '@stdlib/stats-base-dists-t-quantile'
import { remembered } from './remembered.ts'

/**
 * Quantile of Student's t. Plants that were counted at the same stops share their degrees of freedom, and each quantile is a
 * search, so one that was found before is found at once.
 *
 * @param p probability, 0 to 1
 * @param df degrees of freedom, over 0
 */
export const tQuantile: (p: number, df: number) => number = remembered(quantile)
