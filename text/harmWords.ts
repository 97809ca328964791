import type { DosePart, DoseState, DoseTime, HarmKind } from '@/core/flora/codes.ts'
import { kindsOf, type HarmNote, type ReportedDose } from '@/core/flora/flora.ts'
import { say } from './say.ts'

const kinds: Record<HarmKind, () => string> = {
  abortion: () => say('loss of the unborn'),
  aesculin: () => say('aesculin and saponins'),
  awns: () => say('awns'),
  'bitter-glycosides': () => say('bitter glycosides'),
  'blister-beetles': () => say('blister beetles baled in hay (cantharidin)'),
  'blister-sap': () => say('blister sap'),
  bloat: () => say('bloat'),
  bristles: () => say('bristles'),
  burs: () => say('burs'),
  carboxyatractyloside: () => say('carboxyatractyloside'),
  'cause-unknown': () => say('cause unknown'),
  'chewing-disease': () => say('chewing disease of horses'),
  cicutoxin: () => say('cicutoxin'),
  coniine: () => say('coniine and kindred alkaloids'),
  coumarin: () => say('coumarin in mouldy hay'),
  dicoumarol: () => say('dicoumarol in mouldy hay'),
  'diterpenoid-alkaloids': () => say('diterpenoid alkaloids'),
  'endophyte-ergot-alkaloids': () => say('fungal endophyte (ergot alkaloids)'),
  'endophyte-lolitrem': () => say('fungal endophyte (lolitrem)'),
  ergot: () => say('ergot of the seed heads'),
  furanocoumarins: () => say('blister sap (furanocoumarins)'),
  'grass-tetany': () => say('grass tetany (low magnesium)'),
  grayanotoxins: () => say('grayanotoxins'),
  haemolysis: () => say('destruction of red blood'),
  colchicine: () => say('colchicine'),
  'heart-glycosides': () => say('heart glycosides'),
  hypericin: () => say('hypericin (photosensitisation)'),
  hypoglycin: () => say('hypoglycin (muscle breakdown of horses)'),
  impaction: () => say('impaction from ripe heads'),
  'irritant-latex': () => say('irritant latex'),
  'isoquinoline-alkaloids': () => say('isoquinoline alkaloids'),
  lantadenes: () => say('liver poison and sunburn (lantadenes)'),
  'liver-damage-and-sunburn': () => say('liver damage and sunburn (cause unknown)'),
  'milkweed-neurotoxins': () => say('nerve toxins of milkweed'),
  'muscle-damage': () => say('muscle damage'),
  'nicotine-alkaloids': () => say('nicotine and kindred alkaloids'),
  nitrate: () => say('nitrate'),
  'nitro-glycosides': () => say('nitro glycosides'),
  'nitro-toxins': () => say('nitro toxins'),
  oestrogens: () => say('oestrogens'),
  'organosulphur-compounds': () => say('organosulphur compounds'),
  oxalate: () => say('oxalate'),
  'perilla-ketone': () => say('perilla ketone'),
  photosensitisation: () => say('sunburn after eating (photosensitisation)'),
  'poisonous-seed': () => say('seed'),
  'pollen-and-skin-allergy': () => say('pollen and skin allergy'),
  'prussic-acid': () => say('prussic acid'),
  ptaquiloside: () => say('ptaquiloside'),
  'pyrrolizidine-alkaloids': () => say('pyrrolizidine alkaloids'),
  'quinolizidine-alkaloids': () => say('quinolizidine and piperidine alkaloids'),
  ranunculin: () => say('ranunculin'),
  'saponins-and-lectins': () => say('saponins and lectins'),
  selenium: () => say('selenium'),
  'sesquiterpene-lactones': () => say('bitter lactones'),
  slobbers: () => say('slobbers (fungus of the leaf)'),
  solanine: () => say('solanine kind'),
  'sorghum-cystitis': () => say('cystitis and weakness of the hind legs'),
  'steroidal-alkaloids': () => say('steroidal alkaloids'),
  'steroidal-saponins': () => say('saponins (photosensitisation)'),
  'stinging-hairs': () => say('stinging hairs'),
  stringhalt: () => say('stringhalt (cause unknown)'),
  swainsonine: () => say('swainsonine'),
  tannins: () => say('tannins'),
  taxines: () => say('taxine'),
  thiaminase: () => say('thiaminase'),
  tremetol: () => say('tremetol'),
  'tropane-alkaloids': () => say('tropane alkaloids'),
  'tryptamine-alkaloids': () => say('tryptamine alkaloids'),
  'vetch-disease': () => say('vetch disease (cause unknown)'),
  'volatile-oils': () => say('volatile oils'),
  'walnut-laminitis': () => say('laminitis from fresh shavings'),
  unclassified: () => say('of a kind not listed'),
}

/** What harms, each kind of a note in turn. */
export const harmKindWords = (h: Pick<HarmNote, 'kind' | 'also'>): string =>
  kindsOf(h).reduce(
    (said, k, i) => (i === 0 ? kinds[k]() : say('{{names}} and {{at}}', { names: said, at: kinds[k]() })),
    '',
  )

const parts: Record<DosePart, () => string> = {
  plant: () => say('plant'),
  leaf: () => say('leaf'),
  root: () => say('root'),
  seed: () => say('pods and seed'),
  burs: () => say('ground burs'),
  seedlings: () => say('seedlings'),
  'not-said': () => say('part not said'),
}
const states: Record<DoseState, (part: string) => string> = {
  fresh: (part) => say('fresh {{part}}', { part }),
  dry: (part) => say('dry {{part}}', { part }),
}
const times: Record<DoseTime, (what: string) => string> = {
  'over-one-to-three-weeks': (what) => say('{{what}}, over one to three weeks', { what }),
  'added-up-over-weeks': (what) => say('{{what}}, added up over weeks', { what }),
}

/** Of what a dose was reported: "fresh root", "dry leaf". */
export function doseOfWords({ part, state, taken }: Pick<ReportedDose, 'part' | 'state' | 'taken'>): string {
  const what = state ? states[state](parts[part]()) : parts[part]()
  return taken ? times[taken](what) : what
}
