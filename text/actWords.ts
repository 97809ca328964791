import type { ProtectiveItem } from '@/core/flora/codes.ts'
import { actDays, type Act, type ActDays, type GeneralAct } from '@/core/assess/harm/actions.ts'
import type { Plant, School } from '@/core/flora/flora.ts'
import { inSentence, say } from './say.ts'

const general: Record<GeneralAct, () => string> = {
  'hoe-small': () => say('Hoe or pull while small; thicken the sward'),
  'pull-or-mow': () => say('Pull or mow before it flowers'),
  'carry-out-before-seed': () => say('Cut and carry out before seed ripens'),
  'cut-root': () => say('Cut the root below the crown'),
  'cut-below-crown': () => say('Cut below the crown before buds open'),
  'cut-every-head': () => say('Cut off and carry out every head'),
  'pull-thin-root': () => say('Pull or hoe while the root is thin'),
  'dig-or-cut-again': () => say('Dig out or cut again and again; thicken the sward'),
  'cut-before-seed': () => say('Cut before seed ripens'),
}

/** What is to be done: in the words of the plant's file, or common practice. */
export const actWords = (act: Act): string => ('do' in act ? act.do : general[act.general]())

const items: Record<ProtectiveItem, () => string> = {
  gloves: () => say('gloves'),
  'waterproof-gloves': () => say('waterproof gloves'),
  'long-sleeves': () => say('long sleeves'),
  'eye-cover': () => say('eye cover'),
  'dust-mask': () => say('dust mask'),
}

/** Protective clothing, one item after the other. */
export const wearWords = (wear: readonly ProtectiveItem[]): string => wear.map((i) => items[i]()).join(', ')

/** An act as a line of the plan. */
export interface Proposed extends ActDays {
  text: string
  lookFor: string
}

export function proposed(plant: Plant, act: Act, school: School, today: string): Proposed {
  const label = school === 'herbicide' ? say('. The product label and a licensed applicator decide') : ''
  return {
    text: `${plant.commonName}: ${inSentence(actWords(act))}${label}`,
    lookFor: say('Regrowth and seedlings of {{commonName}} where it stood', { commonName: plant.commonName }),
    ...actDays(plant, act, today),
  }
}
