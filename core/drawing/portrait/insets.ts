import { collarOf } from '../collarPortrait.ts'
import { drawState } from '../drawState.ts'
import { TITLES, type Shown } from './insetTitles.ts'
import type { Inset, Traits } from './portrait.ts'
import { roundBar } from './portrait.ts'

/** States that are nothing to point at. */
const PLAIN = new Set(['none', 'absent', 'plain', 'plain-green', 'none-distinct', 'not-found', 'clear', 'round', 'smooth', 'green-or-white', 'bare', 'netted', 'pale', 'mid-green', 'solid', 'no', 'green', 'thin-inconspicuous', 'fine-veins', 'dull', 'tears-easily', 'tough', 'faint', 'entire'])

/** Close looks worth having for each kind of plant, the most telling first; plain states are passed over. */
const TELLING: Record<'grass' | 'legume' | 'forb' | 'sedge' | 'rush' | 'shrub', Shown[]> = {
  grass: ['base.form', 'blade.crease', 'auricle.edge', 'base.colour', 'smell', 'blade.tip', 'sheath.hairs', 'collar.look', 'blade.midrib', 'hairs.upper', 'blade.edge', 'sheath.margin', 'blade.ribs', 'stem.section'],
  legume: ['leaflet.tip', 'stipule.form', 'leaflet.mark', 'leaflet.veins', 'stem.hairs', 'smell', 'stipule.colour', 'leaflet.margin', 'hairs.lower', 'stem.inside'],
  forb: ['stem.marks', 'stem.armour', 'sap', 'stem.hairs', 'node.look', 'leaf.mark', 'leaf.coat', 'smell', 'stem.section', 'leaf.veins', 'hairs.upper', 'hairs.lower', 'leaf.margin', 'stem.inside', 'root.kind', 'petiole.form', 'stem.ridges', 'root.colour'],
  sedge: ['stem.section', 'leaf.ranks', 'blade.tip', 'root.kind', 'stem.inside', 'sheath.margin'],
  rush: ['stem.inside', 'leaf.ranks', 'stem.section', 'root.kind'],
  shrub: ['petiole.knobs', 'stem.armour', 'twig.inside', 'leaf.margin', 'bud.look', 'smell', 'twig.look', 'leaf.coat', 'leaf.keep', 'bud.set', 'leaf.veins', 'bark.look', 'hairs.upper', 'stem.hairs', 'hairs.lower'],
}

function stateInset(character: Shown, traits: Traits): Inset | undefined {
  const state = traits.states[character]
  const marks = state ? drawState(character, state) : undefined
  return marks && { character, title: TITLES[character], marks }
}

function collarInset(traits: Traits): Inset | undefined {
  // Drawn as large as the circle allows: the bar says how large that is.
  const width = traits.sizes['blade.width'] ?? 5
  const perMm = Math.min(24, Math.max(1.5, Math.min(50 / width, 40 / (traits.sizes['ligule.height'] ?? 1))))
  const marks = collarOf(traits, perMm)
  return marks && { character: 'ligule.type', title: 'collar', marks, bar: roundBar(perMm, 26) }
}

/**
 * Three close looks in the order an eye would take them: what is always looked at in such a plant, then what is
 * remarkable about this one.
 */
export function insetsOf(form: keyof typeof TELLING, traits: Traits, first: (Inset | undefined)[] = [], count = 3): Inset[] {
  const always = form === 'grass' ? [collarInset(traits), stateInset('vernation', traits)] : []
  const fixed = [...first, ...always].filter((i) => i !== undefined)
  // A tip cannot be looked at where it was cut off.
  const there = TELLING[form].filter((c) => !(traits.mown && c === 'blade.tip'))
  const telling = there.filter((c) => traits.states[c] !== undefined && !PLAIN.has(traits.states[c]!) && !fixed.some((f) => f.character === c)).map((c) => stateInset(c, traits))
  const seen = new Set<string>()
  return [...fixed, ...telling]
    .filter((i) => i !== undefined)
    .filter((i) => !seen.has(i.title) && seen.add(i.title))
    .slice(0, count)
}
