import {
  feedForms,
  type FeedForm,
  type FormWord,
  type Plant,
  type ReportedDose,
  type AtRisk,
} from '../../flora/flora.ts'
import { harmAs } from './kinds.ts'

/** What is said of one animal and one form: `not-reported` is no word of comfort, only of no report known here. */
export type MatrixWord = FormWord | 'not-reported'

export interface MatrixRow {
  plant: string
  cells: { animal: AtRisk; forms: Record<FeedForm, MatrixWord> }[]
}

const mapForms = <T>(of: (form: FeedForm) => T): Record<FeedForm, T> =>
  Object.fromEntries(feedForms.map((form) => [form, of(form)])) as Record<FeedForm, T>
/** Plant by animal by form, for the animals asked about: in each the worst of the harms that strike that animal. */
export function harmMatrix(plants: Plant[], animals: AtRisk[]): MatrixRow[] {
  return plants
    .filter((p) => p.harm.length > 0)
    .map((p) => ({
      plant: p.id,
      cells: animals.map((animal) => ({
        animal,
        forms: mapForms((form) => harmAs(p, form, [animal]) ?? 'not-reported'),
      })),
    }))
}

/** Dry matter of a green plant, share of its fresh weight: common practice, no source. */
const DRY_SHARE = [0.15, 0.3] as const

export interface DoseHere {
  dose: ReportedDose
  bodyKg: number
  /** Kilograms of the plant (of the part and state of the dose) that were reported to harm an animal of this weight. */
  kg: [low: number, high: number]
  /** Square metres of this sward that hold as much, from the densest and lowest dose to the thinnest and highest. */
  squareMetres?: [low: number, high: number]
}

/**
 * Reported doses set beside what stands here. Never a measure of what is harmless: plants differ, stock differ, and
 * what is eaten is not what is offered.
 *
 * @param share share of the plant in the dry matter, 0 to 1, low and high
 * @param massKgPerHa dry matter standing, kilograms a hectare, low and high
 * @throws RangeError where the body weight is not above 0
 */
export function dosesHere(
  plant: Plant,
  animal: AtRisk,
  bodyKg: number,
  share?: readonly [number, number],
  massKgPerHa?: readonly [number, number],
): DoseHere[] {
  if (!(bodyKg > 0)) throw new RangeError('the body weight must be above 0')
  return (plant.exposure?.doses ?? [])
    .filter((d) => d.animal === animal)
    .map((dose) => {
      const kg: [number, number] = [(dose.percent[0] / 100) * bodyKg, (dose.percent[1] / 100) * bodyKg]
      // Roots, seed and burs are not what a share of the sward measures.
      const ofShoot = dose.part === 'plant' || dose.part === 'leaf'
      if (!ofShoot || !share || !massKgPerHa || share[1] <= 0 || massKgPerHa[1] <= 0) return { dose, bodyKg, kg }
      const dry = dose.state === 'dry' ? ([1, 1] as const) : DRY_SHARE
      const most = (share[1] * massKgPerHa[1]) / 10_000
      const least = (share[0] * massKgPerHa[0]) / 10_000
      return {
        dose,
        bodyKg,
        kg,
        squareMetres: [(kg[0] * dry[0]) / most, least > 0 ? (kg[1] * dry[1]) / least : Infinity],
      }
    })
}

/** Animals that a share of the sward speaks for: what the client keeps, by the kind of the class. */
export const keptAnimals = ['cattle', 'sheep', 'goats', 'horses'] as const
