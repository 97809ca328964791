import type { Context } from '@/core/naming/observation.ts'
import type { Look } from '../support/book.ts'
import { fieldSpecimens } from './fieldSpecimens.ts'
import { moreSpecimens } from './moreSpecimens.ts'

export interface Specimen {
  what: string
  /** Where the description comes from; "from memory" where the book was not at hand. */
  source: string
  context?: Context
  looks: Look[]
  /** The plant it is, or 'not-in-book'. */
  is: string
  /** first: the likeliest. named: also at 19 in 20 with no harm open. three: among the first three. */
  by: 'first' | 'named' | 'three'
}

const hitchcock = 'Hitchcock & Chase 1951, from memory'
const hubbard = 'Hubbard, Grasses, from memory'
const stace = 'Stace, New Flora, from memory'
const uva = 'Uva, Neal & DiTomaso, from memory'
const kingsbury = 'Kingsbury 1964, from memory'
const practice = 'common practice, no source'

/** Plants as a manual or the trade describes them, none in flower. */
export const specimens: Specimen[] = [
  // Cool grasses
  { what: 'rolled shoot, blunt stubs with tiny hairs, deep ribs, coarse, shiny back', source: practice, is: 'tall-fescue', by: 'named',
    looks: [['vernation', 'rolled'], ['auricles', 'short-blunt'], ['auricle.edge', 'hair-fringed'], ['blade.ribs', 'deep-ribs'], ['blade.sheen', 'glossy-back'], ['blade.width', 8]] },
  { what: 'stub of a coarse leaf in autumn: ribs, rough edge, clump', source: practice, context: { month: 10 }, is: 'tall-fescue', by: 'three',
    looks: [['life.form', 'grass'], ['blade.ribs', 'deep-ribs'], ['blade.edge', 'rough-sharp'], ['blade.width', 9], ['stand.look', 'clump']] },
  { what: 'like tall fescue but softer, auricle edge bare, 5 mm', source: hubbard, is: 'meadow-fescue', by: 'first',
    looks: [['vernation', 'rolled'], ['auricles', 'short-blunt'], ['auricle.edge', 'bare'], ['blade.width', 5], ['blade.sheen', 'glossy-back'], ['ligule.height', 0.5]] },
  { what: 'folded, purple base, shiny back, fine ribs, small auricles', source: hubbard, is: 'perennial-ryegrass', by: 'first',
    looks: [['vernation', 'folded'], ['base.colour', 'purple-red'], ['blade.sheen', 'glossy-back'], ['blade.ribs', 'fine-veins'], ['auricles', 'short-blunt'], ['blade.tip', 'pointed']] },
  { what: 'perennial ryegrass mown short: no tip to judge', source: practice, context: { stage: 'mown' }, is: 'perennial-ryegrass', by: 'first',
    looks: [['vernation', 'folded'], ['base.colour', 'purple-red'], ['blade.sheen', 'glossy-back']] },
  { what: 'rolled, long clasping claws, shine on both faces, pulls out', source: hitchcock, is: 'annual-ryegrass', by: 'first',
    looks: [['vernation', 'rolled'], ['auricles', 'clasping'], ['blade.sheen', 'glossy-both'], ['habit', 'bunch'], ['tug', 'pulls-out']] },
  { what: 'claws and long white rhizomes, hairs above, dull', source: uva, is: 'quackgrass', by: 'first',
    looks: [['vernation', 'rolled'], ['auricles', 'clasping'], ['habit', 'rhizome'], ['hairs.upper', 'sparse'], ['blade.sheen', 'dull']] },
  { what: 'boat tip, double rail, short ligule, rhizomes', source: hitchcock, is: 'kentucky-bluegrass', by: 'named',
    looks: [['blade.tip', 'boat'], ['blade.midrib', 'double-line'], ['ligule.height', 0.5], ['habit', 'rhizome']] },
  { what: 'boat tip, long white membrane, light green tuft that pulls out', source: hubbard, is: 'annual-bluegrass', by: 'first',
    looks: [['blade.tip', 'boat'], ['blade.midrib', 'double-line'], ['ligule.height', 2.4], ['tug', 'pulls-out'], ['blade.colour', 'light-green']] },
  { what: 'bluegrass under the mower: folded, double rail, large ligule', source: practice, context: { stage: 'mown' }, is: 'annual-bluegrass', by: 'first',
    looks: [['vernation', 'folded'], ['blade.midrib', 'double-line'], ['ligule.height', 2]] },
  { what: 'flat shoot, tall ragged ligule, keel, no auricles', source: hitchcock, is: 'orchardgrass', by: 'named',
    looks: [['stem.section', 'flat'], ['vernation', 'folded'], ['ligule.height', 6], ['ligule.shape', 'ragged'], ['blade.midrib', 'single-keel'], ['blade.width', 8]] },
  { what: 'round furred shoot with pink veins at the base', source: hubbard, is: 'velvetgrass', by: 'first',
    looks: [['vernation', 'rolled'], ['sheath.hairs', 'dense-soft'], ['base.colour', 'pink-veined'], ['blade.feel', 'velvety']] },
  { what: 'swollen base, notched ligule, rolled', source: hitchcock, is: 'timothy', by: 'first',
    looks: [['base.form', 'swollen-bulb'], ['vernation', 'rolled'], ['ligule.shape', 'toothed-or-notched'], ['ligule.height', 3]] },
  { what: 'M crease, closed sheath, no auricles, rhizomes', source: hitchcock, is: 'smooth-brome', by: 'named',
    looks: [['blade.crease', 'm-or-w'], ['sheath.margin', 'closed'], ['auricles', 'absent'], ['habit', 'rhizome'], ['vernation', 'rolled'], ['blade.width', 10]] },
  { what: 'bristle leaves, closed sheath, folded', source: hubbard, is: 'red-fescue', by: 'first',
    looks: [['blade.shape', 'thread-like'], ['blade.width', 1], ['vernation', 'folded'], ['sheath.margin', 'closed']] },
  { what: 'very broad blades on wet ground, tall ligule, thick rhizomes', source: hitchcock, is: 'reed-canarygrass', by: 'named',
    looks: [['blade.width', 14], ['ligule.height', 5], ['habit', 'rhizome'], ['vernation', 'rolled'], ['blade.midrib', 'none-distinct'], ['ligule.type', 'membrane']] },
  { what: 'fine, rooting runners, rolled, ribbed, pointed', source: hubbard, context: { stage: 'mown' }, is: 'creeping-bentgrass', by: 'first',
    looks: [['habit', 'stolon'], ['vernation', 'rolled'], ['blade.width', 2.5], ['blade.ribs', 'deep-ribs'], ['auricles', 'absent']] },
  // Warm grasses
  { what: 'no ligule at all, flat shoot', source: 'Hitchcock & Chase 1951; common practice', is: 'barnyardgrass', by: 'first',
    looks: [['life.form', 'grass'], ['ligule.type', 'absent'], ['stem.section', 'flat'], ['blade.width', 11]] },
  { what: 'tiny barnyardgrass: round shoot, no ligule', source: practice, context: { stage: 'seedling' }, is: 'barnyardgrass', by: 'first',
    looks: [['life.form', 'grass'], ['ligule.type', 'absent'], ['stem.section', 'round'], ['blade.width', 3]] },
  { what: 'white midrib, thick long rhizome, broad blade', source: practice, is: 'johnsongrass', by: 'first',
    looks: [['blade.midrib', 'white-stripe'], ['habit', 'rhizome'], ['blade.width', 20], ['rhizome.length', 'long']] },
  { what: 'johnsongrass seedling with its big dark seed', source: practice, context: { stage: 'seedling' }, is: 'johnsongrass', by: 'first',
    looks: [['life.form', 'grass'], ['seed.attached', 'large-dark'], ['vernation', 'rolled'], ['blade.width', 7], ['hairs.lower', 'none']] },
  { what: 'hairs at the ligule, tuft of hairs on the blade base, upright', source: hitchcock, is: 'switchgrass', by: 'first',
    looks: [['ligule.type', 'hairs'], ['hairs.upper', 'tuft-at-base'], ['posture', 'upright'], ['blade.width', 9]] },
  { what: 'hairs at the collar, runners above and below ground, short blades', source: hitchcock, is: 'bermudagrass', by: 'three',
    looks: [['ligule.type', 'hairs'], ['habit', 'rhizome-and-stolon'], ['blade.width', 2.5]] },
  { what: 'shaggy sheaths, toothed membrane, flat on the ground, pulls out', source: uva, is: 'large-crabgrass', by: 'first',
    looks: [['sheath.hairs', 'long-shaggy'], ['ligule.type', 'membrane'], ['posture', 'flat'], ['tug', 'pulls-out']] },
  { what: 'nearly bald clump that holds, tall pointed membrane, taller after mowing', source: practice, is: 'dallisgrass', by: 'first',
    looks: [['stand.look', 'clump'], ['tug', 'holds'], ['regrowth', 'taller'], ['ligule.height', 4], ['hairs.upper', 'tuft-at-base'], ['sheath.hairs', 'sparse']] },
  // Clovers and kin
  { what: 'pale V, hairless runners that root, fine teeth', source: stace, is: 'white-clover', by: 'first',
    looks: [['leaf.plan', 'three-palmate'], ['leaflet.mark', 'pale-v'], ['habit', 'stolon'], ['stem.hairs', 'none'], ['leaflet.length', 14]] },
  { what: 'as white clover, leaflets of 36 mm', source: 'Ball, Hoveland & Lacefield, from memory', is: 'ladino-clover', by: 'first',
    looks: [['leaf.plan', 'three-palmate'], ['habit', 'stolon'], ['stem.hairs', 'none'], ['leaflet.margin', 'fine-all-round'], ['leaflet.length', 36]] },
  { what: 'hairy, pale V, entire edge, veined stipules, from a crown', source: stace, is: 'red-clover', by: 'first',
    looks: [['leaf.plan', 'three-palmate'], ['leaflet.mark', 'pale-v'], ['stem.hairs', 'dense'], ['stipule.form', 'broad-veined'], ['habit', 'single-crown'], ['leaflet.margin', 'entire']] },
  { what: 'no mark ever, hairless, from a crown, fine teeth', source: stace, is: 'alsike-clover', by: 'first',
    looks: [['leaf.plan', 'three-palmate'], ['leaflet.mark', 'none'], ['stem.hairs', 'none'], ['habit', 'single-crown'], ['leaflet.margin', 'fine-all-round']] },
  { what: 'creeping clover with thick side veins and a hairy leaf stalk', source: stace, is: 'strawberry-clover', by: 'first',
    looks: [['leaf.plan', 'three-palmate'], ['habit', 'stolon'], ['leaflet.veins', 'strong-parallel'], ['stem.hairs', 'sparse']] },
  { what: 'heart leaflets, hairy beneath, flecks, runners that do not root', source: practice, is: 'subterranean-clover', by: 'first',
    looks: [['leaflet.shape', 'heart'], ['hairs.lower', 'long'], ['leaflet.mark', 'pale-v-and-flecks'], ['habit', 'runner-not-rooting']] },
  { what: 'middle leaflet stalked, teeth on the end third, upright from a crown', source: stace, is: 'alfalfa', by: 'first',
    looks: [['leaf.plan', 'three-pinnate'], ['leaflet.margin', 'tip-third-only'], ['posture', 'upright'], ['leaflet.length', 22]] },
  { what: 'teeth all round and a smell of sweet hay', source: stace, is: 'yellow-sweetclover', by: 'first',
    looks: [['leaf.plan', 'three-pinnate'], ['leaflet.margin', 'fine-all-round'], ['smell', 'sweet-hay'], ['posture', 'upright']] },
  { what: 'flat, hairy, small leaflets with a tiny point', source: uva, is: 'black-medic', by: 'first',
    looks: [['leaf.plan', 'three-pinnate'], ['posture', 'flat'], ['stem.hairs', 'sparse'], ['leaflet.length', 9], ['leaflet.tip', 'tiny-point']] },
  { what: 'five entire leaflets, two of them at the stem', source: stace, is: 'birdsfoot-trefoil', by: 'first',
    looks: [['leaf.plan', 'five'], ['leaflet.margin', 'entire'], ['stipule.form', 'leafy-large']] },
  { what: 'heart leaflets, entire, hairless above, no stipules worth a look', source: uva, is: 'wood-sorrel', by: 'three',
    looks: [['leaf.plan', 'three-palmate'], ['leaflet.shape', 'heart'], ['leaflet.margin', 'entire'], ['leaflet.mark', 'none'], ['life.form', 'forb', 'likely']] },
  // Broad leaves
  { what: 'long lances with strong parallel ribs in a rosette', source: stace, is: 'buckhorn-plantain', by: 'first',
    looks: [['leaf.outline', 'narrow-lance'], ['leaf.veins', 'parallel-strong'], ['leaf.set', 'rosette'], ['sap', 'clear']] },
  { what: 'broad ovals with parallel ribs in a trodden gateway', source: stace, is: 'broadleaf-plantain', by: 'first',
    looks: [['leaf.outline', 'broad-oval'], ['leaf.veins', 'parallel-strong'], ['leaf.set', 'rosette'], ['petiole.length', 'about-equal']] },
  { what: 'lobed rosette that bleeds milk', source: stace, is: 'dandelion', by: 'first',
    looks: [['leaf.outline', 'lobed'], ['sap', 'milky'], ['leaf.set', 'rosette'], ['root.kind', 'taproot']] },
  { what: 'ragged rosette, clear sap, pungent, no spines', source: stace, is: 'tansy-ragwort', by: 'first',
    looks: [['leaf.outline', 'pinnate-cut'], ['sap', 'clear'], ['spines', 'none'], ['smell', 'pungent'], ['leaf.set', 'rosette']] },
  { what: 'dagger spines and a bristly face in a rosette', source: uva, context: { stage: 'rosette' }, is: 'bull-thistle', by: 'first',
    looks: [['leaf.margin', 'spiny'], ['spines', 'leaf-edge-long-dagger'], ['hairs.upper', 'stiff']] },
  { what: 'hairless, blotched, mousy, fern leaves on a taproot', source: kingsbury, is: 'poison-hemlock', by: 'named',
    looks: [['stem.marks', 'purple-blotched'], ['smell', 'mousy-rank'], ['leaf.outline', 'fern-like'], ['stem.hairs', 'none']] },
  { what: 'hemlock rosette in early spring: fern leaf, hairless, hollow stalk', source: practice, context: { stage: 'rosette', month: 3 }, is: 'poison-hemlock', by: 'first',
    looks: [['leaf.outline', 'fern-like'], ['hairs.lower', 'none'], ['petiole.form', 'hollow'], ['smell', 'mousy-rank']] },
  { what: 'feathery, bristly, smells of carrot', source: uva, is: 'wild-carrot', by: 'first',
    looks: [['leaf.outline', 'feathery'], ['stem.hairs', 'stiff-bristly'], ['smell', 'carroty'], ['root.kind', 'taproot']] },
  { what: 'feathery, hairy, smells of medicine, creeping root', source: stace, is: 'western-yarrow', by: 'first',
    looks: [['leaf.outline', 'feathery'], ['smell', 'medicinal'], ['root.kind', 'creeping-root'], ['stem.hairs', 'long-shaggy']] },
  { what: 'saw-edged leaflets, veins to the notches, cluster of fat roots', source: kingsbury, is: 'water-hemlock', by: 'named',
    looks: [['leaf.outline', 'paired-leaflets'], ['leaf.veins', 'ends-in-notches'], ['root.kind', 'tubers'], ['stem.inside', 'chambered']] },
  { what: 'milk, paired entire leaves, red stem', source: 'Kingsbury 1964; Uva, Neal & DiTomaso, from memory', is: 'hemp-dogbane', by: 'first',
    looks: [['sap', 'milky'], ['leaf.set', 'opposite'], ['leaf.margin', 'entire'], ['stem.marks', 'red-tinged']] },
  { what: 'alternate egg leaves, clear sap, papery husk', source: practice, context: { stage: 'flowering' }, is: 'ground-cherry', by: 'first',
    looks: [['leaf.set', 'alternate'], ['sap', 'clear'], ['fruit.case', 'papery-husk'], ['leaf.outline', 'egg-widest-base']] },
  { what: 'ground cherry before the husk: soft, alternate, blunt teeth', source: 'Burrows & Tyrl, from memory', is: 'ground-cherry', by: 'three',
    looks: [['life.form', 'forb'], ['leaf.set', 'alternate'], ['leaf.outline', 'egg-widest-base'], ['leaf.margin', 'coarse-teeth'], ['hairs.lower', 'short-dense'], ['sap', 'clear']] },
  // Strangers: not in this book
  { what: 'maize seedling: very broad, rolled, wavy-edged, one stout stem, drilled', source: practice, is: 'not-in-book', by: 'first',
    looks: [['life.form', 'grass'], ['blade.width', 75], ['vernation', 'rolled'], ['ligule.type', 'membrane'], ['ligule.height', 5], ['hairs.upper', 'sparse'], ['habit', 'bunch'], ['stem.section', 'oval'], ['sheath.hairs', 'sparse'], ['base.colour', 'purple-red'], ['blade.midrib', 'white-stripe']] },
  { what: 'iris: flat fans of sword leaves from a fleshy rhizome', source: stace, is: 'not-in-book', by: 'first',
    looks: [['life.form', 'forb'], ['leaf.outline', 'linear'], ['leaf.veins', 'parallel-strong'], ['stem.section', 'wafer-flat'], ['habit', 'rhizome'], ['leaf.length', 600], ['root.kind', 'tubers'], ['smell', 'none']] },
  { what: 'conifer seedling: a whorl of needles on a woody stalk, smelling of resin', source: practice, is: 'not-in-book', by: 'first',
    looks: [['life.form', 'shrub'], ['leaf.set', 'whorled'], ['leaf.outline', 'linear'], ['smell', 'pungent'], ['posture', 'upright'], ['leaf.coat', 'shiny'], ['stem.hairs', 'none']] },
  { what: 'a plant that contradicts itself: boat tip, hairs for a ligule, bulb, shaggy', source: 'made up to contradict', is: 'not-in-book', by: 'first',
    looks: [['life.form', 'grass'], ['blade.tip', 'boat'], ['ligule.type', 'hairs'], ['base.form', 'swollen-bulb'], ['sheath.hairs', 'long-shaggy'], ['auricles', 'clasping'], ['vernation', 'folded']] },
  ...moreSpecimens,
  ...fieldSpecimens,
]
