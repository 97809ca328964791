import { randomLcg } from 'd3-random'
import { compileFlora, type CompiledFlora } from './compileFlora.ts'
import type { Cell, Flora, Plant, Stage } from '../flora/flora.ts'
import { identify } from './identify.ts'
import { isEvidence, type Observation } from '../records/observation.ts'
import { simulateSpecimen } from './simulateSpecimen.ts'

/** A cell whose loss alone would let a poison be struck off while all that is said of the plant is true. */
export interface DecisiveCell {
  plant: string
  stage: Stage
  character: string
  /** The answers after which it was no longer on the list. */
  looks: Observation[]
}

/** Stages at which a plant is coded apart, and the grown plant. */
export const codedStages = (plant: Plant): Stage[] => [
  ...new Set<Stage>(['vegetative', ...(Object.keys(plant.stages) as Stage[])]),
]

/** A plant without what is coded of one character, at every stage. */
function withoutCell(plant: Plant, character: string): Plant {
  const less = (cells: Record<string, Cell>) =>
    Object.fromEntries(Object.entries(cells).filter(([id]) => id !== character))
  return {
    ...plant,
    characters: less(plant.characters),
    stages: Object.fromEntries(Object.entries(plant.stages).map(([s, cells]) => [s, less(cells)])),
  }
}

/**
 * Take one cell of a poison away, then look at that very thing and at what the engine asks for, and answer truly by the whole
 * book: the answers after which the poison is no longer open, or undefined where it stays open.
 *
 * @param looks how many looks follow
 */
export function losesPoison(
  book: CompiledFlora,
  without: CompiledFlora,
  plant: Plant,
  stage: Stage,
  character: string,
  random: () => number,
  looks: number,
): Observation[] | undefined {
  const specimen = simulateSpecimen(book, plant, stage, random, 1, 'faultless')
  const byId = new Map(book.flora.characters.map((c) => [c.id, c]))
  const said: Observation[] = [specimen.answer(byId.get(character)!)]
  for (let i = 0; i < looks; i++) {
    const { harmfulOpen, next } = identify(without, { stage }, said)
    if (!harmfulOpen.some((h) => h.plant === plant.id)) return said.filter(isEvidence)
    const more = next[0]
    if (!more) return undefined
    said.push(specimen.answer(byId.get(more.character)!))
  }
  return undefined
}

/** Every cell of every poison at every stage at which it is coded, taken away one at a time; those that were decisive. */
export function decisiveCells(
  flora: Flora,
  { seed, draws, looks, stages }: { seed: number; draws: number; looks: number; stages?: Stage[] },
): { tried: number; decisive: DecisiveCell[] } {
  const book = compileFlora(flora)
  const random = randomLcg(seed)
  const decisive: DecisiveCell[] = []
  let tried = 0
  for (const plant of flora.plants.filter((p) => p.role === 'toxic')) {
    const coded = new Set([
      ...Object.keys(plant.characters),
      ...Object.values(plant.stages).flatMap((cells) => Object.keys(cells)),
    ])
    for (const character of coded) {
      const plants = flora.plants.map((p) => (p === plant ? withoutCell(p, character) : p))
      const without = compileFlora({ ...flora, plants })
      for (const stage of stages ?? codedStages(plant)) {
        const { lacksAt } = flora.characters.find((c) => c.id === character)!
        if (lacksAt.includes(stage)) continue
        tried++
        for (let d = 0; d < draws; d++) {
          const lost = losesPoison(book, without, plant, stage, character, random, looks)
          if (lost) {
            decisive.push({ plant: plant.id, stage, character, looks: lost })
            break
          }
        }
      }
    }
  }
  return { tried, decisive }
}
