import { answeredTraits } from '../drawing/portrait/traits.ts'
import type { Traits } from '../drawing/portrait/portrait.ts'
import type { CompiledFlora } from '../naming/compileFlora.ts'
import type { Plant, Stage } from '../flora/flora.ts'
import type { Observation } from '../records/observation.ts'
import { CANT_TELL } from '../records/observation.ts'
import { simulateSpecimen } from '../naming/simulateSpecimen.ts'

/** How a plant comes to hand. */
export const conditions = ['whole', 'mown', 'chewed', 'no roots'] as const
export type Condition = (typeof conditions)[number]

export interface PractiseSpecimen {
  plant: string
  stage: Stage
  condition: Condition
  /** What can be seen of it, one state or size for each character it shows. */
  seen: Observation[]
  traits: Traits
}

/** Characters that go with the parts that are missing. */
const gone: Record<Condition, (id: string) => boolean> = {
  whole: () => false,
  mown: (id) => id === 'blade.tip' || id === 'blade.shape' || id === 'leaflet.tip',
  chewed: (id) => /^(blade\.tip|blade\.shape|blade\.width|leaf\.outline|leaflet\.tip|leaf\.margin)$/.test(id),
  'no roots': (id) => /^(root\.|rhizome\.|seed\.attached|tug|habit$)/.test(id),
}

/** Parts that are learned from plants in flower are not shown: nothing is in flower. */
const FLOWER = /^(flower|head|fruit)\./

/**
 * A specimen with the natural variation of its plant: each character drawn from its frequency words and sizes, those of
 * one group alike half of the time, without an observer's slips.
 *
 * @param random uniform 0 to 1, seeded
 */
export function practiseSpecimen(
  compiled: CompiledFlora,
  plant: Plant,
  stage: Stage,
  condition: Condition,
  random: () => number,
): PractiseSpecimen {
  const made = simulateSpecimen(compiled, plant, stage, random, 1, 'faultless')
  const seen = compiled.flora.characters
    .filter((c) => !FLOWER.test(c.id) && !c.id.startsWith('seed.') && !gone[condition](c.id))
    .filter((c) => c.forms.includes(plant.form) || c.id === 'life.form')
    .map((c) => made.answer(c))
    .filter((o) => !('states' in o && o.states[0] === CANT_TELL))
  return { plant: plant.id, stage, condition, seen, traits: answeredTraits(seen, stage) }
}
