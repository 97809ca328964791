import { simulatePerturbed, type SimulatedSpecimen } from './simulateNaming.ts'
import { compileFlora, type CompiledFlora } from './compileFlora.ts'
import type { Flora, Plant } from '../flora/flora.ts'

const genusOf = (p: Plant): string => p.scientificName.split(' ')[0]!

/** A plant and its kin: of its genus, or named together with it. */
export function kinOf(flora: Flora, plant: Plant): Plant[] {
  const together = new Set(flora.groups.filter((g) => g.plants.includes(plant.id)).flatMap((g) => g.plants))
  return flora.plants.filter((p) => p.id === plant.id || together.has(p.id) || genusOf(p) === genusOf(plant))
}

/** The book without some plants. */
export function without(flora: Flora, plants: readonly Plant[]): Flora {
  const gone = new Set(plants.map((p) => p.id))
  return {
    ...flora,
    plants: flora.plants.filter((p) => !gone.has(p.id)),
    groups: flora.groups
      .map((g) => ({ ...g, plants: g.plants.filter((id) => !gone.has(id)) }))
      .filter((g) => g.plants.length > 0),
  }
}

/**
 * One plant drawn from a book written by another hand and judged by the book that holds neither it nor its kin: any name
 * that is given is wrong.
 */
export function simulateStranger(
  flora: Flora,
  from: CompiledFlora,
  plant: Plant,
  random: () => number,
  pulled: number,
): SimulatedSpecimen {
  return simulatePerturbed(compileFlora(without(flora, kinOf(flora, plant))), from, plant, 'vegetative', random, {
    pulled,
    slips: 0,
  })
}
