import type { Plant, Region } from './flora.ts'

/** Regions south of the line: their seasons stand half a year from those in which the book is written. */
const southern: ReadonlySet<Region> = new Set(['southern-australasia'])

export const isSouthern = (region: Region | undefined): boolean => region !== undefined && southern.has(region)

/** Half a year on. @param month 1 to 12 */
const turned = (month: number): number => ((month + 5) % 12) + 1

/**
 * The month of the north in which a season stands as it does here: what the book says of months is northern.
 *
 * @param month of the calendar, 1 to 12
 */
export const northernMonth = (month: number, region: Region | undefined): number =>
  isSouthern(region) ? turned(month) : month

/** The season of an ISO day as a month of the north, 1 to 12. */
export const northernMonthOf = (day: string, region: Region | undefined): number =>
  northernMonth(Number(day.slice(5, 7)), region)

/** Whether a plant is in growth in a month of the calendar, 1 to 12. */
export const growsIn = (plant: Pick<Plant, 'months'>, month: number, region: Region | undefined): boolean =>
  plant.months.includes(northernMonth(month, region))

/** Months of the calendar, 1 to 12, in which a plant is in growth in a region. */
export const monthsOfGrowth = (plant: Pick<Plant, 'months'>, region: Region | undefined): number[] =>
  isSouthern(region) ? plant.months.map(turned).sort((a, b) => a - b) : plant.months
