import { type HarmKind } from '../../flora/codes.ts'
import { kindsOf, type FeedForm, type FormWord, type HarmNote, type Plant, type AtRisk } from '../../flora/flora.ts' // prettier-ignore

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
export const DEPENDS: ReadonlySet<HarmKind> = new Set([
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
export const harmsByItself = (plant: Plant, animal?: AtRisk): boolean =>
  plant.harm
    .filter((h) => animal === undefined || h.who.includes(animal))
    .some((h) => plant.role === 'toxic' || kindsOf(h).some((k) => !DEPENDS.has(k)))

/** Not known is worse than lessened: what nobody has told of may be as bad as the plant standing. */
const ORDER: Record<FormWord, number> = { harmful: 2, unknown: 1, lessened: 0 }

export const worst = (words: FormWord[]): FormWord => words.reduce((a, b) => (ORDER[b] > ORDER[a] ? b : a))

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
export function harmAs(plant: Plant, form: FeedForm, animals?: readonly AtRisk[]): FormWord | undefined {
  const striking = plant.harm.filter((h) => !animals || h.who.some((w) => animals.includes(w)))
  return striking.length > 0 ? worst(striking.map((h) => noteAs(plant, h, form))) : undefined
}
