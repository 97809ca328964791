import type { Inference } from './inference.ts'
import { answerChance, lacks, type CharacterTable } from './characterTable.ts'
import type { CompiledFlora } from './compileFlora.ts'
import {
  added,
  answered,
  entropyBits,
  informationGain,
  fitsOf,
  gain,
  gather,
  type Gathered,
} from './informationGain.ts'
import type { Effort, Stage } from '../flora/flora.ts'
import { costOf } from './lookCost.ts'

export interface NextCheck {
  character: string
  /** Expected gain in bits. */
  bits: number
  effort: Effort
  /** Set where the check decides between the leading plant and a harmful one that is still open. */
  decides?: string
}

const LEAST_BITS = 0.005

/** Expected bits about "harmful or not" alone. */
function harmBits(table: CharacterTable, { harm, rest }: Gathered): number {
  const [inHarm, inRest] = [answered(table, harm), answered(table, rest)]
  const within = (shares: number[]) => {
    const total = shares.reduce((a, b) => a + b, 0)
    return total > 0 ? total * entropyBits(shares.map((p) => p / total)) : 0
  }
  return Math.max(0, within(added(inHarm, inRest)) - within(inHarm) - within(inRest))
}

/** Rows below this belief cannot change what is worth asking. */
const LEAST_BELIEF = 3e-5
/** Belief in plants that have a part, under which it is not asked for. */
const LEAST_FITS = 0.02

/**
 * Looks still worth making, best gain per effort first. What tells harmful from harmless counts double. A part that
 * most of the remaining plants lack, or that is not there at this stage, is not asked for.
 *
 * @param observed ids of characters already answered (can't tell included)
 * @param lacking kit that is not there
 */
export function nextChecks(
  compiled: CompiledFlora,
  inference: Inference,
  observed: Set<string>,
  lacking: readonly ('lens' | 'spade')[] = [],
): NextCheck[] {
  const groupsSeen = new Map<string, number>()
  for (const { observation } of inference.weighed) {
    const group = compiled.flora.characters[compiled.characterIndex.get(observation.character)!]!.group
    if (group) groupsSeen.set(group, (groupsSeen.get(group) ?? 0) + 1)
  }
  const missing = new Set<Effort>(lacking.map((k) => (k === 'lens' ? 'lens' : 'dig')))
  const belief = inference.posteriorWithKin
  const rows = Int32Array.from([...belief.keys()].filter((r) => belief[r]! >= LEAST_BELIEF))
  const toxic = Int32Array.from(rows.filter((r) => compiled.plants[r]?.role === 'toxic'))
  const harmful = { rows: toxic, belief: new Float64Array(belief.length) }
  for (const r of toxic) harmful.belief[r] = belief[r]!
  const ranked = compiled
    .tablesAt(inference.stage)
    .filter((t) => !observed.has(t.character.id) && !t.character.lacksAt.includes(inference.stage))
    .filter((t) => !missing.has(t.character.effort))
    // What hardly any of the plants left has is not worth working out.
    .filter((t) => fitsOf(t, belief) >= LEAST_FITS)
    .map((table): Ranked => {
      const { character } = table
      const seen = gather(table, rows, belief, harmful)
      const damp = seen.fits / (1 + 0.35 * (character.group ? (groupsSeen.get(character.group) ?? 0) : 0))
      const bits = damp * gain(table, seen)
      const harm = toxic.length > 0 ? damp * harmBits(table, seen) : 0
      return { character: character.id, bits, effort: character.effort, worth: (bits + harm) / costOf(character) }
    })
    .filter((c) => c.bits >= LEAST_BITS)
    .sort((a, b) => b.worth - a.worth)
  const order = rows.length <= TWO_STEP_ROWS ? lookTwice(ranked, compiled, inference, rows) : ranked
  return order.slice(0, SHOWN).map(({ character, bits, effort }) => ({ character, bits, effort }))
}

interface Ranked extends NextCheck {
  worth: number
}

/** Looking two steps ahead pays where few plants are left, and costs too much where many are. */
const TWO_STEP_ROWS = 40
const TWO_STEP_CHECKS = 4
const SHOWN = 10

/** Belief after an answer, for the rows given; the rest keeps nothing. */
function after(table: CharacterTable, s: number, rows: Int32Array, belief: Float64Array) {
  const out = new Float64Array(belief.length)
  let chance = 0
  for (const r of rows) {
    out[r] = belief[r]! * answerChance(table, r, s)
    chance += out[r]!
  }
  if (chance > 0) for (const r of rows) out[r] = out[r]! / chance
  return { chance, belief: out }
}

/** Order the best few checks by what they and the best check after them give together, per effort of both. */
function lookTwice(ranked: Ranked[], compiled: CompiledFlora, inference: Inference, rows: Int32Array): Ranked[] {
  const tables = compiled.tablesAt(inference.stage)
  const tableOf = (id: string) => tables[compiled.characterIndex.get(id)!]!
  const worthOfTwo = ranked.slice(0, TWO_STEP_CHECKS).map((first) => {
    const table = tableOf(first.character)
    const cost = costOf(table.character)
    const others = ranked.slice(0, 2 * TWO_STEP_CHECKS).filter((o) => o.character !== first.character)
    let gained = first.worth * cost
    let spent = cost
    for (let s = 0; s < table.outcomes; s++) {
      const then = after(table, s, rows, inference.posteriorWithKin)
      if (then.chance < 0.02) continue
      const best = others
        .map((o) => tableOf(o.character))
        .map((t) => ({ bits: informationGain(t, rows, then.belief), cost: costOf(t.character) }))
        .reduce((a, b) => (b.bits / b.cost > a.bits / a.cost ? b : a), { bits: 0, cost: 1 })
      gained += then.chance * best.bits
      spent += then.chance * (best.bits > 0 ? best.cost : 0)
    }
    return { first, worth: gained / spent }
  })
  worthOfTwo.sort((a, b) => b.worth - a.worth)
  return [...worthOfTwo.map((w) => w.first), ...ranked.slice(TWO_STEP_CHECKS)]
}

/** Expected bits (0 to 1) of each look at a stage for telling two plants apart, the best first. */
export function splitPair(compiled: CompiledFlora, a: string, b: string, stage: Stage): NextCheck[] {
  const rows = Int32Array.of(compiled.plantIndex.get(a)!, compiled.plantIndex.get(b)!)
  const belief = new Float64Array(compiled.rows)
  for (const r of rows) belief[r] = 0.5
  return compiled
    .tablesAt(stage)
    .filter((t) => !t.character.lacksAt.includes(stage) && rows.every((r) => !lacks(t, r)))
    .map((t) => ({ character: t.character.id, bits: informationGain(t, rows, belief), effort: t.character.effort }))
    .filter((c) => c.bits >= LEAST_BITS)
    .sort((x, y) => y.bits - x.bits)
}
