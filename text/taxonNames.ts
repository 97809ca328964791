import type { Plant } from '@/core/flora/flora.ts'
import { BARE, latinOf, letterOf, letterParts, LITTER, type Group, type Taxon } from '@/core/records/taxon.ts'
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

let own = ''
/** Say which device this is: the letters that it gave out are shown without its mark. */
export const letterMark = (mark: string): void => void (own = mark)

/** A letter as it is read: with the mark of the device that gave it out, where that is another one. */
export function letterWords(marked: string): string {
  const { letter, mark } = letterParts(marked)
  return mark === '' || mark === own ? letter : `${letter} (${mark})`
}

/** What a reader is shown for a taxon. */
export function taxonName(taxon: Taxon, plants: Map<string, Plant>): string {
  if (taxon === BARE) return say('Bare ground')
  if (taxon === LITTER) return say('Litter')
  const letter = letterOf(taxon)
  if (letter) return say('Unknown {{letter}}', { letter: letterWords(letter) })
  return latinOf(taxon) ?? plants.get(taxon)?.commonName ?? taxon
}
