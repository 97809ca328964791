import { randomLcg } from 'd3-random'
import type { Portrait, Traits } from '@/core/drawing/portrait/portrait.ts'
import { portraitOf } from '@/core/drawing/portrait/portraitOf.ts'
import { usualTraits } from '@/core/flora/traits.ts'
import { answeredTraits } from '@/core/drawing/portrait/traits.ts'
import type { LifeForm, Plant, Stage } from '@/core/flora/flora.ts'
import type { Candidate, Identification } from '@/core/naming/identify.ts'
import type { Observation } from '@/core/records/observation.ts'
import { seedOf } from '../../parts/PlantDrawing.tsx'

interface Drawn {
  id: string
  form: LifeForm
  stage: Stage
  traits: Traits
  portrait: Portrait
}
const drawnOf = new WeakMap<Observation[], Drawn>()

/** The specimen as it is drawn so far, the same while the person is on one plant; drawn once for large and small. */
export function specimenOf(id: string, form: LifeForm, answers: Observation[], stage: Stage): Drawn {
  const before = drawnOf.get(answers)
  if (before?.id === id && before.form === form && before.stage === stage) return before
  const traits = answeredTraits(answers, stage)
  const made = { id, form, stage, traits, portrait: portraitOf(form, traits, randomLcg(seedOf(id || 'plant'))) }
  drawnOf.set(answers, made)
  return made
}

const drawnBefore = new Map<string, Portrait>()

/** Drawn once for each plant and what was seen otherwise than it mostly is: most answers are as the plant mostly is. */
export function possiblePortrait(plant: Plant, stage: Stage, answers: Observation[]): Portrait {
  const [usual, seen] = [usualTraits(plant, stage), answeredTraits(answers)]
  const other = Object.entries(seen.states).filter(([c, s]) => usual.states[c] !== undefined && usual.states[c] !== s)
  const key = [
    plant.id,
    stage,
    ...other.map(([c, s]) => `${c}=${s}`),
    ...Object.entries(seen.sizes).map(([c, v]) => `${c}=${v}`),
  ].join(' ')
  const known = drawnBefore.get(key)
  if (known) return known
  const traits = {
    ...usual,
    states: { ...usual.states, ...Object.fromEntries(other) },
    sizes: { ...usual.sizes, ...seen.sizes },
  }
  const portrait = portraitOf(plant.form, traits, randomLcg(seedOf(plant.id)))
  if (drawnBefore.size > 300) drawnBefore.clear()
  drawnBefore.set(key, portrait)
  return portrait
}

/** Names worth a line on the bench. */
export const shownCandidates = (candidates: Candidate[]): Candidate[] =>
  candidates.filter((c, i) => i === 0 || (i < 5 && c.probability >= 0.01))

/** What the bench will draw when these answers stand, a drawing at a time, so that a touch in between is not kept waiting. */
export function drawingsFor(
  id: string,
  stage: Stage,
  answers: Observation[],
  result: Identification,
  byId: Map<string, Plant>,
): (() => void)[] {
  const plants = shownCandidates(result.candidates).flatMap((c) => byId.get(c.plant) ?? [])
  const form = plants[0]?.form
  return [
    ...(form ? [() => void specimenOf(id, form, answers, stage)] : []),
    ...plants.map((plant) => () => void possiblePortrait(plant, stage, answers)),
  ]
}
