import type { Plant } from '../flora/flora.ts'

/**
 * What a hit can be. A plant of the book is its id; the rest carry a word before a colon:
 * `unknown:A` counted under a letter (`unknown:A.4kf`: one that the device with this mark gave out), `latin:Aira praecox` a
 * species outside the book.
 */
export type Taxon = string

export const BARE: Taxon = 'bare'
export const LITTER: Taxon = 'litter'

export const groups = [
  'cool-grass',
  'warm-grass',
  'legume',
  'forb',
  'sedge-rush',
  'shrub',
  'unknown',
  'ground',
] as const
export type Group = (typeof groups)[number]

export const unknownTaxon = (letter: string): Taxon => `unknown:${letter}`
export const latinTaxon = (name: string): Taxon => `latin:${name}`
/** The scientific name of a species outside the book. */
export const latinOf = (taxon: Taxon): string | undefined =>
  taxon.startsWith('latin:') ? taxon.slice('latin:'.length) : undefined
export const letterOf = (taxon: Taxon): string | undefined =>
  taxon.startsWith('unknown:') ? taxon.slice('unknown:'.length) : undefined

/** A letter of a round, with the mark of the device that gave it out where it has one. */
export const LETTER = /^[A-Z](\.[0-9a-z]{1,8})?$/

/** A letter as one device gives it out: another one that is away gives out the same letter under another mark. */
export const markedLetter = (letter: string, mark: string): string => (mark ? `${letter}.${mark}` : letter)

/** A letter and the mark it carries; empty where it has none. */
export function letterParts(marked: string): { letter: string; mark: string } {
  const [letter = '', mark = ''] = marked.split('.')
  return { letter, mark }
}

/** The group of a taxon; `latin:` species outside the book are not grouped. */
export function groupOf(taxon: Taxon, plants: Map<string, Plant>): Group {
  if (taxon === BARE || taxon === LITTER) return 'ground'
  const plant = plants.get(taxon)
  if (!plant) return 'unknown'
  if (plant.form === 'grass') return plant.season === 'cool' ? 'cool-grass' : 'warm-grass'
  if (plant.form === 'sedge' || plant.form === 'rush') return 'sedge-rush'
  return plant.form
}
