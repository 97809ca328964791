import { pictureClasses, type PictureClass } from '@/core/picture/classes.ts'
import type { Picture } from '@/core/picture/homography.ts'

/** A made frame from above whose truth is known to the pixel: patches of each class, coloured with noise and shade. */
export interface MadeFrame {
  picture: Picture
  classAt: (u: number, v: number) => PictureClass
  truth: Record<PictureClass, number>
}

const colours: Record<PictureClass, [number, number, number]> = { green: [92, 134, 52], legume: [70, 128, 74], bare: [124, 98, 74], litter: [186, 170, 128] } // prettier-ignore

/**
 * @param amounts how much of each class is thrown in, before they overlap
 * @param alike how far the classes' colours run together, 0 apart to 1 the same
 */
export function madeFrame(
  size: number,
  amounts: Record<PictureClass, number>,
  alike: number,
  random: () => number,
): MadeFrame {
  const classes = new Uint8Array(size * size).fill(pictureClasses.indexOf('bare'))
  for (const c of ['litter', 'green', 'legume'] as const)
    for (let i = 0; i < amounts[c] * 60; i++) {
      const [x, y, r] = [random() * size, random() * size, size * (0.03 + 0.06 * random())]
      const [wide, tilt] = [0.4 + 0.6 * random(), random() * Math.PI]
      for (let py = Math.max(0, Math.floor(y - r)); py < Math.min(size, y + r); py++)
        for (let px = Math.max(0, Math.floor(x - r)); px < Math.min(size, x + r); px++) {
          const [dx, dy] = [px - x, py - y]
          const [a, b] = [dx * Math.cos(tilt) + dy * Math.sin(tilt), (dy * Math.cos(tilt) - dx * Math.sin(tilt)) / wide]
          if (a * a + b * b < r * r) classes[py * size + px] = pictureClasses.indexOf(c)
        }
    }
  const data = new Uint8ClampedArray(size * size * 4)
  const truth = { green: 0, legume: 0, bare: 0, litter: 0 }
  for (let i = 0; i < classes.length; i++) {
    const c = pictureClasses[classes[i]!]!
    truth[c] += 1 / classes.length
    const shade = 0.75 + 0.25 * Math.sin((i % size) / 23) + 0.3 * (random() - 0.5)
    const grey = 110
    colours[c].forEach((x, k) => (data[i * 4 + k] = (x * (1 - alike) + grey * alike) * shade + 30 * (random() - 0.5)))
    data[i * 4 + 3] = 255
  }
  const at = (u: number, v: number) =>
    Math.min(size - 1, Math.floor(v * size)) * size + Math.min(size - 1, Math.floor(u * size))
  return { picture: { data, width: size, height: size }, classAt: (u, v) => pictureClasses[classes[at(u, v)]!]!, truth }
}
