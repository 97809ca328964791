import type { ControlAct, Plant, School, Stage } from '../naming/flora.ts'
import { inSentence, say } from '../say.ts'

export interface ActionNow extends ControlAct {
  /** The plants are taller than the height up to which this is said to work. */
  tooTall: boolean
  source: string
}

export interface Actions {
  now: ActionNow[]
  /** What no longer works at this stage, or at this height. */
  noLonger: ActionNow[]
  /** The stage after this one: until then there is time. */
  before: Stage | undefined
}

/** Common practice for a plant without a list of its own. */
const general: Record<Plant['cycle'], ControlAct[]> = {
  annual: [
    {
      stage: 'seedling',
      school: 'hands',
      do: say('Hoe or pull while small; thicken the sward'),
      backDays: 21,
      tooLate: false,
    },
    { stage: 'vegetative', school: 'hands', do: say('Pull or mow before it flowers'), backDays: 21, tooLate: false },
    {
      stage: 'flowering',
      school: 'hands',
      do: say('Cut and carry out before seed ripens'),
      backDays: 300,
      tooLate: false,
    },
  ],
  biennial: [
    { stage: 'rosette', school: 'hands', do: say('Cut the root below the crown'), backDays: 42, tooLate: false },
    {
      stage: 'bolting',
      school: 'hands',
      do: say('Cut below the crown before buds open'),
      backDays: 21,
      tooLate: false,
    },
    { stage: 'flowering', school: 'hands', do: say('Cut off and carry out every head'), backDays: 14, tooLate: false },
  ],
  perennial: [
    { stage: 'seedling', school: 'hands', do: say('Pull or hoe while the root is thin'), backDays: 28, tooLate: false },
    {
      stage: 'vegetative',
      school: 'hands',
      do: say('Dig out or cut again and again; thicken the sward'),
      backDays: 42,
      tooLate: false,
    },
    { stage: 'flowering', school: 'hands', do: say('Cut before seed ripens'), backDays: 120, tooLate: false },
  ],
}

/** Stages of life in their order, by life cycle. */
const clock: Record<Plant['cycle'], Stage[]> = {
  annual: ['seedling', 'vegetative', 'flowering'],
  biennial: ['seedling', 'rosette', 'bolting', 'flowering'],
  perennial: ['seedling', 'vegetative', 'flowering'],
}

/** The nearest stage for which there is something to say: a rosette is a grown plant of a kind that has no rosette. */
function stageOf(plant: Plant, acts: ControlAct[], stage: Stage): Stage {
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
  const acts = own ? plant.control : general[plant.cycle]
  const at = stageOf(plant, acts, stage)
  const source = say('common practice, no source')
  const here = acts
    .filter((a) => a.stage === at)
    .map((a) => ({ ...a, source, tooTall: a.upToCm !== undefined && heightCm !== undefined && heightCm > a.upToCm }))
  const order = clock[plant.cycle]
  // A rosette is a grown plant of a kind that has no such stage in its clock.
  const place = order.includes(at) ? order.indexOf(at) : order.indexOf('vegetative')
  return {
    now: here.filter((a) => !a.tooLate && !a.tooTall),
    noLonger: here.filter((a) => a.tooLate || a.tooTall),
    before: order[place + 1],
  }
}

/** Whole days after an ISO day. */
export function daysAfter(day: string, days: number): string {
  const at = new Date(`${day}T12:00:00Z`)
  at.setUTCDate(at.getUTCDate() + days)
  return at.toISOString().slice(0, 10)
}

/** An action as a line of the plan. */
export interface Proposed {
  text: string
  dueOn: string
  lookFor: string
  backOn: string | undefined
}

const WITHIN_DAYS = 14

/** Harm does not wait for a round date: a harmful plant is due within a week, another in two. */
export function proposed(plant: Plant, act: ControlAct, school: School, today: string): Proposed {
  const due = daysAfter(today, plant.role === 'toxic' ? WITHIN_DAYS / 2 : WITHIN_DAYS)
  const label = school === 'herbicide' ? say('. The product label and a licensed applicator decide') : ''
  return {
    text: `${plant.commonName}: ${inSentence(act.do)}${label}`,
    dueOn: due,
    backOn: act.backDays === undefined ? undefined : daysAfter(due, act.backDays),
    lookFor: say('Regrowth and seedlings of {{commonName}} where it stood', { commonName: plant.commonName }),
  }
}
