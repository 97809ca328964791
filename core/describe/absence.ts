import type { Vocabulary } from './vocabulary.ts'

/** The state of a character in which there is no such thing. */
const ABSENT: Record<string, string> = {
  'hairs.upper': 'none',
  'hairs.lower': 'none',
  'stem.hairs': 'none',
  'sheath.hairs': 'none',
  'petiole.hairs': 'none',
  'seedleaf.hairs': 'none',
  auricles: 'absent',
  'auricle.edge': 'bare',
  'ligule.type': 'absent',
  'leaflet.mark': 'none',
  'leaf.mark': 'none',
  'stem.marks': 'plain',
  'petiole.marks': 'plain',
  'stem.armour': 'none',
  'stem.ridges': 'smooth',
  spines: 'none',
  smell: 'none',
  'blade.crease': 'none',
  'blade.midrib': 'none-distinct',
  'blade.sheen': 'dull',
  'blade.feel': 'smooth',
  'blade.ribs': 'smooth',
  'blade.edge': 'smooth',
  'sheath.feel': 'smooth',
  'leaf.margin': 'entire',
  'leaflet.margin': 'entire',
  'leaflet.tip': 'plain',
  'leaf.coat': 'plain-green',
  sap: 'clear',
  'base.form': 'plain',
  'base.colour': 'green-or-white',
  'node.look': 'plain',
  'collar.look': 'plain',
  'rhizome.length': 'none',
  'petiole.length': 'none',
  'petiole.base': 'plain',
  'petiole.form': 'plain',
  'seed.attached': 'not-found',
  'root.cut': 'solid',
  'petiole.knobs': 'none',
}

/** Characters of two or three states of which "not this" is the others. */
const OTHERS: Record<string, readonly string[]> = {
  vernation: ['rolled', 'folded'],
  'sheath.margin': ['open', 'closed'],
  tug: ['holds', 'pulls-out'],
  'ligule.firmness': ['soft', 'hard'],
  posture: ['upright', 'bent-then-rising', 'flat', 'rosette'],
  habit: ['bunch', 'rhizome', 'stolon', 'rhizome-and-stolon', 'single-crown', 'runner-not-rooting', 'climbing'],
  'stem.inside': ['hollow', 'solid', 'pithy', 'chambered'],
  'leaf.set': ['rosette', 'alternate', 'opposite', 'whorled', 'single-frond'],
  'stem.section': ['round', 'oval', 'flat', 'wafer-flat', 'three-angled', 'square'],
  'blade.tip': ['boat', 'pointed', 'long-drawn'],
  'ligule.shape': ['flat-topped', 'rounded', 'pointed', 'ragged', 'toothed-or-notched'],
  'leaf.keep': ['falls', 'half-kept', 'evergreen'],
  'base.sheaths': ['whole', 'shreds-to-fibres', 'net-of-fibres'],
}

/** Of many marks, colours or smells one is ruled out and no more: a stem without purple spots may be tinged red. */
const ALL_BUT = new Set([
  'stem.marks',
  'petiole.marks',
  'leaf.mark',
  'leaflet.mark',
  'leaf.coat',
  'base.colour',
  'smell',
  'sap',
  'leaf.margin',
  'leaflet.margin',
  'spines',
  'stem.armour',
])

/** Spreading that a creeping plant does by stems on or under the ground. */
const CREEPING = ['rhizome', 'stolon', 'rhizome-and-stolon']

/** The state in which there is no such thing, or else the others: what a plant of a few shows that lacks a state. */
export function lackOf(character: string, states: readonly string[]): string[] {
  const absent = ABSENT[character]
  return absent !== undefined && !states.includes(absent) ? [absent] : [...(OTHERS[character] ?? [])]
}

/**
 * What it means that a character does not show a state: that there is no such thing, or that it is one of the others; empty
 * where it means nothing that could be used.
 *
 * @param book the states of each character, in the order of the book
 */
export function complementOf(
  character: string,
  states: readonly string[],
  { states: book }: Pick<Vocabulary, 'states'>,
): string[] {
  if (character === 'habit' && states.some((s) => CREEPING.includes(s))) return OTHERS['habit']!.filter((s) => !states.includes(s) && s !== 'rhizome-and-stolon') // prettier-ignore
  const absent = ABSENT[character]
  // "Not plain" says that there is something, which no state says.
  if (absent !== undefined && states.includes(absent)) return []
  if (ALL_BUT.has(character)) return (book.get(character) ?? []).filter((s) => !states.includes(s))
  if (absent !== undefined) return [absent]
  return (OTHERS[character] ?? []).filter((s) => !states.includes(s))
}
