import type { ProtectiveItem } from '@/core/flora/codes.ts'
import type { BestTime } from '@/core/flora/codes.ts'
import {
  actDays,
  stockFirst,
  type Act,
  type ActDays,
  type GeneralAct,
  type StockFirst,
} from '@/core/assess/harm/actions.ts'
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

const first: Record<StockFirst, () => string> = {
  'stock-out-today': () => say('Stock out, or the plant fenced off, today: it can kill within hours'),
  'out-of-ration-today': () =>
    say('Out of the ration now; ask the veterinarian about the whole group: the harm adds up'),
  'stock-off-it': () => say('Stock off it, or enough else to eat'),
}

/** What is done with the stock before anything is done about the plant. */
export const stockFirstWords = (act: StockFirst): string => first[act]()

/** What holds with every act on a poisonous plant: cut or sprayed it wilts, sweetens and is eaten. Common practice, no source. */
export const meanwhileWords = (school: School): string =>
  school === 'herbicide'
    ? say(
        'Stock out until treated plants are dead, dried and gone; waiting times for grazing, hay and slaughter, and what carries over in hay, manure and clover, by the label',
      )
    : say('Stock out until cut plants are carried out, where no stock, water or heap is within reach')

/** An act as a line of the plan. */
export interface Proposed extends ActDays {
  text: string
  lookFor: string
}

export function proposed(plant: Plant, act: Act, school: School, today: string): Proposed {
  const label = school === 'herbicide' ? say('. The product label and a licensed applicator decide') : ''
  const meanwhile = plant.role === 'toxic' ? `. ${meanwhileWords(school)}` : ''
  return {
    text: `${plant.commonName}: ${inSentence(actWords(act))}${label}${meanwhile}`,
    lookFor: say('Regrowth and seedlings of {{commonName}} where it stood', { commonName: plant.commonName }),
    ...actDays(plant, act, today),
  }
}

/** The stock first, as a line of the plan; undefined for a plant that is not called toxic. */
export function proposedFirst(plant: Plant, today: string): Proposed | undefined {
  const what = stockFirst(plant, today)
  if (!what) return undefined
  return {
    text: `${plant.commonName}: ${inSentence(stockFirstWords(what.act))}`,
    lookFor: say('Stock that are off their feed, stagger, scour or lie apart'),
    dueOn: what.dueOn,
    backOn: undefined,
  }
}

const bestTimes: Record<BestTime, () => string> = {
  bud: () => say('at bud, before the first flower'),
  'autumn-regrowth': () => say('on autumn regrowth before hard frost'),
}
export const bestTimeWords = (time: BestTime): string => bestTimes[time]()
