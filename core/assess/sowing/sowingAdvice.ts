import { isSouthern } from '../../flora/seasons.ts'
import type { AtRisk, HarmKind, Trait } from '../../flora/codes.ts'
import { kindsOf, type HarmNote, type Plant, type Region } from '../../flora/flora.ts'
import type { Outlook } from '../../records/round.ts'
import type { Composition } from '../../survey/composition.ts'
import { midsummerGap } from '../season/madeNormals.ts'

export type SowingReason = 'legume' | 'gap' | 'repair' | 'sown-again' | 'native'

/** What is to be seen to before it is sown. */
export type SowingCondition = 'endophyte-free-seed' | 'inoculate' | 'lime-first' | 'own-ground'

/** A plant that would fit here, and why it is proposed. */
export interface SowingFit {
  plant: Plant
  reason: SowingReason
  /** The share of the sward that speaks for it, 0 to 1: legumes for a legume, bare ground and litter for a repair. */
  share?: number
  conditions: SowingCondition[]
  /** What of it could harm; empty where the book says nothing of it. */
  cautions: HarmNote[]
}

/** Why a plant that would be proposed is held back. */
export interface HeldBack {
  plant: Plant
  because: 'autotoxic' | 'site'
}

/** What the ground is, by what the sward says or somebody knows. */
export type Site = 'wet' | 'dry' | 'shade' | 'acid'

/** A legume share that feeds a grass sward with nitrogen without much bloat: common practice, no source. */
export const ENOUGH_LEGUME = 0.3
/** Bare ground and litter from which a sward is called open; common practice, no source. */
const OPEN = 0.1
/** What has so much of the sward already is not sown in to have more; a repair is of what stands there. */
const ENOUGH_THERE = 0.1
/** Least pH that sour ground is taken to have, where nobody measured it. */
const ACID_PH = 5.6

export interface SowingFor {
  made: Composition
  region: Region
  outlook: Outlook
  /** Plants known to have been sown. */
  sown: readonly string[]
  /** Growth of the mixture by month. */
  curve: readonly number[] | undefined
  /** Kind of stock that is kept, where somebody said. */
  animal?: AtRisk
  site?: readonly Site[]
  /** pH of the soil, where it was measured. */
  ph?: number
}

const has = (p: Plant, trait: Trait) => p.traits?.includes(trait) === true
const atHome = (p: Plant, region: Region) => p.regions[region] === 'common' || p.regions[region] === 'frequent'

/** Harms that the choice of seed keeps out, and those that are a matter of how it is grazed: cautions, no reasons against. */
const OF_SEED: readonly HarmKind[] = ['endophyte-ergot-alkaloids', 'endophyte-lolitrem']
const OF_GRAZING: readonly HarmKind[] = ['bloat', 'oestrogens', 'slobbers', 'ergot', 'grass-tetany']
const strikes = (p: Plant, animal: AtRisk, kinds: (k: HarmKind) => boolean) =>
  p.harm.some((h) => h.who.includes(animal) && kindsOf(h).some(kinds))
const harms = (p: Plant, animal: AtRisk | undefined) =>
  animal !== undefined && strikes(p, animal, (k) => !OF_SEED.includes(k) && !OF_GRAZING.includes(k))

/** Whether a plant bears the ground; of shade and wet its file has to speak, drought it has to stand. */
const bears = (p: Plant, site: readonly Site[]) =>
  site.every((s) => (s === 'acid' ? true : s === 'dry' ? p.ground.includes('dry') || has(p, 'grows-in-drought') : p.ground.includes(s))) // prettier-ignore

function conditionsOf(p: Plant, { site = [], ph }: SowingFor): SowingCondition[] {
  const sour = ph ?? (site.includes('acid') ? ACID_PH : undefined)
  return [
    ...(p.harm.some((h) => kindsOf(h).some((k) => OF_SEED.includes(k))) ? ['endophyte-free-seed' as const] : []),
    ...(p.form === 'legume' ? ['inoculate' as const] : []),
    ...(sour !== undefined && p.sowing?.phLeast !== undefined && sour < p.sowing.phLeast
      ? ['lime-first' as const]
      : []),
    ...(has(p, 'own-sod') ? ['own-ground' as const] : []),
  ]
}

/**
 * What could be sown into this sward: plants with a rate on file, at home in the region and on the ground, of use for the outlook,
 * that do not harm the stock that was said in a way that neither seed nor grazing settles. Perennials come first.
 *
 * @returns fits, and what would have been one but for the ground or for what stands there
 */
export function sowingAdvice(plants: readonly Plant[], given: SowingFor): { fits: SowingFit[]; held: HeldBack[] } {
  const { made, region, outlook, sown, curve, animal, site = [] } = given
  const shares = new Map(made.taxa.map((t) => [t.taxon, t.estimate]))
  const group = (name: string) => made.byGroup.find((g) => g.group === name)?.estimate ?? 0
  const fits: SowingFit[] = []
  const held: HeldBack[] = []
  const propose = (reason: SowingReason, test: (p: Plant) => boolean, share?: number) => {
    for (const plant of plants) {
      if (!plant.sowing || !test(plant) || !atHome(plant, region) || harms(plant, animal)) continue
      if (reason !== 'repair' && (shares.get(plant.id) ?? 0) >= ENOUGH_THERE) continue
      if (fits.some((f) => f.plant === plant) || held.some((h) => h.plant === plant)) continue
      // Where it stands, or stood until lately, its own kind does not come up.
      if (has(plant, 'autotoxic') && (shares.has(plant.id) || sown.includes(plant.id)))
        held.push({ plant, because: 'autotoxic' })
      else if (!bears(plant, site)) held.push({ plant, because: 'site' })
      else fits.push({ plant, reason, ...(share === undefined ? {} : { share }), conditions: conditionsOf(plant, given), cautions: plant.harm }) // prettier-ignore
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
  if (isFeed && curve && midsummerGap(curve, { south: isSouthern(region) }).length > 0)
    propose(
      'gap',
      (p) =>
        p.role === 'forage' &&
        (p.season === 'warm' ? p.cycle === 'annual' : p.cycle === 'perennial' && has(p, 'grows-in-drought')),
    )
  if (isFeed && open >= OPEN)
    propose(
      'repair',
      (p) =>
        p.form === 'grass' &&
        p.role === 'forage' &&
        p.cycle === 'perennial' &&
        (p.season === 'cool' || group('warm-grass') > group('cool-grass')),
      open,
    )
  if (outlook === 'native') propose('native', (p) => p.role === 'native')
  const order = (f: SowingFit) => (f.plant.cycle === 'perennial' ? 0 : 1)
  const rank: SowingReason[] = ['sown-again', 'legume', 'gap', 'repair', 'native']
  const there = (f: SowingFit) => shares.get(f.plant.id) ?? 0
  return {
    fits: fits.sort(
      (a, b) => rank.indexOf(a.reason) - rank.indexOf(b.reason) || order(a) - order(b) || there(b) - there(a),
    ),
    held,
  }
}
