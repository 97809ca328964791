/** One class of a cover scale, in percent of the frame. */
export interface CoverClass {
  code: string
  fromPercent: number
  toPercent: number
  midPercent: number
}

const cover = (
  code: string,
  fromPercent: number,
  toPercent: number,
  midPercent = (fromPercent + toPercent) / 2,
): CoverClass => ({ code, fromPercent, toPercent, midPercent })

/** Six classes of canopy cover and their mid-points. Source: Daubenmire 1959. */
export const sixClasses: CoverClass[] = [
  cover('1', 0, 5),
  cover('2', 5, 25),
  cover('3', 25, 50),
  cover('4', 50, 75),
  cover('5', 75, 95),
  cover('6', 95, 100),
]

/**
 * Braun-Blanquet's scale with the mid-points in common use and van der Maarel's ordinal values. r and + are one or few
 * plants of hardly any cover.
 */
export const braunBlanquet: (CoverClass & { ordinal: number })[] = [
  { ...cover('r', 0, 0.1, 0.1), ordinal: 1 },
  { ...cover('+', 0, 1, 0.5), ordinal: 2 },
  { ...cover('1', 1, 5, 2.5), ordinal: 3 },
  { ...cover('2', 5, 25, 15), ordinal: 5 },
  { ...cover('3', 25, 50, 37.5), ordinal: 7 },
  { ...cover('4', 50, 75, 62.5), ordinal: 8 },
  { ...cover('5', 75, 100, 87.5), ordinal: 9 },
]

/** Class that a cover in percent falls in; an edge belongs to the lower class. */
export function classOf(scale: CoverClass[], percent: number): CoverClass {
  if (!(percent >= 0 && percent <= 100)) throw new RangeError(`cover must be 0 to 100 percent, not ${percent}`)
  return scale.find((c) => percent <= c.toPercent) ?? scale.at(-1)!
}

/**
 * Mean cover of a species over frames, in percent, from the mid-points of its classes.
 *
 * @param codes class of each frame; null where it was looked for and is not there
 * @throws RangeError a code that the scale does not have, or no frame
 */
export function meanCoverPercent(scale: CoverClass[], codes: (string | null)[]): number {
  if (codes.length === 0) throw new RangeError('no frame was looked at')
  const sum = codes.reduce((total, code) => {
    if (code === null) return total
    const found = scale.find((c) => c.code === code)
    if (!found) throw new RangeError(`the scale has no class ${code}`)
    return total + found.midPercent
  }, 0)
  return sum / codes.length
}
