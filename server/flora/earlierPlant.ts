import { atRisk, doseParts, harmKinds, protectiveItems, type DosePart, type DoseState, type HarmKind, type ProtectiveItem } from '@/core/flora/codes.ts' // prettier-ignore

/** Kinds of harm as plant files wrote them before they were codes. */
const earlierKinds: Record<string, HarmKind[]> = {
  'nitrate and oxalate': ['nitrate', 'oxalate'],
  'grass tetany (low magnesium)': ['grass-tetany'],
  seed: ['poisonous-seed'],
  'blister sap (furanocoumarins)': ['furanocoumarins'],
  'blister sap': ['blister-sap'],
  'sunburn after eating (photosensitisation)': ['photosensitisation'],
  'solanine kind': ['solanine'],
  'pyrrolizidine alkaloids': ['pyrrolizidine-alkaloids'],
  'pollen and skin allergy': ['pollen-and-skin-allergy'],
  'heart glycosides': ['heart-glycosides'],
  'cystitis and weakness of the hind legs': ['sorghum-cystitis'],
  'tryptamine alkaloids': ['tryptamine-alkaloids'],
  'saponins (photosensitisation)': ['steroidal-saponins'],
  'liver damage and sunburn (cause unknown)': ['liver-damage-and-sunburn'],
  'fungal endophyte (lolitrem)': ['endophyte-lolitrem'],
  'fungal endophyte (ergot alkaloids)': ['endophyte-ergot-alkaloids'],
  'ergot of the seed heads': ['ergot'],
  'prussic acid and nitrate': ['prussic-acid', 'nitrate'],
  'nitrate and prussic acid': ['nitrate', 'prussic-acid'],
  'dicoumarol in mouldy hay': ['dicoumarol'],
  'coumarin in mouldy hay': ['coumarin'],
  'coniine and kindred alkaloids': ['coniine'],
  'volatile oils': ['volatile-oils'],
  'vetch disease (cause unknown)': ['vetch-disease'],
  'tropane alkaloids': ['tropane-alkaloids'],
  'stringhalt (cause unknown)': ['stringhalt'],
  'stinging hairs': ['stinging-hairs'],
  'steroidal alkaloids': ['steroidal-alkaloids'],
  'slobbers (fungus of the leaf)': ['slobbers'],
  'saponins and lectins': ['saponins-and-lectins'],
  'quinolizidine and piperidine alkaloids': ['quinolizidine-alkaloids'],
  'ptaquiloside and thiaminase': ['ptaquiloside', 'thiaminase'],
  'prussic acid': ['prussic-acid'],
  'photosensitisation and nitrate': ['photosensitisation', 'nitrate'],
  'perilla ketone': ['perilla-ketone'],
  'organosulphur compounds': ['organosulphur-compounds'],
  'nitro toxins and selenium': ['nitro-toxins', 'selenium'],
  'nitro glycosides': ['nitro-glycosides'],
  'nerve toxins of milkweed': ['milkweed-neurotoxins'],
  'irritant latex': ['irritant-latex'],
  'impaction from ripe heads': ['impaction'],
  'hypericin (photosensitisation)': ['hypericin'],
  'diterpenoid alkaloids': ['diterpenoid-alkaloids'],
  'cause unknown': ['cause-unknown'],
  'blister beetles baled in hay (cantharidin)': ['blister-beetles'],
}

const earlierWear: Record<string, ProtectiveItem[]> = {
  'gloves, long sleeves': ['gloves', 'long-sleeves'],
  'waterproof gloves, sleeves, eye cover': ['waterproof-gloves', 'long-sleeves', 'eye-cover'],
  'dust mask where fronds bear spores': ['dust-mask'],
}

type Loose = Record<string, unknown>
const isObject = (x: unknown): x is Loose => typeof x === 'object' && x !== null && !Array.isArray(x)
const listOf = (x: unknown): Loose[] => (Array.isArray(x) ? x.filter(isObject) : [])

/** Who is no code was kept as it was typed, and may be a person by another word: the harm is told of all, with the word in the note. */
function whoNow(h: Loose): void {
  if (!Array.isArray(h.who)) return
  const others = h.who.filter((w) => !(atRisk as readonly unknown[]).includes(w)).join(', ')
  if (others === '') return
  Object.assign(h, { who: [...atRisk], note: `${others}: ${String(h.note)}` })
}

function harmNow(h: Loose, keepAll: boolean): void {
  if (keepAll) whoNow(h)
  if (typeof h.kind !== 'string' || (harmKinds as readonly string[]).includes(h.kind)) return
  const [kind, ...also] = earlierKinds[h.kind] ?? []
  if (kind) Object.assign(h, { kind, ...(also.length > 0 ? { also } : {}) })
  else if (keepAll) Object.assign(h, { kind: 'unclassified', note: `${h.kind}. ${String(h.note)}` })
}

function wearNow(c: Loose, keepAll: boolean): void {
  if (typeof c.wear !== 'string') return
  const items =
    earlierWear[c.wear] ?? protectiveItems.filter((i) => (c.wear as string).includes(i.replaceAll('-', ' ')))
  if (earlierWear[c.wear]) c.wear = items
  else if (keepAll) Object.assign(c, { do: `${String(c.do)} (${c.wear})`, wear: items })
}

/** "fresh root" was one text; the part and its state stand apart now. */
function doseNow(d: Loose, keepAll: boolean): void {
  if (typeof d.of !== 'string') return
  const text = d.of
  const part: DosePart | undefined = doseParts.find((p) => text.includes(p)) ?? (/pods/.test(text) ? 'seed' : undefined)
  if (!part && !keepAll) return
  const state: DoseState | undefined = /fresh/.test(text) ? 'fresh' : /dry/.test(text) ? 'dry' : undefined
  const taken = /added up/.test(text)
    ? 'added-up-over-weeks'
    : /weeks/.test(text)
      ? 'over-one-to-three-weeks'
      : undefined
  delete d.of
  Object.assign(d, { part: part ?? 'not-said', ...(state ? { state } : {}), ...(taken ? { taken } : {}) })
}

/** A dose for an animal that is no code is told with the signs, since no animal of the list may be reckoned by it. */
function dosesOfOthers(exposure: Loose): void {
  const doses = listOf(exposure.doses)
  const others = doses.filter((d) => typeof d.animal === 'string' && !(atRisk as readonly string[]).includes(d.animal))
  if (others.length === 0) return
  const told = others.map((d) => `${String(d.animal)}: ${[d.percent].flat().join(' to ')} %`).join(', ')
  Object.assign(exposure, {
    doses: doses.filter((d) => !others.includes(d)),
    signs: `${String(exposure.signs)} (${told})`,
  })
}

/**
 * A plant file written before kinds of harm, protective clothing and doses were codes, as it is written now.
 *
 * @param raw what YAML made of the file; changed in place
 * @param keepAll a plant that is kept already: a text that is no code is put beside the note, not refused
 */
export function asWrittenNow(raw: object, keepAll: boolean): void {
  const file = raw as Loose
  for (const h of listOf(file.harm)) harmNow(h, keepAll)
  for (const c of listOf(file.control)) wearNow(c, keepAll)
  if (isObject(file.exposure) && keepAll) dosesOfOthers(file.exposure)
  if (isObject(file.exposure)) for (const d of listOf(file.exposure.doses)) doseNow(d, keepAll)
}
