import type { Region } from '../../flora/flora.ts'
import type { Normals } from './climate.ts'

/**
 * Means of the months, January first: a made year for each region, standing in for a weather station. They belong to no
 * real place, and are called simulated wherever they are shown.
 */
export const madeNormals: Record<Region, Normals> = {
  'cool-humid': {
    meanC: [-4, -3, 2, 8, 14, 19, 22, 21, 17, 11, 5, -1],
    rainMm: [60, 55, 75, 80, 90, 85, 80, 80, 85, 80, 80, 70],
    latitude: 43,
  },
  transition: {
    meanC: [1, 3, 8, 13, 18, 23, 26, 25, 21, 15, 9, 3],
    rainMm: [85, 80, 100, 95, 110, 95, 100, 85, 80, 80, 90, 90],
    latitude: 38,
  },
  'warm-humid': {
    meanC: [9, 11, 15, 19, 23, 27, 28, 28, 26, 20, 15, 10],
    rainMm: [110, 105, 115, 90, 95, 130, 150, 145, 120, 75, 85, 105],
    latitude: 31,
  },
  'semi-arid': {
    meanC: [-2, 1, 5, 10, 16, 22, 27, 26, 20, 13, 5, -1],
    rainMm: [12, 14, 28, 45, 70, 65, 45, 40, 35, 28, 16, 12],
    latitude: 40,
  },
  'britain-ireland': {
    meanC: [4, 4.5, 6, 8.5, 11.5, 14.5, 16.5, 16, 14, 10.5, 7, 4.5],
    rainMm: [85, 65, 65, 60, 60, 65, 65, 75, 75, 90, 90, 90],
    latitude: 53,
  },
  'western-europe': {
    meanC: [3, 4, 7, 10.5, 14.5, 17.5, 19.5, 19, 15.5, 11.5, 6.5, 3.5],
    rainMm: [65, 55, 60, 55, 65, 65, 65, 65, 65, 70, 70, 75],
    latitude: 48,
  },
  'southern-australasia': {
    meanC: [20.5, 20.5, 18, 14.5, 11.5, 9, 8.5, 9.5, 11.5, 13.5, 16, 18.5],
    rainMm: [35, 32, 40, 52, 65, 68, 72, 75, 68, 60, 48, 40],
    latitude: -38,
  },
}

/** Dry matter of a sward in a year, kg a hectare, fewest and most: usual of a region, a stated guess where nothing was measured. */
export const usualYield: Record<Region, readonly [number, number]> = {
  'cool-humid': [5000, 10_000],
  transition: [5000, 10_000],
  'warm-humid': [6000, 13_000],
  'semi-arid': [800, 3000],
  'britain-ireland': [6000, 12_000],
  'western-europe': [6000, 12_000],
  'southern-australasia': [4000, 10_000],
}

/**
 * Months, 0 to 11, in which a mixture grows at less than a share of its best month between two better ones of one growing
 * year, which begins in January in the north and in July in the south.
 */
export function midsummerGap(curve: readonly number[], { below = 0.6, south = false } = {}): number[] {
  const first = south ? 6 : 0
  const year = curve.map((_, i) => curve[(i + first) % 12]!)
  return year.flatMap((x, i) => {
    const before = Math.max(...year.slice(0, i + 1))
    const after = Math.max(...year.slice(i + 1), 0)
    return x < below && before >= below && after > x * 1.05 ? [(i + first) % 12] : []
  })
}
