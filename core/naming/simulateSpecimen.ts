import { hasPart } from './tableRows.ts'
import type { CompiledFlora } from './compileFlora.ts'
import { type Character, type Plant, type RangeCell, type Stage, type StateCell } from '../flora/flora.ts'
import { stateShares } from '../flora/frequency.ts'
import { CANT_TELL, type Observation } from '../records/observation.ts'
import { measuringError } from './observerError.ts'
import { cellOfStage } from './youngCell.ts'
import { sizeAtScore, sizeKnots } from './sizeDistribution.ts'

/** A made plant: answers what an observer with common errors would say of it. */
export interface Specimen {
  plant: string
  answer: (character: Character) => Observation
}

/** How often characters of one group are typical, or odd, together. */
const SHARED = 0.5
/** How often plants pulled side by side show the same: they may be one clone. */
const SAME_STAND = 0.6

function pick(shares: number[], u: number): number {
  const order = shares.map((_, i) => i).sort((a, b) => shares[b]! - shares[a]!)
  let left = u * shares.reduce((a, b) => a + b, 0)
  return order.find((i) => (left -= shares[i]!) <= 0) ?? order[0]!
}

/** Shares without the trace that is left for what the book does not hold to be possible. */
function sayable(cell: StateCell, states: readonly string[], shares: number[]): number[] {
  const said = shares.map((s, i) => ((cell.words[states[i]!] ?? 'never') === 'never' ? 0 : s))
  return said.some((s) => s > 0) ? said : shares
}

/** Standard normal score of a uniform draw by the logistic approximation, within 0.01 of the true probability (from memory). */
const scoreOf = (u: number): number => Math.log(u / (1 - u)) / 1.702

/** One plant of a stand: a uniform draw per character, partly shared within a group of characters and with its neighbours. */
function drawsOfOne(stand: Map<string, number>, random: () => number): (character: Character) => number {
  const groups = new Map<string, number>()
  const fresh = () => 0.001 + 0.998 * random()
  return (character) => {
    const common = stand.get(character.id) ?? fresh()
    stand.set(character.id, common)
    if (random() < SAME_STAND) return common
    if (!character.group) return fresh()
    const shared = groups.get(character.group) ?? fresh()
    groups.set(character.group, shared)
    return random() < SHARED ? shared : fresh()
  }
}

/**
 * Draw a specimen from the coded flora. Characters of one group share their draw half of the time, so that an odd plant
 * is odd in several of them; each answer errs as often as a careful observer does, unless a faultless one is asked for.
 *
 * @param random uniform 0 to 1, seeded
 * @param pulled plants of the stand looked at for each answer, 1 or more
 */
export function simulateSpecimen(
  compiled: CompiledFlora,
  plant: Plant,
  stage: Stage,
  random: () => number,
  pulled: number,
  observer: 'careful' | 'faultless' = 'careful',
): Specimen {
  const stand = new Map<string, number>()
  const plants = Array.from({ length: pulled }, () => drawsOfOne(stand, random))
  const cantTell = (character: Character): Observation => ({ character: character.id, states: [CANT_TELL] })

  const states = (character: Character, shares: number[]): Observation => {
    const { confusion } = compiled.tablesAt(stage)[compiled.characterIndex.get(character.id)!]!
    const counts: Record<string, number> = {}
    for (const draw of plants) {
      const truth = pick(shares, draw(character))
      const answered = character.states![observer === 'faultless' ? truth : pick(confusion[truth]!, random())]!
      counts[answered] = (counts[answered] ?? 0) + 1
    }
    const [only] = Object.keys(counts)
    return pulled === 1 ? { character: character.id, states: [only!] } : { character: character.id, counts }
  }

  const sizes = (character: Character, cell: RangeCell): Observation => {
    const [low, high] = character.range!
    const values = plants.map((draw) => {
      const misread = observer === 'careful' && random() < measuringError('sure').blunder
      const anywhere = Math.max(low, high / 400) ** (1 - random()) * high ** random()
      const mm = misread ? anywhere : sizeAtScore(sizeKnots(cell), scoreOf(draw(character)))
      return Math.min(high, Math.max(low, mm))
    })
    return pulled === 1
      ? { character: character.id, value: values[0]!, unit: 'mm' }
      : { character: character.id, values, unit: 'mm' }
  }

  return {
    plant: plant.id,
    answer: (character) => {
      if (character.id === 'life.form')
        return states(character, stateShares({ kind: 'states', words: { [plant.form]: 'always' } }, character.states!))
      const cell = hasPart(plant, character, stage) ? cellOfStage(plant, character, stage) : undefined
      if (!cell) return cantTell(character)
      if (cell.kind === 'range') return sizes(character, cell)
      const shares = stateShares(cell, character.states!)
      return states(character, observer === 'faultless' ? sayable(cell, character.states!, shares) : shares)
    },
  }
}
