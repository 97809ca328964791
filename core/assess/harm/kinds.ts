import type { HarmKind } from '../../flora/codes.ts'
import { kindsOf, type FeedForm, type FormWord, type HarmNote, type Plant } from '../../flora/flora.ts'

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
  awns: KEEPS_DRY,
  // The beetles are crushed into the bale by conditioning.
  'blister-beetles': { wilted: 'harmful', hay: 'harmful' },
  'blister-sap': {},
  bloat: { wilted: 'lessened', hay: 'lessened', silage: 'lessened' },
  bristles: KEEPS_DRY,
  burs: KEEPS_DRY,
  carboxyatractyloside: KEEPS,
  'cause-unknown': {},
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
  'heart-glycosides': KEEPS,
  hypericin: KEEPS_DRY,
  impaction: KEEPS_DRY,
  'irritant-latex': KEEPS_DRY,
  'liver-damage-and-sunburn': KEEPS_DRY,
  'milkweed-neurotoxins': KEEPS,
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
  slobbers: KEEPS_DRY,
  solanine: KEEPS,
  'sorghum-cystitis': { wilted: 'unknown', hay: 'lessened', silage: 'lessened' },
  'steroidal-alkaloids': KEEPS,
  'steroidal-saponins': KEEPS,
  'stinging-hairs': DRIES_OUT,
  stringhalt: {},
  swainsonine: KEEPS,
  thiaminase: KEEPS_DRY,
  tremetol: KEEPS_DRY,
  'tropane-alkaloids': KEEPS,
  'tryptamine-alkaloids': KEEPS,
  'vetch-disease': KEEPS_DRY,
  'volatile-oils': {},
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

/** Kinds that are told to kill within hours or a day. Kingsbury 1964 and Burrows & Tyrl, from memory. */
const WITHIN_HOURS: ReadonlySet<HarmKind> = new Set([
  'carboxyatractyloside',
  'cicutoxin',
  'coniine',
  'diterpenoid-alkaloids',
  'heart-glycosides',
  'milkweed-neurotoxins',
  'nitro-glycosides',
  'perilla-ketone',
  'prussic-acid',
  'solanine',
  'steroidal-alkaloids',
  'tropane-alkaloids',
])
/** Kinds that add up over days to months; the harm may show when nothing of the plant is eaten any more. */
const ADDS_UP: ReadonlySet<HarmKind> = new Set([
  'liver-damage-and-sunburn',
  'ptaquiloside',
  'pyrrolizidine-alkaloids',
  'quinolizidine-alkaloids',
  'swainsonine',
  'thiaminase',
  'tremetol',
])

/** How soon a plant harms, by the worst of its kinds. */
export type Haste = 'within-hours' | 'adds-up' | 'other'

export function hasteOf(plant: Plant): Haste {
  const kinds = plant.harm.flatMap(kindsOf)
  if (kinds.some((k) => WITHIN_HOURS.has(k))) return 'within-hours'
  return kinds.some((k) => ADDS_UP.has(k)) ? 'adds-up' : 'other'
}

/** Not known is worse than lessened: what nobody has told of may be as bad as the plant standing. */
const ORDER: Record<FormWord, number> = { harmful: 2, unknown: 1, lessened: 0 }
const worst = (words: FormWord[]): FormWord => words.reduce((a, b) => (ORDER[b] > ORDER[a] ? b : a))

/**
 * What is said of one note of harm in a form. The plant's file tells of its first harm; each further kind of it, and each
 * other note, goes by its kind.
 *
 * @param note one of the plant's own
 */
export function noteAs(plant: Plant, note: HarmNote, form: FeedForm): FormWord {
  if (form === 'standing') return 'harmful'
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
