import { acutenesses, type Acuteness, type HarmKind } from '../../flora/codes.ts'
import { abundanceWords, kindsOf, type HarmNote, type Plant, type Region, type AtRisk } from '../../flora/flora.ts' // prettier-ignore
import { DEPENDS } from './kinds.ts'

/** How each kind of harm goes. Kingsbury 1964 and Burrows & Tyrl, from memory. */
export const acutenessOf: Record<HarmKind, Acuteness> = {
  abortion: 'yield',
  aesculin: 'hours',
  awns: 'irritates',
  'bitter-glycosides': 'hours',
  'blister-beetles': 'hours',
  'blister-sap': 'irritates',
  bloat: 'hours',
  bristles: 'irritates',
  burs: 'irritates',
  carboxyatractyloside: 'hours',
  'cause-unknown': 'days',
  'chewing-disease': 'adds-up',
  cicutoxin: 'hours',
  coniine: 'hours',
  coumarin: 'days',
  dicoumarol: 'days',
  'diterpenoid-alkaloids': 'hours',
  'endophyte-ergot-alkaloids': 'adds-up',
  'endophyte-lolitrem': 'days',
  ergot: 'adds-up',
  furanocoumarins: 'irritates',
  'grass-tetany': 'hours',
  grayanotoxins: 'hours',
  haemolysis: 'days',
  colchicine: 'hours',
  'heart-glycosides': 'hours',
  hypericin: 'days',
  hypoglycin: 'days',
  impaction: 'days',
  'irritant-latex': 'irritates',
  'isoquinoline-alkaloids': 'days',
  lantadenes: 'days',
  'liver-damage-and-sunburn': 'adds-up',
  'milkweed-neurotoxins': 'hours',
  'muscle-damage': 'days',
  'nicotine-alkaloids': 'hours',
  nitrate: 'hours',
  'nitro-glycosides': 'hours',
  'nitro-toxins': 'days',
  oestrogens: 'yield',
  'organosulphur-compounds': 'days',
  oxalate: 'hours',
  'perilla-ketone': 'hours',
  photosensitisation: 'days',
  'poisonous-seed': 'days',
  'pollen-and-skin-allergy': 'irritates',
  'prussic-acid': 'hours',
  ptaquiloside: 'adds-up',
  'pyrrolizidine-alkaloids': 'adds-up',
  'quinolizidine-alkaloids': 'adds-up',
  ranunculin: 'irritates',
  'saponins-and-lectins': 'days',
  selenium: 'adds-up',
  'sesquiterpene-lactones': 'adds-up',
  slobbers: 'irritates',
  solanine: 'hours',
  'sorghum-cystitis': 'adds-up',
  'steroidal-alkaloids': 'hours',
  'steroidal-saponins': 'days',
  'stinging-hairs': 'irritates',
  stringhalt: 'days',
  swainsonine: 'adds-up',
  tannins: 'days',
  taxines: 'hours',
  thiaminase: 'adds-up',
  tremetol: 'adds-up',
  'tropane-alkaloids': 'hours',
  'tryptamine-alkaloids': 'days',
  'vetch-disease': 'days',
  'volatile-oils': 'irritates',
  'walnut-laminitis': 'hours',
  unclassified: 'days',
}

/** How a note of harm goes: as it says itself, else by the worst of its kinds. */
export const acutenessOfNote = (note: HarmNote): Acuteness =>
  note.acute ?? acutenesses.find((a) => kindsOf(note).some((k) => acutenessOf[k] === a))!

/**
 * How a plant harms, by the worst of its notes.
 *
 * @param animal kind of stock that the notes have to strike; left out: any
 * @returns undefined where no harm to it is on file
 */
export function acutenessFor(plant: Plant, animal?: AtRisk): Acuteness | undefined {
  const notes = plant.harm.filter((h) => animal === undefined || h.who.includes(animal))
  return acutenesses.find((a) => notes.some((n) => acutenessOfNote(n) === a))
}

/** How soon a plant harms by itself: dangers that weather, fungus or soil bring are told apart. */
export type Haste = 'within-hours' | 'adds-up' | 'other'

export function hasteOf(plant: Plant): Haste {
  const kinds = plant.harm.flatMap((n) => kindsOf(n).map((k) => ({ k, acute: n.acute ?? acutenessOf[k] })))
  const own = kinds.filter(({ k }) => !DEPENDS.has(k))
  if (own.some((n) => n.acute === 'hours')) return 'within-hours'
  return own.some((n) => n.acute === 'adds-up') ? 'adds-up' : 'other'
}

/** Plants by how they harm, the worst first, of those the commoner in a region. */
export const byHaste = (plants: readonly Plant[], region: Region): Plant[] =>
  plants.toSorted((a, b) => haste(a) - haste(b) || rarity(a, region) - rarity(b, region))

const haste = (plant: Plant): number => {
  const acute = acutenessFor(plant)
  return acute === undefined ? acutenesses.length : acutenesses.indexOf(acute)
}

const rarity = (plant: Plant, region: Region): number => {
  const word = plant.regions[region]
  return word === undefined ? abundanceWords.length : abundanceWords.indexOf(word)
}
