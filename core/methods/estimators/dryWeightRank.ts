/** Shares of dry weight of the heaviest, second and third species of a frame ('t Mannetje & Haydock 1963). */
export const DRY_WEIGHT_MULTIPLIERS = [0.7019, 0.2108, 0.0873] as const

/**
 * What becomes of the ranks that a frame of one or two species leaves unfilled (Jones & Hargreaves 1979 and later use):
 * of two species the first takes rank 3 as well; or it takes ranks 1 and 2 and the other rank 3; or ranks 1 and 2 are
 * scaled to sum to 1; or they are left out, and the shares of the whole sum to less than 1.
 */
export const fewSpeciesConventions = ['first-takes-third', 'first-takes-second', 'scaled', 'left-out'] as const
export type FewSpecies = (typeof fewSpeciesConventions)[number]

export interface RankedFrame {
  /** Rank 1, 2 or 3 of each species; equal ranks are shared, as in 1, 1, 3. */
  ranks: Record<string, number>
  /** Yield of the frame in any unit, where it was taken; frames are then weighted by it. */
  yield?: number
}

export interface DryWeightShare {
  species: string
  /** Share of dry weight, 0 to 1. */
  share: number
  /** Mean yield a frame that is of this species; only where every frame has a yield. */
  meanYield?: number
}

function multipliersFor(count: number, few: FewSpecies): number[] {
  const [first, second, third] = DRY_WEIGHT_MULTIPLIERS
  if (few === 'left-out' || count >= 3) return [first, second, third]
  if (count === 1) return [first + second + third]
  if (few === 'first-takes-third') return [first + third, second]
  if (few === 'first-takes-second') return [first + second, third]
  return [first / (first + second), second / (first + second)]
}

/** Share of each species in one frame: a group of equals takes the mean of the multipliers of the places it fills. */
export function sharesOfFrame({ ranks }: RankedFrame, few: FewSpecies): Map<string, number> {
  const species = Object.keys(ranks)
  const multipliers = multipliersFor(species.length, few)
  const out = new Map<string, number>()
  let place = 0
  for (const rank of [...new Set(Object.values(ranks))].sort((a, b) => a - b)) {
    const equals = species.filter((s) => ranks[s] === rank)
    const sum = equals.reduce((total, _, i) => total + (multipliers[place + i] ?? 0), 0)
    for (const s of equals) out.set(s, sum / equals.length)
    place += equals.length
  }
  return out
}

/**
 * Composition by dry weight from ranks in frames. Frames without any species are left out.
 *
 * @returns species in alphabetical order; by weight of the frames where all of them have a yield
 * @throws RangeError no frame holds a species, or a rank is not 1, 2 or 3
 */
export function dryWeightRank(frames: RankedFrame[], few: FewSpecies): DryWeightShare[] {
  const held = frames.filter((f) => Object.keys(f.ranks).length > 0)
  if (held.length === 0) throw new RangeError('no frame holds a species')
  for (const f of held)
    for (const [s, rank] of Object.entries(f.ranks))
      if (![1, 2, 3].includes(rank)) throw new RangeError(`rank of ${s} must be 1, 2 or 3, not ${rank}`)
  const weighed = held.every((f) => f.yield !== undefined)
  const total = weighed ? held.reduce((sum, f) => sum + f.yield!, 0) : held.length
  const shares = new Map<string, number>()
  for (const f of held)
    for (const [s, share] of sharesOfFrame(f, few))
      shares.set(s, (shares.get(s) ?? 0) + (share * (weighed ? f.yield! : 1)) / total)
  return [...shares]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([species, share]) => ({ species, share, ...(weighed ? { meanYield: (share * total) / held.length } : {}) }))
}
