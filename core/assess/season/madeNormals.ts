import type { Region } from '../../flora/flora.ts'

/**
 * Mean temperatures of the months, January first, degrees Celsius: a made year for each region, standing in for a weather
 * station. They belong to no real place, and are called simulated wherever they are shown.
 */
export const madeNormals: Record<Region, readonly number[]> = {
  'cool-humid': [-4, -3, 2, 8, 14, 19, 22, 21, 17, 11, 5, -1],
  transition: [1, 3, 8, 13, 18, 23, 26, 25, 21, 15, 9, 3],
  'warm-humid': [9, 11, 15, 19, 23, 27, 28, 28, 26, 20, 15, 10],
  'semi-arid': [-2, 1, 5, 10, 16, 22, 27, 26, 20, 13, 5, -1],
}

/** Months, 0 to 11, in which a mixture grows at less than a share of its best month between two better ones. */
export function midsummerGap(curve: readonly number[], below = 0.75): number[] {
  return curve.flatMap((x, i) => {
    const before = Math.max(...curve.slice(0, i + 1))
    const after = Math.max(...curve.slice(i))
    return x < below && before >= below && after >= below ? [i] : []
  })
}
