import type { Plant } from '../flora/flora.ts'
import { shareOfWord } from '../flora/frequency.ts'
import { light, lighter, mixed, type Lab } from '../likeness/colours.ts'
import type { Random } from '../likeness/ground.ts'
import { MeshBuilder, type Mesh } from '../likeness/mesh.ts'
import { seenFromAbove } from '../likeness/nadir.ts'
import { spots } from '../likeness/noise.ts'
import type { Vec } from '../likeness/vec.ts'

/** A pinch of seed on a white tray, as it is seen. */
export interface SeedTray {
  side: number
  rgba: Uint8ClampedArray
  /** Edge of the tray, mm. */
  millimetres: number
  seeds: number
}

const SEEDS = 60

/** Seed coats by how they are coded; from memory of clean seed in daylight. */
const COATS: Record<string, readonly Lab[]> = {
  'two-tone-red-beige': [[74, 8, 38], [38, 30, 8]], // prettier-ignore
  'light-beige': [[78, 5, 30]],
  'dark-sand': [[58, 10, 30]],
  'beige-with-green': [[70, 0, 32], [48, -16, 26]], // prettier-ignore
  'yellow-brown': [[64, 10, 46]],
  'purple-black': [[22, 12, -2]],
}

/** A seed of a length, mm: two halves of which one is the root's, as in a mitten, or neither. */
function seedMesh(shape: string, colour: string, long: number, random: Random): Mesh {
  const to = new MeshBuilder()
  const [first, second] = COATS[colour] ?? COATS['yellow-brown']!
  const tint = (random() - 0.5) * 12
  const wide = shape === 'round' ? 0.94 : shape === 'oval' ? 0.68 : 0.8
  const [rings, sides] = [11, 18]
  const notch = shape === 'mitten' ? 0.34 : 0
  const rows = Array.from({ length: rings }, (_, r) => {
    const t = r / (rings - 1)
    return Array.from({ length: sides }, (_u, c): Vec => {
      const a = (-2 * Math.PI * c) / sides
      const across = Math.sin(Math.PI * (0.02 + 0.96 * t)) ** 0.8 * 0.5 * long * wide
      // The dent of a mitten, between seed and root, on one side.
      const dent = Math.cos(a) > 0 ? 1 - notch * Math.exp(-(((t - 0.62) / 0.13) ** 2)) : 1
      return [across * Math.cos(a) * dent, across * Math.sin(a) * 0.72 + 0.36 * long * wide, (t - 0.5) * long]
    })
  })
  const patch = random() * 40
  to.sheet(rows, {
    organ: 'base',
    gloss: 0.4,
    close: true,
    colour: (r, c) => {
      const t = r / (rings - 1)
      const share = second ? Math.min(1, Math.max(0, (spots(t * 2.2 + patch, c / 6) - 0.35) * 3)) : 0
      return light(lighter(second ? mixed(first!, second, share) : first!, tint + (spots(t * 9, c + patch) - 0.5) * 5))
    },
  })
  return to.mesh()
}

/** A state of a cell by chance, by how often its plant has it. */
function oneOf(plant: Plant, character: string, random: Random): string {
  const cell = plant.characters[character]
  if (cell?.kind !== 'states') return ''
  const all = Object.entries(cell.words).map(([state, word]) => [state, shareOfWord[word]] as const)
  let left = random() * all.reduce((sum, [, share]) => sum + share, 0)
  return (all.find(([, share]) => (left -= share) <= 0) ?? all[0])?.[0] ?? ''
}

/**
 * Sixty seeds of a plant as they lie on a tray: shapes, colours and lengths by chance within what the book writes of them.
 *
 * @param side pixels of an edge
 * @param random uniform 0 to 1, seeded
 */
export function seedTray(plant: Plant, side: number, random: Random): SeedTray {
  const size = plant.characters['seed.size']
  const [low, high] = size?.kind === 'range' ? size.typical : [1.5, 2.5]
  // The same tray for all seed, so that small ones look small.
  const millimetres = 42
  const standing = Array.from({ length: SEEDS }, () => {
    const long = low + (high - low) * random()
    const mesh = seedMesh(
      oneOf(plant, 'seed.shape', random) || 'oval',
      oneOf(plant, 'seed.colour', random),
      long,
      random,
    )
    const [a, far] = [random() * 2 * Math.PI, Math.sqrt(random()) * (millimetres / 2 - 4)]
    return { mesh, x: Math.cos(a) * far, z: Math.sin(a) * far, yaw: random() * 2 * Math.PI, scale: 1, id: 1, light: 1 }
  })
  const { rgba } = seenFromAbove(standing, { millimetres, side, ground: () => [0.82, 0.81, 0.76], coloured: true })
  return { side, rgba, millimetres, seeds: SEEDS }
}
