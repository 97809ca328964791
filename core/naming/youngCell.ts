import {
  cellAt,
  type Cell,
  type Character,
  type Plant,
  type RangeCell,
  type Stage,
  type StateCell,
} from '../flora/flora.ts'

type Described = Pick<Plant, 'form' | 'characters' | 'stages'>

function youngRange({ typical, extreme }: RangeCell, [low, high]: [number, number], least: number): RangeCell {
  const from = (mm: number) => Math.max(least, mm * low)
  return {
    kind: 'range',
    typical: [from(typical[0]), Math.max(from(typical[0]), typical[1] * high)],
    extreme: [from(extreme[0]), Math.max(from(extreme[0]), extreme[1])],
  }
}

function youngStates(cell: StateCell, plant: Described, states: Record<string, readonly string[]>): StateCell {
  const added = Object.keys(states).filter((s) => states[s]!.includes(plant.form) && cell.words[s] === undefined)
  return { kind: 'states', words: { ...cell.words, ...Object.fromEntries(added.map((s) => [s, 'often' as const])) } }
}

/**
 * The cell of a plant at a stage. A seedling is smaller than its file says of the grown plant, has not spread yet and bears
 * no prickles or blotches to speak of: where the file says nothing of the seedling, what the character says of young plants
 * is laid over the general cell.
 */
export function cellOfStage(plant: Described, character: Character, stage: Stage): Cell | undefined {
  const cell = cellAt(plant, character.id, stage)
  const ownOfStage = plant.stages[stage]?.[character.id] !== undefined
  if (!cell || ownOfStage || stage !== 'seedling' || !character.young) return cell
  if ('times' in character.young)
    return cell.kind === 'range' ? youngRange(cell, character.young.times, character.range?.[0] ?? 0) : cell
  return cell.kind === 'states' ? youngStates(cell, plant, character.young.states) : cell
}
