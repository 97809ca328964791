import type { Trait } from '../../flora/codes.ts'
import { midsummerGap } from '../season/madeNormals.ts'
import { kindsOf, type HarmNote, type Plant, type Region } from '../../flora/flora.ts'
import type { Outlook } from '../../records/round.ts'
import type { Composition } from '../../survey/composition.ts'

export type SowingReason = 'legume' | 'gap' | 'repair' | 'sown-again' | 'native'

/** A plant that would fit here, and why it is proposed. */
export interface SowingFit {
  plant: Plant
  reason: SowingReason
  /** The share of the sward that speaks for it, 0 to 1: legumes for a legume, bare ground and litter for a repair. */
  share?: number
  /** What of it could harm; empty where the book says nothing of it. */
  cautions: HarmNote[]
}

/** A legume share that feeds a grass sward with nitrogen without much bloat: common practice, no source. */
export const ENOUGH_LEGUME = 0.3
/** Bare ground and litter from which a sward is called open; common practice, no source. */
const OPEN = 0.1

export interface SowingFor {
  made: Composition
  region: Region
  outlook: Outlook
  /** Plants known to have been sown. */
  sown: readonly string[]
  /** Growth of the mixture by month, as `seasonCurve` gives it. */
  curve: readonly number[] | undefined
  /** Kind of stock that is kept, where somebody said. */
  animal?: string
}

const has = (p: Plant, trait: Trait) => p.traits?.includes(trait) === true
const atHome = (p: Plant, region: Region) => p.regions[region] === 'common' || p.regions[region] === 'frequent'
/** Bloat is a matter of how it is grazed, so it is a caution and not a reason against. */
const harms = (p: Plant, animal: string | undefined) =>
  animal !== undefined && p.harm.some((h) => h.who.includes(animal) && kindsOf(h).some((k) => k !== 'bloat'))

/**
 * What could be sown into this sward: plants with a rate on file, at home in the region and of use for the outlook, that
 * do not harm the stock that was said. Perennials come first. A plant already met with a tenth or more is not proposed.
 */
export function sowingAdvice(plants: readonly Plant[], given: SowingFor): SowingFit[] {
  const { made, region, outlook, sown, curve, animal } = given
  const shares = new Map(made.taxa.map((t) => [t.taxon, t.estimate]))
  const group = (name: string) => made.byGroup.find((g) => g.group === name)?.estimate ?? 0
  const fits: SowingFit[] = []
  const propose = (reason: SowingReason, test: (p: Plant) => boolean, share?: number) => {
    for (const plant of plants) {
      if (!plant.sowing || !test(plant) || (shares.get(plant.id) ?? 0) >= 0.1) continue
      if (!atHome(plant, region) || harms(plant, animal) || fits.some((f) => f.plant.id === plant.id)) continue
      fits.push({ plant, reason, ...(share === undefined ? {} : { share }), cautions: plant.harm })
    }
  }
  const isFeed = outlook === 'grazing' || outlook === 'hay'
  const legume = group('legume')
  const open = group('ground')
  const gone = sown.filter((id) => !shares.has(id))
  propose('sown-again', (p) => gone.includes(p.id))
  if (isFeed && legume < ENOUGH_LEGUME)
    propose(
      'legume',
      (p) => p.form === 'legume' && p.role === 'forage' && (outlook !== 'hay' || !has(p, 'not-for-hay')),
      legume,
    )
  if (isFeed && curve && midsummerGap(curve).length > 0)
    propose(
      'gap',
      (p) => p.role === 'forage' && p.cycle === 'perennial' && (p.season === 'warm' || has(p, 'grows-in-drought')),
    )
  if (outlook === 'turf' && open >= OPEN)
    propose('repair', (p) => p.form === 'grass' && (p.role === 'turf' || has(p, 'repairs-turf')), open)
  if (isFeed && open >= OPEN)
    propose(
      'repair',
      (p) => p.form === 'grass' && p.role === 'forage' && p.cycle === 'perennial' && p.season === 'cool',
      open,
    )
  if (outlook === 'native') propose('native', (p) => p.role === 'native')
  const order = (f: SowingFit) => (f.plant.cycle === 'perennial' ? 0 : 1)
  const rank: SowingReason[] = ['sown-again', 'legume', 'gap', 'repair', 'native']
  return fits.sort((a, b) => rank.indexOf(a.reason) - rank.indexOf(b.reason) || order(a) - order(b))
}
