export type NeedsSource = 'nrc-beef-1996' | 'nrc-dairy-2001' | 'nrc-small-ruminants-2007' | 'nrc-horses-2007'

/** What one animal of a class needs of its feed. Ranges hold the spread between weights and yields within the class. */
export interface AnimalClass {
  id: string
  kind: 'cattle' | 'sheep' | 'goats' | 'horses'
  bodyKg: number
  /** In milk or rearing young. */
  milking?: true
  /** In the last third of carrying its young. */
  inYoung?: true
  /** Kilograms gained a day that the needs are for. */
  gainKg?: number
  /** Dry matter eaten a day, % of body weight. */
  intakePct: readonly [low: number, high: number]
  /** Least crude protein and total digestible nutrients, % of dry matter. */
  cpPct: number
  tdnPct: number
  /** Digestible energy a day, Mcal; for horses, which are not fed by total digestible nutrients. */
  deMcal?: number
  /** All from memory. */
  source: NeedsSource
}

/** Classes of stock and their needs, rounded. */
export const animalClasses = [
  { id: 'cow-dry', kind: 'cattle', bodyKg: 545, intakePct: [1.8, 2.1], cpPct: 7, tdnPct: 50, source: 'nrc-beef-1996' }, // prettier-ignore
  { id: 'cow-late', kind: 'cattle', bodyKg: 545, inYoung: true, intakePct: [1.9, 2.2], cpPct: 8.2, tdnPct: 56, source: 'nrc-beef-1996' }, // prettier-ignore
  { id: 'cow-suckling', kind: 'cattle', bodyKg: 545, milking: true, intakePct: [2.2, 2.6], cpPct: 10.5, tdnPct: 60, source: 'nrc-beef-1996' }, // prettier-ignore
  { id: 'steer', kind: 'cattle', bodyKg: 300, gainKg: 0.8, intakePct: [2.3, 2.7], cpPct: 11.5, tdnPct: 65, source: 'nrc-beef-1996' }, // prettier-ignore
  { id: 'cow-dairy', kind: 'cattle', bodyKg: 650, milking: true, intakePct: [2.8, 3.3], cpPct: 14.5, tdnPct: 61, source: 'nrc-dairy-2001' }, // prettier-ignore
  { id: 'ewe-dry', kind: 'sheep', bodyKg: 70, intakePct: [1.7, 2], cpPct: 8, tdnPct: 53, source: 'nrc-small-ruminants-2007' }, // prettier-ignore
  { id: 'ewe-late-twins', kind: 'sheep', bodyKg: 70, inYoung: true, intakePct: [2.6, 2.8], cpPct: 11.3, tdnPct: 65, source: 'nrc-small-ruminants-2007' }, // prettier-ignore
  { id: 'ewe-twins', kind: 'sheep', bodyKg: 70, milking: true, intakePct: [3.4, 4.1], cpPct: 14.5, tdnPct: 65, source: 'nrc-small-ruminants-2007' }, // prettier-ignore
  { id: 'lamb', kind: 'sheep', bodyKg: 35, gainKg: 0.25, intakePct: [3.4, 4.2], cpPct: 13.5, tdnPct: 74, source: 'nrc-small-ruminants-2007' }, // prettier-ignore
  { id: 'goat-dry', kind: 'goats', bodyKg: 60, intakePct: [1.8, 2.2], cpPct: 8, tdnPct: 53, source: 'nrc-small-ruminants-2007' }, // prettier-ignore
  { id: 'goat-late', kind: 'goats', bodyKg: 60, inYoung: true, intakePct: [2.3, 2.7], cpPct: 11, tdnPct: 63, source: 'nrc-small-ruminants-2007' }, // prettier-ignore
  { id: 'goat-milking', kind: 'goats', bodyKg: 60, milking: true, intakePct: [3.8, 4.6], cpPct: 13.5, tdnPct: 65, source: 'nrc-small-ruminants-2007' }, // prettier-ignore
  { id: 'horse-idle', kind: 'horses', bodyKg: 500, intakePct: [1.8, 2.2], cpPct: 6.3, tdnPct: 38, deMcal: 16.7, source: 'nrc-horses-2007' }, // prettier-ignore
  { id: 'horse-work', kind: 'horses', bodyKg: 500, intakePct: [2, 2.5], cpPct: 7, tdnPct: 47, deMcal: 23.3, source: 'nrc-horses-2007' }, // prettier-ignore
  { id: 'mare-late', kind: 'horses', bodyKg: 500, inYoung: true, intakePct: [1.8, 2.2], cpPct: 9, tdnPct: 49, deMcal: 21.4, source: 'nrc-horses-2007' }, // prettier-ignore
  { id: 'mare-milking', kind: 'horses', bodyKg: 500, milking: true, intakePct: [2.3, 2.8], cpPct: 12, tdnPct: 57, deMcal: 31.7, source: 'nrc-horses-2007' }, // prettier-ignore
] as const satisfies readonly AnimalClass[]
export type AnimalClassId = (typeof animalClasses)[number]['id']

export const animalClass = (id: string): AnimalClass | undefined => animalClasses.find((a) => a.id === id)

/** What one animal needs in a day. */
export interface DailyNeeds {
  /** Dry matter it would eat of good feed, kg. */
  eatsKg: number
  proteinKg: number
  energy: number
  unit: EnergyUnit
}
/** Kilograms of total digestible nutrients, or for horses megacalories of digestible energy. */
export type EnergyUnit = 'kg-tdn' | 'mcal-de'

/** The needs of a class, turned from shares of dry matter into a day's. @param bodyKg of one animal, where it is not that of the class */
export function dailyNeeds(animal: AnimalClass, bodyKg = animal.bodyKg): DailyNeeds {
  if (!(bodyKg > 0)) throw new RangeError(`an animal has a weight: ${bodyKg}`)
  const eatsKg = ((animal.intakePct[0] + animal.intakePct[1]) / 200) * bodyKg
  const energy = animal.deMcal === undefined ? (animal.tdnPct / 100) * eatsKg : animal.deMcal * (bodyKg / animal.bodyKg)
  return {
    eatsKg,
    proteinKg: (animal.cpPct / 100) * eatsKg,
    energy,
    unit: animal.deMcal === undefined ? 'kg-tdn' : 'mcal-de',
  }
}
