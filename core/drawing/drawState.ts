import { baseForm, nodeLook, sap, smell, stemArmour, stemInside, stemRidges } from './stemParts.ts'
import { bladeBreak, bladeColour, bladeCrease, bladeEdge, bladeFeel, bladeShape, bladeSheen } from './bladeFace.ts'
import { bladeMidrib, bladeRibs, bladeTip } from './blade.ts'
import { bladePosture, leafRanks, posture, regrowth, standLook, texture, tug } from './stance.ts'
import { leafOutlines } from './broadLeaf.ts'
import { leafCoat, leafMargin, leafMark, leafVeins, petioleForm, petioleLength, spines } from './broadParts.ts'
import { leafletTip, leafletVeins, seedColour, seedShape, stipuleColour, stipuleForm } from './cloverParts.ts'
import { auricleEdge, baseSheaths, collarLook, liguleFirmness, sheathFeel, sheathHairs, sheathMargin } from './sheath.ts'
import { auricles, liguleShape, liguleType } from './collar.ts'
import { flowerColour, flowerForm, fruitCase, headForm } from './heads.ts'
import { hairsLower, hairsUpper } from './hairs.ts'
import { leafletMargin, leafletMark, leafletShape, leafPlan, leafSet } from './leaflets.ts'
import { lifeForm } from './lifeForm.ts'
import { leafletCount, leafSection, petioleBase, petioleHairs, petioleMarks } from './leafFoot.ts'
import { seedleafHairs, seedleafShape, seedleafStalk } from './seedLeaves.ts'
import { headsLow } from './turfHeads.ts'
import { rhizomeLength, rhizomeLook, rootColour, rootCut, seedAttached } from './below.ts'
import { merged, type Drawing } from './mark.ts'
import { baseColour, stemSection, vernation } from './shoot.ts'
import { habit, rootKind } from './spread.ts'
import { bractLength, bractSheath, fruitRipe, sacBeak, sacForm, sacSurface, scaleColour, scaleLength, spikeEnd, spikesKind, spikesStand, stigmas } from './sedgeFruit.ts' // prettier-ignore
import { stemHairs, stemMarks } from './stem.ts'
import { barkLook, budLook, budSet, leafKeep, petioleKnobs, twigInside, twigLook } from './woody.ts'

const drawn: Record<string, Record<string, () => Drawing>> = {
  'life.form': lifeForm,
  posture,
  'stand.look': standLook,
  texture,
  tug,
  regrowth,
  vernation,
  'stem.section': stemSection,
  'stem.inside': stemInside,
  'stem.armour': stemArmour,
  'stem.ridges': stemRidges,
  'node.look': nodeLook,
  'base.form': baseForm,
  sap,
  smell,
  'ligule.type': liguleType,
  'ligule.shape': liguleShape,
  'ligule.firmness': liguleFirmness,
  auricles,
  'auricle.edge': auricleEdge,
  'collar.look': collarLook,
  'sheath.margin': sheathMargin,
  'sheath.feel': sheathFeel,
  'sheath.hairs': sheathHairs,
  'blade.shape': bladeShape,
  'blade.tip': bladeTip,
  'blade.midrib': bladeMidrib,
  'blade.ribs': bladeRibs,
  'blade.sheen': bladeSheen,
  'blade.edge': bladeEdge,
  'blade.feel': bladeFeel,
  'blade.colour': bladeColour,
  'blade.crease': bladeCrease,
  'blade.posture': bladePosture,
  'blade.break': bladeBreak,
  'hairs.upper': hairsUpper,
  'hairs.lower': hairsLower,
  'leaf.ranks': leafRanks,
  'base.colour': baseColour,
  habit,
  'root.kind': rootKind,
  'leaf.plan': leafPlan,
  'leaflet.shape': leafletShape,
  'leaflet.margin': leafletMargin,
  'leaflet.mark': leafletMark,
  'leaflet.tip': leafletTip,
  'leaflet.veins': leafletVeins,
  'stipule.form': stipuleForm,
  'stipule.colour': stipuleColour,
  'stem.hairs': stemHairs,
  'stem.marks': stemMarks,
  'leaf.outline': leafOutlines,
  'leaf.set': leafSet,
  'leaf.margin': leafMargin,
  'leaf.veins': leafVeins,
  'leaf.coat': leafCoat,
  'leaf.mark': leafMark,
  'petiole.length': petioleLength,
  'petiole.form': petioleForm,
  spines,
  'root.colour': rootColour,
  'rhizome.length': rhizomeLength,
  'rhizome.look': rhizomeLook,
  'root.cut': rootCut,
  'base.sheaths': baseSheaths,
  'petiole.hairs': petioleHairs,
  'petiole.marks': petioleMarks,
  'petiole.base': petioleBase,
  'leaf.section': leafSection,
  'leaflet.count': leafletCount,
  'leaf.keep': leafKeep,
  'bud.set': budSet,
  'bud.look': budLook,
  'twig.inside': twigInside,
  'twig.look': twigLook,
  'bark.look': barkLook,
  'petiole.knobs': petioleKnobs,
  'seedleaf.shape': seedleafShape,
  'seedleaf.stalk': seedleafStalk,
  'seedleaf.hairs': seedleafHairs,
  'heads.low': headsLow,
  'seed.attached': seedAttached,
  'fruit.ripe': fruitRipe,
  'spikes.kind': spikesKind,
  'spike.end': spikeEnd,
  'spikes.stand': spikesStand,
  'bract.length': bractLength,
  'bract.sheath': bractSheath,
  'scale.colour': scaleColour,
  'scale.length': scaleLength,
  'sac.surface': sacSurface,
  'sac.form': sacForm,
  'sac.beak': sacBeak,
  stigmas,
  'head.form': headForm,
  'flower.colour': flowerColour,
  'flower.form': flowerForm,
  'seed.shape': seedShape,
  'seed.colour': seedColour,
  'fruit.case': fruitCase,
}

/** Ids of the characters whose every state has a drawing. */
export const drawnCharacters = Object.keys(drawn)

const made = new Map<string, Drawing>()

/** Drawing of a state in a box of 100 by 100; undefined for an id that is not in the vocabulary. Made once. */
export function drawState(character: string, state: string): Drawing | undefined {
  const key = `${character} ${state}`
  const known = made.get(key)
  if (known) return known
  const marks = drawn[character]?.[state]?.()
  if (!marks) return undefined
  const drawing = merged(marks)
  made.set(key, drawing)
  return drawing
}
