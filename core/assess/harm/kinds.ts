import { acutenesses, type Acuteness, type HarmKind } from '../../flora/codes.ts'
import { abundanceWords, kindsOf, type FeedForm, type FormWord, type HarmNote, type Plant, type Region } from '../../flora/flora.ts' // prettier-ignore

/** What becomes of a kind of harm in the forms that are not standing; what is not named here is not known. */
type Made = Partial<Record<Exclude<FeedForm, 'standing'>, FormWord>>

const KEEPS: Made = { wilted: 'harmful', hay: 'harmful', silage: 'harmful' }
const DRIES_OUT: Made = { wilted: 'unknown', hay: 'lessened', silage: 'lessened' }
const KEEPS_DRY: Made = { wilted: 'harmful', hay: 'harmful' }

/**
 * Each kind of harm and what curing, wilting and ensiling do to it. Kingsbury 1964 and Burrows & Tyrl for the poisons, extension
 * tables for nitrate and prussic acid; all from memory. Nothing here means that a form is without harm.
 */
export const madeInto: Record<HarmKind, Made> = {
  abortion: KEEPS,
  aesculin: KEEPS_DRY,
  awns: KEEPS_DRY,
  'bitter-glycosides': KEEPS_DRY,
  // The beetles are crushed into the bale by conditioning.
  'blister-beetles': { wilted: 'harmful', hay: 'harmful' },
  'blister-sap': {},
  bloat: { wilted: 'lessened', hay: 'lessened', silage: 'lessened' },
  bristles: KEEPS_DRY,
  burs: KEEPS_DRY,
  carboxyatractyloside: KEEPS,
  'cause-unknown': {},
  'chewing-disease': KEEPS_DRY,
  cicutoxin: KEEPS,
  coniine: { wilted: 'harmful', hay: 'lessened', silage: 'unknown' },
  coumarin: { wilted: 'unknown', hay: 'harmful', silage: 'harmful' },
  dicoumarol: { wilted: 'unknown', hay: 'harmful', silage: 'harmful' },
  'diterpenoid-alkaloids': KEEPS,
  'endophyte-ergot-alkaloids': KEEPS,
  'endophyte-lolitrem': KEEPS,
  ergot: KEEPS,
  furanocoumarins: {},
  'grass-tetany': {},
  grayanotoxins: KEEPS,
  haemolysis: KEEPS_DRY,
  colchicine: KEEPS,
  'heart-glycosides': KEEPS,
  hypericin: KEEPS_DRY,
  hypoglycin: KEEPS,
  impaction: KEEPS_DRY,
  'irritant-latex': KEEPS_DRY,
  'isoquinoline-alkaloids': { wilted: 'harmful', hay: 'lessened', silage: 'unknown' },
  lantadenes: KEEPS,
  'liver-damage-and-sunburn': KEEPS_DRY,
  'milkweed-neurotoxins': KEEPS,
  'muscle-damage': KEEPS,
  'nicotine-alkaloids': KEEPS,
  // Curing does not lower it; ensiling takes away a part.
  nitrate: { wilted: 'harmful', hay: 'harmful', silage: 'lessened' },
  'nitro-glycosides': KEEPS,
  'nitro-toxins': KEEPS,
  oestrogens: KEEPS,
  'organosulphur-compounds': KEEPS,
  oxalate: KEEPS,
  'perilla-ketone': KEEPS,
  photosensitisation: {},
  'poisonous-seed': KEEPS,
  'pollen-and-skin-allergy': {},
  'prussic-acid': { wilted: 'harmful', hay: 'lessened', silage: 'lessened' },
  ptaquiloside: KEEPS,
  'pyrrolizidine-alkaloids': KEEPS,
  'quinolizidine-alkaloids': KEEPS,
  ranunculin: DRIES_OUT,
  'saponins-and-lectins': KEEPS,
  selenium: KEEPS,
  'sesquiterpene-lactones': KEEPS_DRY,
  slobbers: KEEPS_DRY,
  solanine: KEEPS,
  'sorghum-cystitis': { wilted: 'unknown', hay: 'lessened', silage: 'lessened' },
  'steroidal-alkaloids': KEEPS,
  'steroidal-saponins': KEEPS,
  'stinging-hairs': DRIES_OUT,
  stringhalt: {},
  swainsonine: KEEPS,
  tannins: KEEPS_DRY,
  taxines: KEEPS,
  thiaminase: KEEPS_DRY,
  tremetol: KEEPS_DRY,
  'tropane-alkaloids': KEEPS,
  'tryptamine-alkaloids': KEEPS,
  'vetch-disease': KEEPS_DRY,
  'volatile-oils': {},
  'walnut-laminitis': {},
  unclassified: {},
}

/** Kinds that depend on weather, season, fungus, soil or dose, so that a test or a look tells, not the name of the plant. */
const DEPENDS: ReadonlySet<HarmKind> = new Set([
  'blister-beetles',
  'bloat',
  'coumarin',
  'dicoumarol',
  'endophyte-ergot-alkaloids',
  'endophyte-lolitrem',
  'ergot',
  'grass-tetany',
  'impaction',
  'nitrate',
  'oestrogens',
  'oxalate',
  'photosensitisation',
  'pollen-and-skin-allergy',
  'prussic-acid',
  'selenium',
  'slobbers',
  'sorghum-cystitis',
])

/**
 * Whether a plant harms by itself: a poison, or a harm that does not depend on weather, season, fungus or soil.
 *
 * @param animal kind of stock that it strikes so; left out: any
 */
export const harmsByItself = (plant: Plant, animal?: string): boolean =>
  plant.harm
    .filter((h) => animal === undefined || h.who.includes(animal))
    .some((h) => plant.role === 'toxic' || kindsOf(h).some((k) => !DEPENDS.has(k)))

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
export function acutenessFor(plant: Plant, animal?: string): Acuteness | undefined {
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

/** Not known is worse than lessened: what nobody has told of may be as bad as the plant standing. */
const ORDER: Record<FormWord, number> = { harmful: 2, unknown: 1, lessened: 0 }
const worst = (words: FormWord[]): FormWord => words.reduce((a, b) => (ORDER[b] > ORDER[a] ? b : a))

/**
 * What is said of one note of harm in a form: what the note says itself, else by its kinds. The exposure tells of the first; each further kind of it, and each
 * other note, goes by its kind.
 *
 * @param note one of the plant's own
 */
export function noteAs(plant: Plant, note: HarmNote, form: FeedForm): FormWord {
  if (form === 'standing') return 'harmful'
  const own = note.forms?.[form]
  if (own) return own
  const ofKinds = kindsOf(note).map((k) => madeInto[k][form] ?? 'unknown')
  if (note !== plant.harm[0] || !plant.exposure) return worst(ofKinds)
  return worst([plant.exposure.forms[form], ...ofKinds.slice(1)])
}

/**
 * What a plant is to an animal in a form, by the worst of its harms that strike it.
 *
 * @param animals kinds of stock; left out: any that the plant harms
 * @returns undefined where no harm to them is on file, which is no word of comfort
 */
export function harmAs(plant: Plant, form: FeedForm, animals?: readonly string[]): FormWord | undefined {
  const striking = plant.harm.filter((h) => !animals || h.who.some((w) => animals.includes(w)))
  return striking.length > 0 ? worst(striking.map((h) => noteAs(plant, h, form))) : undefined
}
