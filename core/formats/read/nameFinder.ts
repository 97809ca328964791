import { distance } from 'fastest-levenshtein'
import type { Plant } from '../../flora/flora.ts'
import { BARE, latinTaxon, LITTER, markedLetter, unknownTaxon, type Taxon } from '../../records/taxon.ts'

const same = (name: string) => name.toLowerCase().replace(/[_\s]+/g, ' ').replace(/[^\p{L}\p{N} -]/gu, '').trim() // prettier-ignore

/** Words that end an English plant name: "Mystery weed" is no scientific name, though it looks like one. */
const ENGLISH =
  /(weed|grass|clover|thistle|vetch|rush|sedge|moss|fern|daisy|dock|bent|nettle|mint|wort|plant|flower|foot|bur|oats?|rye|barley|wheat|lily|rose|tree|sorrel|parsley|parsnip|carrot|hemlock|cress|mustard|spurge|lettuce|brome|foxtail|fescue|seed|species|soil|ground)s?$/

/** Genus and species of a scientific name, without its author: "Trifolium repens L." is "trifolium repens". */
function binomial(name: string): string | undefined {
  const found = /^(\p{Lu}\p{Ll}+)\s+(?:[x×]\s+)?(\p{Ll}[\p{Ll}-]+)(?:\s|$)/u.exec(name.replace(/_/g, ' ').trim())
  return found && !ENGLISH.test(found[2]!) ? `${found[1]} ${found[2]}` : undefined
}

const words = new Map<string, Taxon>(
  Object.entries({
    'bare ground': BARE,
    bare: BARE,
    'bare soil': BARE,
    litter: LITTER,
    'dead material': LITTER,
  }),
)

/** Letters that may differ for a name to be offered as what was meant. */
const MOST_SLIPS = 3

/**
 * The plant of the book whose name is nearest to a mistyped one; undefined where none is near.
 *
 * @param among common names only, or scientific ones too
 */
export function nearestPlant(
  name: string,
  plants: readonly Plant[],
  among: 'common' | 'all' = 'all',
): Plant | undefined {
  const wanted = same(name)
  let best: { plant: Plant; slips: number } | undefined
  for (const plant of plants)
    for (const n of [
      plant.commonName.replace(/ \(.*\)/, ''),
      ...plant.alsoCalled,
      ...Object.values(plant.called ?? {}),
      ...(among === 'all' ? [plant.scientificName, ...(plant.synonyms ?? [])] : []),
    ]) {
      const slips = distance(wanted, same(n))
      if (slips < (best?.slips ?? Infinity)) best = { plant, slips }
    }
  return best && best.slips <= Math.min(MOST_SLIPS, wanted.length / 3) ? best.plant : undefined
}

/** What a name of a file became. */
export interface NameFound {
  taxon: Taxon
  how: 'book' | 'ground' | 'letter' | 'outside the book'
}

/**
 * Looks names up as files write them: an id of the book, a scientific name with or without its author, any common name,
 * ground, or a letter. A scientific name that the book does not hold is kept as it stands.
 *
 * @param given plants that the reader chose for names of the file
 * @returns a function that gives undefined for a name that is none of these
 */
export function nameFinder(
  plants: readonly Plant[],
  given: Readonly<Record<string, string>> = {},
): (name: string) => NameFound | undefined {
  const known = new Map<string, string>()
  // The plant that stands for a species comes first, so that a bare species name means it.
  for (const p of [...plants].sort((a, b) => Number(b.speciesDefault) - Number(a.speciesDefault))) {
    const short = p.commonName.replace(/ \(.*\)/, '')
    for (const n of [p.id, p.scientificName, p.commonName, short, ...p.alsoCalled, ...(p.synonyms ?? [])])
      if (!known.has(same(n))) known.set(same(n), p.id)
  }
  // What is called so elsewhere comes after what is called so here.
  for (const p of plants)
    for (const n of Object.values(p.called ?? {})) if (!known.has(same(n))) known.set(same(n), p.id)
  const looked = new Map<string, NameFound | undefined>()
  const look = (written: string): NameFound | undefined => {
    const chosen = Object.hasOwn(given, written) ? given[written] : undefined
    if (chosen) return { taxon: chosen, how: 'book' }
    const name = written.replace(/^latin:/, '')
    const wanted = same(name)
    const ground = words.get(wanted)
    if (ground) return { taxon: ground, how: 'ground' }
    const [, letter, mark = ''] = /^unknown[ :]?([a-z])(?:(?:\.| \()([0-9a-z]{1,8})\)?)?$/i.exec(name.trim()) ?? []
    if (letter) return { taxon: unknownTaxon(markedLetter(letter.toUpperCase(), mark.toLowerCase())), how: 'letter' }
    const latin = binomial(name)
    const plant = known.get(wanted) ?? (latin ? known.get(same(latin)) : undefined)
    if (plant) return { taxon: plant, how: 'book' }
    // A common name with a slip can look like a scientific one: it is asked back rather than kept.
    return latin && !nearestPlant(name, plants, 'common')
      ? { taxon: latinTaxon(latin), how: 'outside the book' }
      : undefined
  }
  return (name) => {
    if (!looked.has(name)) looked.set(name, look(name))
    return looked.get(name)
  }
}
