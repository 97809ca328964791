import type { Stage } from '@/core/flora/flora.ts'
import type { Look } from '../support/book.ts'

/** A true description of a harmful plant at a stage; none may strike it off or call it by a harmless name. */
export interface HarmfulDescription {
  is: string
  stage: Stage
  what: string
  source: string
  looks: Look[]
}

const uva = 'Uva, Neal & DiTomaso, from memory'
const stace = 'Stace, New Flora, from memory'
const kingsbury = 'Kingsbury 1964, from memory'
const burrows = 'Burrows & Tyrl, from memory'
const gleason = 'Gleason & Cronquist, from memory'
const west = 'Weeds of the West, from memory'

export const harmfulDescriptions: HarmfulDescription[] = [
  // The hemlock family, stage by stage
  { is: 'water-hemlock', stage: 'vegetative', what: 'many narrow saw-edged leaflets, bald hollow stem, clear sap', source: gleason,
    looks: [['life.form', 'forb'], ['leaf.plan', 'many-no-tendril'], ['leaflet.shape', 'narrow'], ['leaflet.margin', 'strong-all-round'], ['leaf.outline', 'paired-leaflets'], ['leaf.margin', 'saw-teeth'], ['stem.hairs', 'none'], ['stem.inside', 'hollow'], ['sap', 'clear']] },
  { is: 'water-hemlock', stage: 'vegetative', what: 'ferny lower leaves, no smell, fibrous roots of a young plant', source: burrows,
    looks: [['life.form', 'forb'], ['leaf.outline', 'fern-like'], ['smell', 'none'], ['root.kind', 'fibrous'], ['stem.hairs', 'none'], ['leaf.veins', 'ends-in-notches']] },
  { is: 'water-hemlock', stage: 'seedling', what: 'three toothed leaflets, bald, on thin roots', source: gleason,
    looks: [['life.form', 'forb'], ['leaf.outline', 'three-leaflets'], ['leaf.margin', 'saw-teeth'], ['hairs.upper', 'none'], ['root.kind', 'fibrous'], ['smell', 'none']] },
  { is: 'poison-hemlock', stage: 'rosette', what: 'fern-like, many leaflets, bald, mousy', source: stace,
    looks: [['life.form', 'forb'], ['leaf.plan', 'many-no-tendril'], ['leaflet.margin', 'strong-all-round'], ['leaf.outline', 'fern-like'], ['smell', 'mousy-rank'], ['hairs.upper', 'none'], ['leaf.set', 'rosette']] },
  { is: 'poison-hemlock', stage: 'rosette', what: 'the same in the cold, without a smell and unblotched', source: west,
    looks: [['life.form', 'forb'], ['leaf.plan', 'many-no-tendril'], ['leaf.outline', 'fern-like'], ['smell', 'none'], ['hairs.upper', 'none'], ['petiole.marks', 'plain'], ['petiole.hairs', 'none']] },
  { is: 'poison-hemlock', stage: 'rosette', what: 'smells of parsnip to the finder, grooved stalk, taproot', source: burrows,
    looks: [['life.form', 'forb'], ['leaf.outline', 'paired-leaflets'], ['smell', 'parsnip-celery'], ['petiole.form', 'grooved'], ['root.kind', 'taproot'], ['leaf.plan', 'many-no-tendril']] },
  { is: 'poison-hemlock', stage: 'seedling', what: 'long narrow seed leaves, first leaf cut, bald', source: uva,
    looks: [['life.form', 'forb'], ['seedleaf.shape', 'strap'], ['seedleaf.hairs', 'none'], ['leaf.outline', 'pinnate-cut'], ['hairs.upper', 'none'], ['smell', 'none']] },
  { is: 'poison-hemlock', stage: 'bolting', what: 'blotched bald stem, hollow, sheathed joints', source: stace,
    looks: [['life.form', 'forb'], ['stem.marks', 'purple-blotched'], ['stem.hairs', 'none'], ['stem.inside', 'hollow'], ['node.look', 'sheathed'], ['leaf.outline', 'fern-like']] },
  { is: 'poison-hemlock', stage: 'bolting', what: 'shaded shoot without blotches', source: burrows,
    looks: [['life.form', 'forb'], ['stem.marks', 'plain'], ['stem.hairs', 'none'], ['stem.inside', 'hollow'], ['leaf.outline', 'fern-like'], ['smell', 'pungent']] },
  { is: 'wild-parsnip', stage: 'rosette', what: 'few broad leaflets, smell of parsnip, grooved stalk', source: stace,
    looks: [['life.form', 'forb'], ['leaf.plan', 'many-no-tendril'], ['leaflet.shape', 'egg'], ['smell', 'parsnip-celery'], ['petiole.form', 'grooved'], ['leaf.set', 'rosette']] },
  { is: 'wild-parsnip', stage: 'seedling', what: 'kidney-shaped first leaf with coarse teeth', source: uva,
    looks: [['life.form', 'forb'], ['seedleaf.shape', 'strap'], ['leaf.outline', 'round-kidney'], ['leaf.margin', 'coarse-teeth'], ['hairs.upper', 'none']] },
  { is: 'giant-hogweed', stage: 'seedling', what: 'three leaflets of a hand, sparse hairs', source: stace,
    looks: [['life.form', 'forb'], ['leaf.outline', 'three-leaflets'], ['leaf.margin', 'coarse-teeth'], ['leaf.length', 70], ['stem.hairs', 'sparse'], ['leaf.set', 'rosette']] },
  { is: 'giant-hogweed', stage: 'vegetative', what: 'huge cut leaf, bristly blotched stalk', source: stace,
    looks: [['life.form', 'forb'], ['leaf.outline', 'pinnate-cut'], ['leaf.length', 800], ['petiole.marks', 'purple-blotched'], ['petiole.hairs', 'bristly'], ['leaf.margin', 'saw-teeth']] },
  { is: 'cow-parsnip', stage: 'seedling', what: 'rounded lobed first leaf, softly hairy', source: west,
    looks: [['life.form', 'forb'], ['leaf.outline', 'round-kidney'], ['leaf.margin', 'scalloped'], ['petiole.hairs', 'soft'], ['hairs.lower', 'sparse']] },
  { is: 'water-hemlock', stage: 'rosette', what: 'paired saw-edged leaflets, bald stalk with a sheath at its foot', source: gleason,
    looks: [['life.form', 'forb'], ['leaf.outline', 'paired-leaflets'], ['leaf.margin', 'saw-teeth'], ['petiole.hairs', 'none'], ['petiole.base', 'broad-sheath'], ['leaf.set', 'rosette']] },
  { is: 'poison-hemlock', stage: 'vegetative', what: 'stem rising, fern-like, bald, rank', source: stace,
    looks: [['life.form', 'forb'], ['leaf.outline', 'fern-like'], ['stem.hairs', 'none'], ['smell', 'pungent'], ['root.kind', 'taproot'], ['leaf.set', 'alternate']] },
  { is: 'wild-parsnip', stage: 'vegetative', what: 'grooved stem, broad paired leaflets', source: stace,
    looks: [['life.form', 'forb'], ['leaf.outline', 'paired-leaflets'], ['stem.ridges', 'ridged'], ['leaflet.shape', 'egg'], ['smell', 'none'], ['leaf.margin', 'coarse-teeth']] },
  { is: 'wild-parsnip', stage: 'bolting', what: 'ridged stem with alternate leaves', source: stace,
    looks: [['life.form', 'forb'], ['stem.ridges', 'ridged'], ['leaf.set', 'alternate'], ['leaf.outline', 'paired-leaflets'], ['smell', 'parsnip-celery']] },
  { is: 'giant-hogweed', stage: 'rosette', what: 'lobed leaf on a blotched bristly stalk', source: stace,
    looks: [['life.form', 'forb'], ['leaf.outline', 'three-to-five-lobed'], ['petiole.marks', 'purple-blotched'], ['petiole.hairs', 'bristly'], ['leaf.set', 'rosette'], ['leaf.margin', 'saw-teeth']] },
  { is: 'giant-hogweed', stage: 'bolting', what: 'thick bristly blotched stem', source: stace,
    looks: [['life.form', 'forb'], ['stem.marks', 'purple-blotched'], ['stem.hairs', 'stiff-bristly'], ['leaf.outline', 'pinnate-cut'], ['leaf.set', 'alternate']] },
  { is: 'cow-parsnip', stage: 'vegetative', what: 'three great lobed leaflets, softly hairy', source: west,
    looks: [['life.form', 'forb'], ['leaf.plan', 'three-palmate'], ['leaf.outline', 'three-leaflets'], ['hairs.lower', 'sparse'], ['petiole.hairs', 'soft'], ['leaf.margin', 'coarse-teeth']] },
  { is: 'cow-parsnip', stage: 'rosette', what: 'lobed leaf, broad sheath', source: west,
    looks: [['life.form', 'forb'], ['leaf.outline', 'three-to-five-lobed'], ['petiole.base', 'broad-sheath'], ['petiole.hairs', 'soft'], ['leaf.set', 'rosette']] },
  { is: 'cow-parsnip', stage: 'bolting', what: 'shaggy stem, three leaflets', source: west,
    looks: [['life.form', 'forb'], ['stem.hairs', 'long-shaggy'], ['leaf.outline', 'three-leaflets'], ['leaf.set', 'alternate'], ['leaf.margin', 'saw-teeth']] },
  // Others that an outside reading found struck off
  { is: 'cocklebur', stage: 'seedling', what: 'two long fleshy seed leaves, smooth and entire', source: uva,
    looks: [['life.form', 'forb'], ['leaf.set', 'opposite'], ['leaf.margin', 'entire'], ['blade.feel', 'smooth'], ['hairs.upper', 'none'], ['leaf.outline', 'narrow-lance'], ['stem.hairs', 'none']] },
  { is: 'cocklebur', stage: 'vegetative', what: 'first joints still paired', source: uva,
    looks: [['life.form', 'forb'], ['leaf.set', 'opposite'], ['leaf.outline', 'three-to-five-lobed'], ['blade.feel', 'sandpapery'], ['leaf.margin', 'coarse-teeth'], ['petiole.length', 'about-equal']] },
  { is: 'jimsonweed', stage: 'seedling', what: 'entire first leaves without a smell', source: uva,
    looks: [['life.form', 'forb'], ['leaf.set', 'alternate'], ['leaf.outline', 'egg-widest-base'], ['leaf.margin', 'entire'], ['smell', 'none']] },
  { is: 'horsenettle', stage: 'seedling', what: 'no prickles yet, stiff hairs', source: uva,
    looks: [['life.form', 'forb'], ['leaf.set', 'alternate'], ['stem.armour', 'none'], ['stem.hairs', 'stiff-bristly'], ['leaf.outline', 'egg-widest-middle'], ['leaf.margin', 'wavy-curled'], ['spines', 'none']] },
  { is: 'ground-cherry', stage: 'vegetative', what: 'a bald kind', source: gleason,
    looks: [['life.form', 'forb'], ['stem.hairs', 'none'], ['hairs.upper', 'none'], ['hairs.lower', 'none'], ['leaf.outline', 'egg-widest-base'], ['leaf.margin', 'wavy-curled'], ['leaf.set', 'alternate']] },
  { is: 'st-johnswort', stage: 'vegetative', what: 'clear dots not seen, for the leaf was not held to the light', source: stace,
    looks: [['life.form', 'forb'], ['leaf.set', 'opposite'], ['leaf.outline', 'egg-widest-middle'], ['leaf.mark', 'none'], ['leaf.length', 14], ['leaf.margin', 'entire'], ['stem.hairs', 'none']] },
  { is: 'larkspurs', stage: 'vegetative', what: 'a low one with a plain, thinly hairy stem', source: west,
    looks: [['life.form', 'forb'], ['leaf.outline', 'palmate-cut'], ['stem.marks', 'plain'], ['stem.hairs', 'sparse'], ['leaf.margin', 'coarse-teeth'], ['leaf.set', 'alternate']] },
  { is: 'bracken', stage: 'vegetative', what: 'many entire leaflets, creeping root', source: stace,
    looks: [['life.form', 'forb'], ['leaf.plan', 'many-no-tendril'], ['leaflet.margin', 'entire'], ['root.kind', 'creeping-root'], ['hairs.lower', 'sparse']] },
  { is: 'death-camas', stage: 'vegetative', what: 'taken for a grass by who finds it', source: kingsbury,
    looks: [['life.form', 'grass'], ['vernation', 'folded'], ['ligule.type', 'absent'], ['blade.width', 5], ['hairs.upper', 'none']] },
  { is: 'foxglove', stage: 'rosette', what: 'wrinkled and rough to the finger, winged stalk', source: stace,
    looks: [['life.form', 'forb'], ['leaf.set', 'rosette'], ['leaf.outline', 'egg-widest-middle'], ['blade.feel', 'rough'], ['leaf.margin', 'fine-teeth'], ['petiole.form', 'winged']] },
  { is: 'houndstongue', stage: 'rosette', what: 'long soft hairs, stalkless, rough', source: west,
    looks: [['life.form', 'forb'], ['leaf.set', 'rosette'], ['hairs.upper', 'long'], ['petiole.length', 'none'], ['blade.feel', 'rough'], ['leaf.margin', 'entire']] },
  { is: 'tansy-ragwort', stage: 'seedling', what: 'egg-shaped toothed first leaves', source: stace,
    looks: [['life.form', 'forb'], ['leaf.outline', 'egg-widest-base'], ['leaf.margin', 'coarse-teeth'], ['leaf.set', 'rosette'], ['hairs.upper', 'none'], ['sap', 'clear']] },
  { is: 'palmer-amaranth', stage: 'seedling', what: 'leaf stalks still short', source: uva,
    looks: [['life.form', 'forb'], ['leaf.outline', 'egg-widest-base'], ['petiole.length', 'shorter'], ['stem.hairs', 'none'], ['leaf.margin', 'entire'], ['leaf.set', 'alternate']] },
  { is: 'black-nightshade', stage: 'vegetative', what: 'a densely hairy kind', source: uva,
    looks: [['life.form', 'forb'], ['stem.hairs', 'dense'], ['leaf.outline', 'egg-widest-base'], ['leaf.margin', 'wavy-curled'], ['leaf.set', 'alternate'], ['root.kind', 'fibrous']] },
  { is: 'white-snakeroot', stage: 'vegetative', what: 'netted veins, reddish stem', source: gleason,
    looks: [['life.form', 'forb'], ['leaf.set', 'opposite'], ['leaf.outline', 'heart-or-arrow'], ['leaf.margin', 'saw-teeth'], ['stem.marks', 'red-tinged'], ['leaf.veins', 'netted']] },
  { is: 'locoweeds', stage: 'vegetative', what: 'bald above, many leaflets from one crown', source: west,
    looks: [['life.form', 'legume'], ['leaf.plan', 'many-no-tendril'], ['hairs.upper', 'none'], ['habit', 'single-crown'], ['stem.hairs', 'none']] },
  { is: 'lupines', stage: 'vegetative', what: 'silky on both faces', source: west,
    looks: [['life.form', 'legume'], ['leaf.plan', 'fingers'], ['hairs.upper', 'long'], ['hairs.lower', 'long'], ['stem.hairs', 'dense']] },
  { is: 'whorled-milkweed', stage: 'seedling', what: 'leaves still in pairs', source: gleason,
    looks: [['life.form', 'forb'], ['leaf.set', 'opposite'], ['leaf.outline', 'linear'], ['sap', 'milky'], ['hairs.upper', 'none']] },
]
