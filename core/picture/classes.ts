import type { Plant } from '../flora/flora.ts'
import { BARE, groupOf, LITTER, type Taxon } from '../records/taxon.ts'

/** What a map of a picture can tell apart: a leaf, a leaf like a legume's, bare ground, dead stuff. */
export const pictureClasses = ['green', 'legume', 'bare', 'litter'] as const
export type PictureClass = (typeof pictureClasses)[number]

/** The class that a plant or ground named at a point belongs to. */
export function classOfTaxon(taxon: Taxon, plants: Map<string, Plant>): PictureClass {
  if (taxon === BARE) return 'bare'
  if (taxon === LITTER) return 'litter'
  return groupOf(taxon, plants) === 'legume' ? 'legume' : 'green'
}
