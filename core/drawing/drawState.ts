import { bladeMidrib, bladeRibs, bladeTip } from './blade.ts'
import { leafOutlines } from './broadLeaf.ts'
import { auricles, liguleShape, liguleType } from './collar.ts'
import { leafletMargin, leafletMark, leafletShape, leafPlan, leafSet } from './leaflets.ts'
import { lifeForm } from './lifeForm.ts'
import type { Drawing } from './mark.ts'
import { baseColour, stemSection, vernation } from './shoot.ts'
import { habit, rootKind } from './spread.ts'
import { stemHairs, stemMarks } from './stem.ts'

const drawn: Record<string, Record<string, () => Drawing>> = {
  'life.form': lifeForm,
  vernation,
  'stem.section': stemSection,
  'ligule.type': liguleType,
  'ligule.shape': liguleShape,
  auricles,
  'blade.tip': bladeTip,
  'blade.midrib': bladeMidrib,
  'blade.ribs': bladeRibs,
  'base.colour': baseColour,
  habit,
  'root.kind': rootKind,
  'leaf.plan': leafPlan,
  'leaflet.shape': leafletShape,
  'leaflet.margin': leafletMargin,
  'leaflet.mark': leafletMark,
  'stem.hairs': stemHairs,
  'stem.marks': stemMarks,
  'leaf.outline': leafOutlines,
  'leaf.set': leafSet,
}

/** Ids of the characters whose every state has a drawing. */
export const drawnCharacters = Object.keys(drawn)

/** Drawing of a state in a box of 100 by 100, or undefined where the character is answered in words only. */
export function drawState(character: string, state: string): Drawing | undefined {
  return drawn[character]?.[state]?.()
}
