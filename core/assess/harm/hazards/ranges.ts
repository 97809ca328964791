import type { Share } from '../../../survey/composition.ts'
import type { Hazard } from '../../../flora/flora.ts'
import type { HazardFacts, Range } from './hazard.ts'

/** The ends of a share, 0 to 1. A single stop tells of no end: all of it or none. */
export const ends = ({ interval }: Share): Range => interval ?? [0, 1]

/**
 * What of a substance comes with the plants of a sward: the sum of share times amount over the plants that hold it. Low ends go
 * together and so do high ones, which is the widest that it can be.
 *
 * @param amounts range of each plant, in any unit; a plant without one adds nothing
 */
export function inDiet(facts: HazardFacts, amounts: Hazard['amounts'], carriers: readonly string[]): Range {
  let [low, high] = [0, 0]
  for (const id of carriers) {
    const amount = amounts?.[id]
    if (!amount) continue
    const share = ends(facts.share([id]))
    low += share[0] * amount[0]
    high += share[1] * amount[1]
  }
  return [low, high]
}

/** Month of a day, 1 to 12; for what goes by season there is `northernMonthOf`. */
export const monthOf = (day: string): number => Number(day.slice(5, 7))

/** A share as percent with one decimal: figures of codes are plain numbers. */
export const pct = (share: number): number => Math.round(share * 1000) / 10

/** Days from one day to another, both ISO; below 0 where the second lies before the first. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T12:00:00Z`) - Date.parse(`${from}T12:00:00Z`)) / 86_400_000)
