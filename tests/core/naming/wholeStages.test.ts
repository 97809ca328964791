import { describe, expect, it } from 'vitest'
import type { Stage } from '@/core/flora/flora.ts'
import { cellOfStage } from '@/core/naming/youngCell.ts'
import { flora } from '@/tests/support/book.ts'

// What a plant is told by at an age: common practice, no source.
const leaf = [
  'leaf.outline',
  'leaf.margin',
  'leaf.set',
  'petiole.length',
  'petiole.hairs',
  'hairs.upper',
  'hairs.lower',
]
const toldBy: Partial<Record<Stage, string[]>> = {
  seedling: [...leaf, 'seedleaf.shape', 'seedleaf.length', 'seedleaf.stalk', 'seedleaf.hairs', 'root.kind', 'tug', 'spines', 'stem.armour'], // prettier-ignore
  rosette: [...leaf, 'petiole.base', 'leaf.length', 'root.kind', 'spines'],
  vegetative: [...leaf, 'root.kind', 'spines', 'sap', 'smell'],
  bolting: [...leaf, 'stem.section', 'stem.inside', 'stem.hairs', 'stem.marks'],
}
/** Spore plants have no seed leaves, and a horsetail's leaves are a sheath at the node. */
const noSeedLeaves = new Set(['bracken', 'field-horsetail'])
const noBlade = new Set(['field-horsetail'])

const exempt = (plant: string, character: string) =>
  (noSeedLeaves.has(plant) && character.startsWith('seedleaf.')) ||
  (noBlade.has(plant) && /^(petiole\.hairs|leaf\.length)$/.test(character))

describe('each harmful plant is described at every stage it has', () => {
  const rows = flora.plants
    .filter((p) => p.role === 'toxic')
    .flatMap((p) =>
      (Object.keys(toldBy) as Stage[])
        .filter((s) => s === 'seedling' || s === 'vegetative' || p.stages[s])
        .map((s) => [p.id, s, p] as const),
    )
  it.each(rows)('%s, %s', (id, stage, plant) => {
    const missing = flora.characters.filter(
      (c) =>
        toldBy[stage]!.includes(c.id) &&
        c.forms.includes(plant.form) &&
        !c.lacksAt.includes(stage) &&
        !exempt(id, c.id) &&
        !cellOfStage(plant, c, stage),
    )
    expect(missing.map((c) => c.id)).toEqual([])
  })
})
