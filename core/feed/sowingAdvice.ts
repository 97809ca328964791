import { midsummerGap } from '../season/madeNormals.ts'
import type { Plant, Region } from '../naming/flora.ts'
import type { Outlook } from '../records/round.ts'
import type { Composition } from '../survey/composition.ts'
import { say } from '../say.ts'

export type SowingReason = 'legume' | 'gap' | 'repair' | 'sown again' | 'native'

/** A plant that would fit here, and why it is proposed. */
export interface SowingFit {
  plant: Plant
  reason: SowingReason
  says: string
  /** What of it could harm, in the words of the book; empty where the book says nothing of it. */
  cautions: string[]
}

/** A legume share that feeds a grass sward with nitrogen without much bloat: common practice, no source. */
const ENOUGH_LEGUME = 0.3
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

const atHome = (p: Plant, region: Region) => p.regions[region] === 'common' || p.regions[region] === 'frequent'
/** Bloat is a matter of how it is grazed, so it is a caution and not a reason against. */
const harms = (p: Plant, animal: string | undefined) =>
  animal !== undefined && p.harm.some((h) => h.who.includes(animal) && h.kind !== 'bloat')
const percent = (x: number) => `${Math.round(100 * x)} %`

/**
 * What could be sown into this sward: plants with a rate on file, at home in the region and of use for the outlook, that
 * do not harm the stock that was said. Perennials come first. A plant already met with a tenth or more is not proposed.
 */
export function sowingAdvice(plants: readonly Plant[], given: SowingFor): SowingFit[] {
  const { made, region, outlook, sown, curve, animal } = given
  const shares = new Map(made.taxa.map((t) => [t.taxon, t.estimate]))
  const group = (name: string) => made.byGroup.find((g) => g.group === name)?.estimate ?? 0
  const fits: SowingFit[] = []
  const propose = (reason: SowingReason, says: string, test: (p: Plant) => boolean) => {
    for (const plant of plants) {
      if (!plant.sowing || !test(plant) || (shares.get(plant.id) ?? 0) >= 0.1) continue
      if (!atHome(plant, region) || harms(plant, animal) || fits.some((f) => f.plant.id === plant.id)) continue
      fits.push({ plant, reason, says, cautions: plant.harm.map((h) => `${h.who.join(', ')}: ${h.kind}`) })
    }
  }
  const isFeed = outlook === 'grazing' || outlook === 'hay'
  const legume = group('legume')
  const open = group('ground')
  const gone = sown.filter((id) => !shares.has(id))
  propose('sown again', say('It was sown and was not met.'), (p) => gone.includes(p.id))
  if (isFeed && legume < ENOUGH_LEGUME)
    propose(
      'legume',
      say('Legumes are {{legume}} of the sward; up to about {{ENOUGHLEGUME}} they feed it with nitrogen.', {
        legume: percent(legume),
        ENOUGHLEGUME: percent(ENOUGH_LEGUME),
      }),
      (p) => p.form === 'legume' && p.role === 'forage' && (outlook !== 'hay' || !/clover/.test(p.id) || p.id === 'red-clover'), // prettier-ignore
    )
  if (isFeed && curve && midsummerGap(curve).length > 0)
    propose(
      'gap',
      say('Growth slumps at midsummer; this one grows or roots deep then.'),
      (p) => p.role === 'forage' && p.cycle === 'perennial' && (p.season === 'warm' || ['chicory', 'alfalfa', 'buckhorn-plantain'].includes(p.id)), // prettier-ignore
    )
  if (outlook === 'turf' && open >= OPEN)
    propose(
      'repair',
      say('{{open}} of it is bare or litter.', { open: percent(open) }),
      (p) =>
        p.form === 'grass' && (p.role === 'turf' || p.id === 'perennial-ryegrass' || p.id === 'kentucky-bluegrass'),
    )
  if (isFeed && open >= OPEN)
    propose(
      'repair',
      say('{{open}} of it is bare or litter.', { open: percent(open) }),
      (p) => p.form === 'grass' && p.role === 'forage' && p.cycle === 'perennial' && p.season === 'cool',
    )
  if (outlook === 'native')
    propose('native', say('It is native and at home in this region.'), (p) => p.role === 'native')
  const order = (f: SowingFit) => (f.plant.cycle === 'perennial' ? 0 : 1)
  const rank: SowingReason[] = ['sown again', 'legume', 'gap', 'repair', 'native']
  return fits.sort((a, b) => rank.indexOf(a.reason) - rank.indexOf(b.reason) || order(a) - order(b))
}
