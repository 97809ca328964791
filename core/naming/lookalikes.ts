import type { Lookalike, Plant, Stage } from '../flora/flora.ts'
import type { CompiledFlora } from './compileFlora.ts'
import { canBeAsked, decides, DECIDES_FROM } from './decides.ts'

/** What the book says of two plants that look alike, from either plant's page. */
export function lookalikeOf(a: Plant, b: Plant): Lookalike | undefined {
  return a.lookalikes.find((l) => l.plant === b.id) ?? b.lookalikes.find((l) => l.plant === a.id)
}

/**
 * The checks by which the book tells two plants apart at a stage: one that decides, or two that do so together. None where
 * the book says that none decides, where the part is not there, or where its own cells do not bear it out at that stage.
 */
export function decidingChecks(compiled: CompiledFlora, a: Plant, b: Plant, stage: Stage): string[] {
  const named = lookalikeOf(a, b)
  if (named === undefined || named.undecided) return []
  const checks = [named.check, ...(named.and ? [named.and] : [])].filter((c) =>
    canBeAsked(compiled, c, stage, [a.id, b.id]),
  )
  if (checks.length === 0) return []
  const { forFirst, forSecond } = decides(compiled, a.id, b.id, checks, stage)
  return Math.min(forFirst, forSecond) >= DECIDES_FROM ? checks : []
}

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
    const checks = decidingChecks(compiled, plant, harmful, stage).filter((c) => !answered.has(c))
    return checks.length > 0 ? [{ harmful, checks }] : []
  })
}
