import { without } from '../records/merge.ts'
import type { Read } from './description.ts'
import type { Vocabulary } from './vocabulary.ts'

type Said = Read & { sentence: number; corrects: boolean; either: boolean; weak?: boolean; ruledOut?: boolean }

/** What is meant on a clover or a herb by words that are first read of a grass, and the other way round. */
const SHIFTED: Record<string, Record<string, Record<string, string>>> = {
  legume: {
    'leaf.margin': { entire: 'leaflet.margin=entire', 'fine-teeth': 'leaflet.margin=fine-all-round', 'saw-teeth': 'leaflet.margin=strong-all-round', 'coarse-teeth': 'leaflet.margin=strong-all-round' },
    'leaf.outline': { 'heart-or-arrow': 'leaflet.shape=heart', 'egg-widest-middle': 'leaflet.shape=egg', 'egg-widest-base': 'leaflet.shape=egg', 'narrow-lance': 'leaflet.shape=oblong-pointed', fingered: 'leaf.plan=fingers', 'three-leaflets': 'leaf.plan=three-palmate|three-pinnate', 'paired-leaflets': 'leaf.plan=many-no-tendril|many-with-tendril', 'round-kidney': 'leaflet.shape=round', linear: 'leaflet.shape=narrow' },
    'leaf.mark': { 'pale-chevron': 'leaflet.mark=pale-v', 'dark-spot': 'leaflet.mark=dark-flecks' },
    'blade.feel': { velvety: 'hairs.upper=velvety' },
  },
  forb: {
    'blade.sheen': { 'glossy-back': 'leaf.coat=shiny', 'glossy-both': 'leaf.coat=shiny', waxy: 'leaf.coat=blue-bloom', dull: 'leaf.coat=plain-green' },
    'blade.shape': { 'long-narrow': 'leaf.outline=narrow-lance', 'thread-like': 'leaf.outline=linear' },
    'blade.colour': { 'grey-green': 'leaf.coat=silver-grey|blue-bloom', 'blue-green': 'leaf.coat=blue-bloom' },
    'leaf.plan': { 'three-palmate': 'leaf.outline=three-leaflets', 'three-pinnate': 'leaf.outline=three-leaflets', fingers: 'leaf.outline=fingered', 'many-no-tendril': 'leaf.outline=paired-leaflets' },
    'leaflet.mark': { 'pale-v': 'leaf.mark=pale-chevron', 'dark-flecks': 'leaf.mark=dark-spot' },
    'leaflet.shape': { 'oblong-pointed': 'leaf.outline=egg-widest-middle', heart: 'leaf.outline=heart-or-arrow', egg: 'leaf.outline=egg-widest-middle', round: 'leaf.outline=round-kidney', narrow: 'leaf.outline=narrow-lance' },
    'leaflet.margin': { 'tip-third-only': 'leaf.margin=coarse-teeth', 'fine-all-round': 'leaf.margin=fine-teeth', 'strong-all-round': 'leaf.margin=coarse-teeth' },
    'blade.width': {},
    'blade.ribs': { 'deep-ribs': 'leaf.veins=parallel-strong' },
    'blade.midrib': {},
  },
  grass: {
    'leaf.outline': { linear: 'blade.shape=long-narrow', 'narrow-lance': 'blade.shape=long-narrow' },
    'leaf.coat': { shiny: 'blade.sheen=glossy-back|glossy-both', 'blue-bloom': 'blade.colour=blue-green', 'silver-grey': 'blade.colour=grey-green', 'purple-beneath': 'base.colour=purple-red' },
    'leaf.length': {},
    'stem.marks': { 'red-tinged': 'base.colour=purple-red' },
    'leaf.margin': { spiny: 'blade.edge=rough-sharp', 'saw-teeth': 'blade.edge=rough-sharp' },
  },
} // prettier-ignore

/** Characters that are looked for on one kind of plant alone, and so tell which it is. */
const TELLING: Record<string, RegExp> = {
  grass: /^(vernation|ligule|auricle|collar|sheath|blade\.(?!feel|sheen|colour|posture|edge)|base\.|texture|tug)/,
  legume: /^(leaflet|stipule|leaf\.plan)/,
  forb: /^(leaf\.(outline|margin|veins|coat|mark|section)|petiole\.(?!hairs|length)|spines|stem\.(armour|marks|ridges)|sap|root\.cut|seedleaf|leaf\.keep|bud\.|twig\.|bark\.)/,
}

/** Which kind of plant is spoken of, if that can be told. */
function formOf(said: readonly Said[]): string | undefined {
  const named = said.find((o) => o.character === 'life.form' && 'states' in o && o.states.length === 1)
  if (named && 'states' in named) {
    const [form] = named.states
    return form === 'sedge' || form === 'rush' ? 'grass' : form === 'shrub' ? 'forb' : form
  }
  const votes = Object.entries(TELLING).map(
    ([form, test]) => [form, said.filter((o) => test.test(o.character)).length] as const,
  )
  const [best, next] = votes.toSorted((a, b) => b[1] - a[1])
  return best![1] > next![1] ? best![0] : undefined
}

/** Of these a plant may show two at once: a list of them is either. */
const LISTED = new Set(['habit', 'leaf.margin', 'stem.hairs', 'blade.colour', 'smell', 'leaf.outline'])

const same = (a: readonly string[], b: readonly string[]) => a.length === b.length && a.every((s) => b.includes(s))

/** An observation as it is meant on such a plant; left out where it means nothing there. */
function shifted(o: Said, form: string | undefined, { forms }: Vocabulary): Said[] {
  const table = form ? SHIFTED[form]?.[o.character] : undefined
  if (!table) return form && !(forms.get(o.character) ?? [form]).some((f) => kin(form).includes(f)) ? [] : [o]
  if (!('states' in o)) return Object.keys(table).length === 0 ? [] : [o]
  // What is left where one state was ruled out was not said of the other part.
  if (o.ruledOut && o.states.length > 1) return (forms.get(o.character) ?? []).some((f) => kin(form!).includes(f)) ? [o] : [] // prettier-ignore
  const meant = o.states.flatMap((s) => (table[s] ? [table[s]] : []))
  if (meant.length === 0) return (forms.get(o.character) ?? []).some((f) => kin(form!).includes(f)) ? [o] : []
  const [character] = meant[0]!.split('=') as [string]
  return [{ ...o, weak: true, character, states: [...new Set(meant.filter((m) => m.startsWith(`${character}=`)).flatMap((m) => m.split('=')[1]!.split('|')))] }] // prettier-ignore
}
const kin = (form: string): string[] => form === 'grass' ? ['grass', 'sedge', 'rush'] : form === 'forb' ? ['forb', 'shrub'] : [form] // prettier-ignore

/** One observation for each character: taken back, narrowed, or either of two. */
export function settled(said: readonly Said[], vocabulary: Vocabulary): Read[] {
  const form = formOf(said)
  const out: Said[] = []
  for (const o of said.flatMap((x) => shifted(x, form, vocabulary))) {
    const at = out.findIndex((x) => x.character === o.character)
    if (at < 0) {
      out.push(o)
      continue
    }
    const before = out[at]!
    // What was said of it in its own words goes before what was only meant.
    if (o.weak && !before.weak) continue
    if (o.corrects) {
      const { sureness } = before
      out.splice(at, 1)
      out.push(sureness && !o.sureness ? { ...o, sureness } : o)
    } else if ('states' in o && 'states' in before) {
      const both = before.states.filter((s) => o.states.includes(s))
      if (o.either)
        out[at] = { ...before, states: [...new Set([...before.states, ...o.states])], span: [before.span[0], o.span[1]] } // prettier-ignore
      else if (both.length > 0) out[at] = same(both, before.states) ? before : { ...o, states: both }
      else if (o.sentence === before.sentence && LISTED.has(o.character))
        out[at] = { ...before, states: [...before.states, ...o.states] } // prettier-ignore
      else out[at] = o
    } else if (!('states' in o)) out[at] = o
  }
  const own = ['sentence', 'corrects', 'either', 'weak', 'ruledOut'] as const
  return out.map((o) => own.reduce<Read>((read, key) => without(read, key as keyof Read) as Read, o))
}
