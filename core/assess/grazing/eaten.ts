import type { EatenWord, Grazer, Plant } from '../../flora/flora.ts'
import { feedStates, statesOfMonth, type FeedState } from '../feed/feedStates.ts'
import type { Walked } from '../feed/walkedStates.ts'

/** Share of a plant that is left, by how it is taken: common practice, no source. */
const LEFT: Record<EatenWord, (state: FeedState) => number> = {
  readily: (state) => (state === 'cured' ? 0.3 : state === 'ripe' ? 0.15 : 0),
  'while-young': (state) => ({ leafy: 0, boot: 0.25, headed: 0.6, ripe: 0.8, cured: 0.8 })[state],
  little: () => 0.9,
}

/** How an animal takes a plant; what the file does not say follows from what the plant is known for. */
export function eatenBy({ eaten, role, traits, form }: Plant, animal: Grazer): EatenWord {
  const said = eaten?.[animal]
  if (said) return said
  if (role === 'toxic') return 'little'
  if (traits?.includes('refused')) return 'little'
  if (form === 'shrub') return animal === 'goats' ? 'readily' : animal === 'sheep' ? 'while-young' : 'little'
  return role === 'weed' ? 'while-young' : 'readily'
}

/**
 * Share of a plant that an animal leaves at a growth, 0 to 1: from the animal and the growth, never from what the plant is
 * grown for alone.
 */
export function leftShare(plant: Plant, animal: Grazer, at: Walked): number {
  const left = LEFT[eatenBy(plant, animal)]
  if (at.by === 'state') return left(at.state)
  if (at.by === 'noted') return feedStates.reduce((sum, s) => sum + (at.shares[s] ?? 0) * left(s), 0)
  const may = statesOfMonth(plant.season, at.month)
  return may.reduce((sum, s) => sum + left(s) / may.length, 0)
}

/**
 * Share of a sward that an animal leaves, 0 to 1, of what is known of it; plants outside the book are taken as half left.
 *
 * @param shares share of each taxon, without bare ground and litter
 */
export function refusedShare(
  shares: readonly { taxon: string; estimate: number }[],
  plants: ReadonlyMap<string, Plant>,
  animal: Grazer,
  at: Walked,
): number {
  const total = shares.reduce((sum, t) => sum + t.estimate, 0)
  if (!(total > 0)) return 0
  const left = shares.reduce((sum, { taxon, estimate }) => {
    const plant = plants.get(taxon)
    return sum + estimate * (plant ? leftShare(plant, animal, at) : 0.5)
  }, 0)
  return left / total
}

/** A plant of which stock leave more than this while it is leafy is not wanted by them. */
const WANTED = 0.3
const LEAFY: Walked = { by: 'state', state: 'leafy' }

/** Perennials that this stock eat, and that nobody has to fear: what a pasture is kept for. Common practice, no source. */
export const isWanted = (p: Plant, animal: Grazer): boolean =>
  p.cycle === 'perennial' && p.role !== 'toxic' && p.role !== 'weed' && leftShare(p, animal, LEAFY) < WANTED

/** What takes the place of feed: harmful plants, and weeds that this stock leave once they are headed. */
export const isWeed = (p: Plant, animal: Grazer): boolean =>
  p.role === 'toxic' || (p.role === 'weed' && leftShare(p, animal, { by: 'state', state: 'headed' }) >= 0.5)
