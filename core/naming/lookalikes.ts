import type { Lookalike, Plant, Stage } from './flora.ts'
import type { CompiledFlora } from './compileFlora.ts'

/** What the book says of two plants that look alike, from either plant's page. */
export function lookalikeOf(a: Plant, b: Plant): Lookalike | undefined {
  return a.lookalikes.find((l) => l.plant === b.id) ?? b.lookalikes.find((l) => l.plant === a.id)
}

/** The checks by which the book tells two plants apart: one that decides, or two that do so together; none where none does. */
export function decidingChecks(a: Plant, b: Plant): string[] {
  const named = lookalikeOf(a, b)
  return named === undefined ? [] : [named.check, ...(named.and ? [named.and] : [])]
}

/** Those of the checks whose part is there at a stage. */
export const askedAt = (compiled: CompiledFlora, checks: readonly string[], stage: Stage): string[] =>
  checks.filter((id) => {
    const character = compiled.flora.characters[compiled.characterIndex.get(id) ?? -1]
    return character !== undefined && !character.lacksAt.includes(stage)
  })

/** Harmful plants of the same form that the book says a plant is taken for, on the page of either. */
export const harmfulLookalikes = (compiled: CompiledFlora, plant: Plant): Plant[] =>
  compiled.plants.filter(
    (p) => p.role === 'toxic' && p.id !== plant.id && p.form === plant.form && lookalikeOf(plant, p) !== undefined,
  )

/** The checks against its harmful look-alikes that a harmless plant has not met yet; one that cannot be told is not met. */
export function unmetChecks(
  compiled: CompiledFlora,
  plant: Plant,
  stage: Stage,
  answered: ReadonlySet<string>,
): { harmful: Plant; checks: string[] }[] {
  return harmfulLookalikes(compiled, plant).flatMap((harmful) => {
    const checks = askedAt(compiled, decidingChecks(plant, harmful), stage).filter((c) => !answered.has(c))
    return checks.length > 0 ? [{ harmful, checks }] : []
  })
}
