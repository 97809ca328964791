import { daysAfter } from '../../records/days.ts'
import { hasteOf } from './acuteness.ts'
import type { ControlAct, Plant, Stage } from '../../flora/flora.ts'

/** What is done about any plant of a life cycle. */
export type GeneralAct =
  | 'hoe-small'
  | 'pull-or-mow'
  | 'carry-out-before-seed'
  | 'cut-root'
  | 'cut-below-crown'
  | 'cut-every-head'
  | 'pull-thin-root'
  | 'dig-or-cut-again'
  | 'cut-before-seed'

/** An act as the plant's file says it, or one of common practice as a code. All common practice, no source. */
export type Act = ControlAct | (Omit<ControlAct, 'do'> & { general: GeneralAct })

export type ActionNow = Act & {
  /** The plants are taller than the height up to which this is said to work. */
  tooTall: boolean
}

export interface Actions {
  now: ActionNow[]
  /** What no longer works at this stage, or at this height. */
  noLonger: ActionNow[]
  /** The stage after this one: until then there is time. */
  before: Stage | undefined
}

/** Common practice for a plant without a list of its own. */
const general: Record<Plant['cycle'], Act[]> = {
  annual: [
    {
      stage: 'seedling',
      school: 'hands',
      general: 'hoe-small',
      backDays: 21,
      tooLate: false,
    },
    { stage: 'vegetative', school: 'hands', general: 'pull-or-mow', backDays: 21, tooLate: false },
    {
      stage: 'flowering',
      school: 'hands',
      general: 'carry-out-before-seed',
      backDays: 300,
      tooLate: false,
    },
  ],
  biennial: [
    { stage: 'rosette', school: 'hands', general: 'cut-root', backDays: 42, tooLate: false },
    {
      stage: 'bolting',
      school: 'hands',
      general: 'cut-below-crown',
      backDays: 21,
      tooLate: false,
    },
    { stage: 'flowering', school: 'hands', general: 'cut-every-head', backDays: 14, tooLate: false },
  ],
  perennial: [
    { stage: 'seedling', school: 'hands', general: 'pull-thin-root', backDays: 28, tooLate: false },
    {
      stage: 'vegetative',
      school: 'hands',
      general: 'dig-or-cut-again',
      backDays: 42,
      tooLate: false,
    },
    { stage: 'flowering', school: 'hands', general: 'cut-before-seed', backDays: 120, tooLate: false },
  ],
}

/** Stages of life in their order, by life cycle. */
const clock: Record<Plant['cycle'], Stage[]> = {
  annual: ['seedling', 'vegetative', 'flowering'],
  biennial: ['seedling', 'rosette', 'bolting', 'flowering'],
  perennial: ['seedling', 'vegetative', 'flowering'],
}

/** The nearest stage for which there is something to say: a rosette is a grown plant of a kind that has no rosette. */
function stageOf(plant: Plant, acts: readonly Act[], stage: Stage): Stage {
  if (acts.some((a) => a.stage === stage)) return stage
  const order = clock[plant.cycle]
  const meant: Stage = stage === 'mown' || stage === 'rosette' || stage === 'bolting' ? 'vegetative' : stage
  if (acts.some((a) => a.stage === meant)) return meant
  const from = Math.max(0, order.indexOf(meant))
  return (
    [...order.slice(from), ...order.slice(0, from).reverse()].find((s) => acts.some((a) => a.stage === s)) ??
    acts[0]!.stage
  )
}

/**
 * What can be done about a plant at the stage it stands in.
 *
 * @param heightCm measured height in cm, where it was measured: compared with the height up to which treatment works
 */
export function actionsFor(plant: Plant, stage: Stage, heightCm?: number): Actions {
  const own = plant.control.length > 0
  const acts: readonly Act[] = own ? plant.control : general[plant.cycle]
  const at = stageOf(plant, acts, stage)
  const here = acts
    .filter((a) => a.stage === at)
    .map((a) => ({ ...a, tooTall: a.upToCm !== undefined && heightCm !== undefined && heightCm > a.upToCm }))
  const order = clock[plant.cycle]
  // A rosette is a grown plant of a kind that has no such stage in its clock.
  const place = order.includes(at) ? order.indexOf(at) : order.indexOf('vegetative')
  return {
    now: here.filter((a) => !a.tooLate && !a.tooTall),
    noLonger: here.filter((a) => a.tooLate || a.tooTall),
    before: order[place + 1],
  }
}

/** Days of an act of the plan. */
export interface ActDays {
  dueOn: string
  /** When somebody looks again. */
  backOn: string | undefined
}

const WITHIN_DAYS = 14

/** What becomes of the stock while a poisonous plant stands there, before anything is done about the plant. */
export type StockFirst = 'stock-out-today' | 'out-of-ration-today' | 'stock-off-it'

/** Days within which it is done: at once, but for what irritates. Common practice, no source. */
const STOCK_DAYS: Record<StockFirst, number> = { 'stock-out-today': 0, 'out-of-ration-today': 0, 'stock-off-it': 14 }

/**
 * What is done with the stock first.
 *
 * @returns undefined for a plant that the book does not call toxic
 */
export function stockFirst(plant: Plant, today: string): { act: StockFirst; dueOn: string } | undefined {
  if (plant.role !== 'toxic') return undefined
  const acts = { 'within-hours': 'stock-out-today', 'adds-up': 'out-of-ration-today', other: 'stock-off-it' } as const
  const act = acts[hasteOf(plant)]
  return { act, dueOn: daysAfter(today, STOCK_DAYS[act]) }
}

/** Harm does not wait for a round date: a harmful plant is due within a week, another in two. */
export function actDays(plant: Plant, act: Pick<ControlAct, 'backDays'>, today: string): ActDays {
  const dueOn = daysAfter(today, plant.role === 'toxic' ? WITHIN_DAYS / 2 : WITHIN_DAYS)
  return { dueOn, backOn: act.backDays === undefined ? undefined : daysAfter(dueOn, act.backDays) }
}
