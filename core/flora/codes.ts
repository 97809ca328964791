/** Fixed lists of codes by which rules read a plant. A rule reads codes; words for people are made of them in `text/`. */

/** Stages at which a plant is looked at. */
export const stages = ['seedling', 'vegetative', 'mown', 'rosette', 'bolting', 'flowering'] as const
export type Stage = (typeof stages)[number]

/** Who can be harmed: each by a word that rules read, so that a slip of the pen in a file is refused and not passed over. */
export const atRisk = ['cattle', 'sheep', 'goats', 'horses', 'pigs', 'poultry', 'dogs', 'people'] as const
export type AtRisk = (typeof atRisk)[number]

/** Ground where a plant is mostly met. */
export const grounds = ['wet', 'dry', 'shade', 'compacted', 'fertile', 'disturbed'] as const
export type Ground = (typeof grounds)[number]

/** What harms: a toxin, a way of harming, or a disease whose cause is not known. */
export const harmKinds = [
  'abortion',
  'aesculin',
  'awns',
  'bitter-glycosides',
  'blister-beetles',
  'blister-sap',
  'bloat',
  'bristles',
  'burs',
  'carboxyatractyloside',
  'cause-unknown',
  'chewing-disease',
  'cicutoxin',
  'colchicine',
  'coniine',
  'coumarin',
  'dicoumarol',
  'diterpenoid-alkaloids',
  'endophyte-ergot-alkaloids',
  'endophyte-lolitrem',
  'ergot',
  'furanocoumarins',
  'grass-tetany',
  'grayanotoxins',
  'haemolysis',
  'heart-glycosides',
  'hypericin',
  'hypoglycin',
  'impaction',
  'irritant-latex',
  'isoquinoline-alkaloids',
  'lantadenes',
  'liver-damage-and-sunburn',
  'milkweed-neurotoxins',
  'muscle-damage',
  'nicotine-alkaloids',
  'nitrate',
  'nitro-glycosides',
  'nitro-toxins',
  'oestrogens',
  'organosulphur-compounds',
  'oxalate',
  'perilla-ketone',
  'photosensitisation',
  'poisonous-seed',
  'pollen-and-skin-allergy',
  'prussic-acid',
  'ptaquiloside',
  'pyrrolizidine-alkaloids',
  'quinolizidine-alkaloids',
  'ranunculin',
  'saponins-and-lectins',
  'selenium',
  'sesquiterpene-lactones',
  'slobbers',
  'solanine',
  'sorghum-cystitis',
  'steroidal-alkaloids',
  'steroidal-saponins',
  'stinging-hairs',
  'stringhalt',
  'swainsonine',
  'tannins',
  'taxines',
  'thiaminase',
  'tremetol',
  'tropane-alkaloids',
  'tryptamine-alkaloids',
  'vetch-disease',
  'volatile-oils',
  'walnut-laminitis',
  // What a reader wrote of an own plant before kinds were codes.
  'unclassified',
] as const
export type HarmKind = (typeof harmKinds)[number]

/**
 * How a harm goes, the worst first: it kills within hours; sickens within days; adds up over days to months; lowers yield or
 * fertility; irritates.
 */
export const acutenesses = ['hours', 'days', 'adds-up', 'yield', 'irritates'] as const
export type Acuteness = (typeof acutenesses)[number]

/** When herbicide travels down into a creeping root best. */
export const bestTimes = ['bud', 'autumn-regrowth'] as const
export type BestTime = (typeof bestTimes)[number]

/** What a person wears where a plant harms people or where it is worked on. */
export const protectiveItems = ['gloves', 'waterproof-gloves', 'long-sleeves', 'eye-cover', 'dust-mask'] as const
export type ProtectiveItem = (typeof protectiveItems)[number]

/** The part of a plant that a reported dose is of. */
export const doseParts = ['plant', 'leaf', 'root', 'seed', 'burs', 'seedlings', 'not-said'] as const
export type DosePart = (typeof doseParts)[number]
export const doseStates = ['fresh', 'dry'] as const
export type DoseState = (typeof doseStates)[number]
/** How a reported dose was taken up, where not at once. */
export const doseTimes = ['over-one-to-three-weeks', 'added-up-over-weeks'] as const
export type DoseTime = (typeof doseTimes)[number]

/** What much of a plant says of the ground or of past management; marks stand in `core/assess/indicators/siteIndicators.ts`. */
export const indications = [
  'nitrogen-short',
  'grazed-hard',
  'compacted',
  'wet',
  'shaded',
  'disturbed',
  'thin',
  'acid',
  'hungry',
] as const
export type Indication = (typeof indications)[number]

/** Where a plant of the edge of the field stands: what a walk along the fence looks at. */
export const edges = ['hedge', 'ditch', 'wood', 'planted'] as const
export type Edge = (typeof edges)[number]

/** Traits that rules of use read. Common practice, no source. */
export const traits = [
  'refused', // left by most stock, or once it is stemmy
  'stands-close-grazing',
  'needs-rest', // goes out when grazed close
  'mown-whole', // tall: a mower takes all of it
  'dries-slowly', // a day or more longer than grass
  'grows-in-drought', // roots deep, grows at midsummer
  'repairs-turf', // forage grass that is sown into turf too
  'own-sod', // makes a sod of its own: nothing to be drilled into another one
  'autotoxic', // does not come up where it stands or has just stood
  'not-for-hay', // too low, or too soft, to be sown for hay
] as const
export type Trait = (typeof traits)[number]
