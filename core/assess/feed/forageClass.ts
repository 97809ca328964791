import type { Plant } from '../../flora/flora.ts'

/** Kinds of forage of which energy is told from fibre in different ways. */
export const forageClasses = ['legume', 'cool-grass', 'warm-grass', 'forb', 'browse'] as const
export type ForageClass = (typeof forageClasses)[number]

/** Sedges and rushes feed much as cool-season grasses do (common practice, no source). */
export function forageClassOf({ form, season }: Pick<Plant, 'form' | 'season'>): ForageClass {
  if (form === 'legume') return 'legume'
  if (form === 'shrub') return 'browse'
  if (form === 'forb') return 'forb'
  return form === 'grass' && season === 'warm' ? 'warm-grass' : 'cool-grass'
}

/** Protein and fibre, % of dry matter. */
export interface Fibre {
  cp: number
  adf: number
  ndf: number
}

/** Megacalories a pound in a megacalorie a kilogram: the relations by net energy are written in pounds. */
const tdnFromNel = (nelMcalPerLb: number) => 4.898 + 89.796 * nelMcalPerLb

/**
 * Total digestible nutrients, % of dry matter, for a ruminant.
 *
 *   legume        NEL = 1.044 - 0.0119 ADF,  TDN = 4.898 + 89.796 NEL (NEL in Mcal/lb)
 *   cool grass    NEL = 1.0876 - 0.0127 ADF, TDN as above
 *   warm grass    TDN = 111.8 + 0.95 CP - 0.36 ADF - 0.70 NDF
 *   forb, browse  TDN = 88.9 - 0.779 ADF (Rohweder, Barnes & Jorgensen 1978), with a wider error
 *
 * The first three as forage laboratories of the northern and southern United States use them; from memory.
 */
const relations: Record<ForageClass, (f: Fibre) => number> = {
  legume: ({ adf }) => tdnFromNel(1.044 - 0.0119 * adf),
  'cool-grass': ({ adf }) => tdnFromNel(1.0876 - 0.0127 * adf),
  'warm-grass': ({ cp, adf, ndf }) => 111.8 + 0.95 * cp - 0.36 * adf - 0.7 * ndf,
  forb: ({ adf }) => 88.9 - 0.779 * adf,
  browse: ({ adf }) => 88.9 - 0.779 * adf,
}

/** How far TDN told from fibre lies from what is digested, points either way 95 times in 100 (from memory). */
export const TDN_ERROR: Record<ForageClass, number> = {
  legume: 5.5,
  'cool-grass': 5.5,
  'warm-grass': 6,
  forb: 7,
  browse: 9,
}

/** No forage lies beyond: no relation is followed further than it was fitted. */
const LEAST_TDN = 30
const MOST_TDN = 80

/** @throws RangeError figures that are no share of dry matter */
export function tdnByClass(of: ForageClass, fibre: Fibre): number {
  for (const x of [fibre.cp, fibre.adf, fibre.ndf])
    if (!(x >= 0 && x <= 100)) throw new RangeError(`protein and fibre are 0 to 100 %: ${x}`)
  return Math.min(MOST_TDN, Math.max(LEAST_TDN, relations[of](fibre)))
}

/**
 * Digestible energy of a forage for a horse, Mcal a kilogram of dry matter: DE = 4.22 - 0.11 ADF + 0.0332 CP +
 * 0.00112 ADF^2 (after Fonnesbeck 1981, as NRC Horses gives it, from memory). The relation turns at ADF 49; it is held there.
 */
export function horseDe({ cp, adf }: Pick<Fibre, 'cp' | 'adf'>): number {
  const a = Math.min(adf, 0.11 / (2 * 0.00112))
  return 4.22 - 0.11 * a + 0.0332 * cp + 0.00112 * a ** 2
}

/** How far that lies off, Mcal either way 95 times in 100: a tenth, from memory. */
export const HORSE_DE_ERROR = 0.2

/** Shares of each class in a mixture, 0 to 1; nothing known is taken as cool-season grass. */
export type ClassShares = Partial<Record<ForageClass, number>>
const partsOf = (classes: ClassShares): [ForageClass, number][] => {
  const parts = Object.entries(classes) as [ForageClass, number][]
  return parts.length > 0 ? parts : [['cool-grass', 1]]
}

/** The same of a sample of a mixture, of which only the whole was analysed: each class's relation by its share. */
export const tdnOfMixture = (classes: ClassShares, fibre: Fibre): number =>
  partsOf(classes).reduce((sum, [c, share]) => sum + share * tdnByClass(c, fibre), 0)

export const tdnErrorOfMixture = (classes: ClassShares): number =>
  partsOf(classes).reduce((sum, [c, share]) => sum + share * TDN_ERROR[c], 0)
