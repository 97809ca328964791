import type { CharacterTable } from './characterTable.ts'
import type { Stage } from '../flora/flora.ts'
import type { Observation } from '../records/observation.ts'
import { nearShare } from './observerError.ts'

/** A size read off the wrong leaf, or at the wrong place. */
const MISREAD_BY = 1.6

/** An index drawn by weights; undefined where all are 0. */
function drawn(weights: readonly number[], random: () => number): number | undefined {
  const total = weights.reduce((a, b) => a + b, 0)
  if (total <= 0) return undefined
  let left = random() * total
  return weights.findIndex((w) => (left -= w) < 0)
}

/** Another state than the one that is there: half the time one that is taken for it, else anything that is met. */
function otherState({ character, met }: CharacterTable, state: string, stage: Stage, random: () => number): string {
  const states = character.states!
  const near = states.map((s) => (s === state ? 0 : nearShare(character, state, s, stage)))
  const far = states.map((s, i) => (s === state ? 0 : met[i]! + 0.01))
  const at = (random() < 0.5 ? drawn(near, random) : undefined) ?? drawn(far, random)
  return at === undefined ? state : states[at]!
}

/** The answer with a slip in it: one of the plants pulled is read wrongly, by a step or wholly. */
export function slipped(o: Observation, table: CharacterTable, stage: Stage, random: () => number): Observation {
  const [low, high] = table.character.range ?? [0, 1000]
  const other = (mm: number) => {
    const read = random() < 0.5 ? mm * (random() < 0.5 ? MISREAD_BY : 1 / MISREAD_BY) : high ** random()
    return Math.min(high, Math.max(low, read))
  }
  if ('value' in o) return { ...o, value: other(o.value) }
  if ('values' in o) return { ...o, values: o.values.map((v, i) => (i === 0 ? other(v) : v)) }
  if ('counts' in o) {
    const [state] = Object.keys(o.counts)
    const said = otherState(table, state!, stage, random)
    const counts = { ...o.counts, [state!]: o.counts[state!]! - 1, [said]: (o.counts[said] ?? 0) + 1 }
    return { ...o, counts: Object.fromEntries(Object.entries(counts).filter(([, n]) => n > 0)) }
  }
  return table.character.states?.includes(o.states[0]!)
    ? { ...o, states: [otherState(table, o.states[0]!, stage, random)] }
    : o
}
