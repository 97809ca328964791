import { say } from '../language/say.ts'

/** Something that gives one number when it is asked. */
export interface Gauge<Asked> {
  name: string
  simulated: boolean
  read: (asked: Asked) => Promise<number>
}

/** About normal, mean 0 and spread 1, from three uniform draws. */
const wobble = () => (Math.random() + Math.random() + Math.random() - 1.5) * 2

/** Compressed sward height in cm, in half centimetres as a plate meter gives it. */
export const simulatedPlate: Gauge<void> = {
  get name() {
    return say('simulated plate meter')
  },
  simulated: true,
  read: async () => Math.max(2, Math.round((9 + 3 * wobble()) * 2) / 2),
}

/**
 * Fresh grams of what was cut. It follows the height, as grass does: about 125 kg of dry matter a hectare for each cm,
 * and 640 under the shears, a fifth of it dry (made up for the demonstration).
 */
export const simulatedScale: Gauge<{ heightCm?: number | undefined; frameM2: number }> = {
  get name() {
    return say('simulated scale')
  },
  simulated: true,
  read: async ({ heightCm, frameM2 }) => {
    const dryKgPerHa = 640 + 125 * (heightCm ?? 9) + 180 * wobble()
    return Math.max(1, Math.round(((dryKgPerHa / 10) * frameM2) / 0.2))
  },
}
