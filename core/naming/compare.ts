import { answerChance, type CharacterTable } from './characterTable.ts'
import type { CompiledFlora } from './compileFlora.ts'
import type { Effort, Stage } from '../flora/flora.ts'
import { informationGain } from './informationGain.ts'

/** How much a look tells several plants apart, in bits: 0 where all answer alike, log2 of their number where none do. */
export interface ComparedLook {
  character: string
  bits: number
}

/**
 * All looks that can be made at a stage, those that tell the given plants apart best first.
 *
 * @param ids two plants or more, all of this book
 */
export function comparePlants(compiled: CompiledFlora, ids: string[], stage: Stage): ComparedLook[] {
  const rows = Int32Array.from(ids.map((id) => compiled.plantIndex.get(id)!))
  const belief = new Float64Array(compiled.rows)
  for (const r of rows) belief[r] = 1 / rows.length
  return compiled
    .tablesAt(stage)
    .filter((t) => !t.character.lacksAt.includes(stage))
    .map((t) => ({ character: t.character.id, bits: informationGain(t, rows, belief) }))
    .sort((a, b) => b.bits - a.bits)
}

/** Answers a careful observer gives of each plant, row by row, and the doubt in each. */
function answersOf(table: CharacterTable, plants: number): { q: Float64Array; doubt: Float64Array } {
  const { outcomes } = table
  const q = new Float64Array(plants * outcomes)
  const doubt = new Float64Array(plants)
  for (let r = 0; r < plants; r++)
    for (let s = 0; s < outcomes; s++) {
      const p = answerChance(table, r, s)
      q[r * outcomes + s] = p
      if (p > 0) doubt[r] = doubt[r]! - p * Math.log2(p)
    }
  return { q, doubt }
}

/** What an eye goes by before a hand, a lens or a spade is used: weights of the looks. Convention of this project. */
const EYE: Record<Effort, number> = { glance: 1, hand: 0.6, lens: 0.4, dig: 0.4 }

/**
 * How far apart a vegetative eye sees each pair of plants: the bits that one look at each character is expected to give
 * about which of the two it is (Jensen-Shannon divergence, Lin 1991), weighed by how
 * readily it is made and summed; characters of one group count as in naming.
 *
 * @returns plants x plants, row by row, 0 on the diagonal; the smaller the more easily confused
 */
export function plantDistances(compiled: CompiledFlora, stage: Stage): Float64Array {
  const n = compiled.plants.length
  const out = new Float64Array(n * n)
  const byGroup = new Map<string, CharacterTable[]>()
  for (const t of compiled.tablesAt(stage)) {
    if (t.character.lacksAt.includes(stage) || t.character.part === 'when-lucky') continue
    const key = t.character.group ?? t.character.id
    byGroup.set(key, [...(byGroup.get(key) ?? []), t])
  }
  for (const tables of byGroup.values()) {
    const answers = tables.map((t) => ({ outcomes: t.outcomes, weight: EYE[t.character.effort], ...answersOf(t, n) }))
    const bits = new Array<number>(tables.length)
    for (let a = 0; a < n; a++)
      for (let b = a + 1; b < n; b++) {
        answers.forEach(({ outcomes, q, doubt, weight }, k) => {
          let mixed = 0
          for (let s = 0; s < outcomes; s++) {
            const p = (q[a * outcomes + s]! + q[b * outcomes + s]!) / 2
            if (p > 0) mixed -= p * Math.log2(p)
          }
          bits[k] = weight * Math.max(0, mixed - (doubt[a]! + doubt[b]!) / 2)
        })
        if (bits.length > 1) bits.sort((x, y) => y - x)
        const sum = bits.reduce((total, x, k) => total + x / (1 + 0.35 * k), 0)
        out[a * n + b] = out[a * n + b]! + sum
        out[b * n + a] = out[a * n + b]!
      }
  }
  return out
}

export interface Neighbour {
  plant: string
  distance: number
}

/** The plants most easily taken for one another: for each, its nearest few, the nearest first. */
export function nearestPlants(
  compiled: CompiledFlora,
  distances: Float64Array,
  count: number,
): Map<string, Neighbour[]> {
  const n = compiled.plants.length
  return new Map(
    compiled.plants.map((plant, a) => {
      const others = compiled.plants
        .map((p, b) => ({ plant: p.id, distance: distances[a * n + b]!, b }))
        .filter(({ b }) => b !== a)
        .sort((x, y) => x.distance - y.distance)
      return [plant.id, others.slice(0, count).map(({ plant: id, distance }) => ({ plant: id, distance }))] as const
    }),
  )
}
