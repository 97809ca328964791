import type { Plant } from '@/core/flora/flora.ts'
import { BARE, latinOf, letterOf, LITTER, type Group, type Taxon } from '@/core/records/taxon.ts'
import { say } from './say.ts'

const groupNames: Record<Group, () => string> = {
  'cool-grass': () => say('Cool-season grass'),
  'warm-grass': () => say('Warm-season grass'),
  legume: () => say('Legume'),
  forb: () => say('Broad-leaved herb'),
  'sedge-rush': () => say('Sedge or rush'),
  shrub: () => say('Shrub'),
  unknown: () => say('Unnamed or outside the book'),
  ground: () => say('Bare ground and litter'),
}

export const groupName = (group: Group): string => groupNames[group]()

/** What a reader is shown for a taxon. */
export function taxonName(taxon: Taxon, plants: Map<string, Plant>): string {
  if (taxon === BARE) return say('Bare ground')
  if (taxon === LITTER) return say('Litter')
  const letter = letterOf(taxon)
  if (letter) return say('Unknown {{letter}}', { letter })
  return latinOf(taxon) ?? plants.get(taxon)?.commonName ?? taxon
}
