export type NeedsSource = 'nrc-beef-1996' | 'nrc-dairy-2001' | 'nrc-small-ruminants-2007' | 'nrc-horses-2007'

/** What one animal of a class needs of its feed. Ranges hold the spread between weights and yields within the class. */
export interface AnimalClass {
  id: string
  kind: 'cattle' | 'sheep' | 'goats' | 'horses'
  bodyKg: number
  /** In milk or rearing young. */
  milking?: true
  /** Dry matter eaten a day, % of body weight. */
  intakePct: readonly [low: number, high: number]
  /** Least crude protein and total digestible nutrients, % of dry matter. */
  cpPct: number
  tdnPct: number
  /** All from memory. */
  source: NeedsSource
}

/** Classes of stock and their needs, rounded. */
export const animalClasses = [
  { id: 'cow-dry', kind: 'cattle', bodyKg: 545, intakePct: [1.8, 2.1], cpPct: 7, tdnPct: 50, source: 'nrc-beef-1996' }, // prettier-ignore
  { id: 'cow-suckling', kind: 'cattle', bodyKg: 545, milking: true, intakePct: [2.2, 2.6], cpPct: 10.5, tdnPct: 60, source: 'nrc-beef-1996' }, // prettier-ignore
  { id: 'steer', kind: 'cattle', bodyKg: 300, intakePct: [2.3, 2.7], cpPct: 11.5, tdnPct: 65, source: 'nrc-beef-1996' }, // prettier-ignore
  { id: 'cow-dairy', kind: 'cattle', bodyKg: 650, milking: true, intakePct: [2.8, 3.3], cpPct: 14.5, tdnPct: 67, source: 'nrc-dairy-2001' }, // prettier-ignore
  { id: 'ewe-dry', kind: 'sheep', bodyKg: 70, intakePct: [1.7, 2], cpPct: 8, tdnPct: 53, source: 'nrc-small-ruminants-2007' }, // prettier-ignore
  { id: 'ewe-twins', kind: 'sheep', bodyKg: 70, milking: true, intakePct: [3.4, 4.1], cpPct: 14.5, tdnPct: 65, source: 'nrc-small-ruminants-2007' }, // prettier-ignore
  { id: 'lamb', kind: 'sheep', bodyKg: 35, intakePct: [3.4, 4.2], cpPct: 13.5, tdnPct: 68, source: 'nrc-small-ruminants-2007' }, // prettier-ignore
  { id: 'goat-dry', kind: 'goats', bodyKg: 60, intakePct: [1.8, 2.2], cpPct: 8, tdnPct: 53, source: 'nrc-small-ruminants-2007' }, // prettier-ignore
  { id: 'goat-milking', kind: 'goats', bodyKg: 60, milking: true, intakePct: [3.8, 4.6], cpPct: 13.5, tdnPct: 65, source: 'nrc-small-ruminants-2007' }, // prettier-ignore
  { id: 'horse-idle', kind: 'horses', bodyKg: 500, intakePct: [1.8, 2.2], cpPct: 6.3, tdnPct: 38, source: 'nrc-horses-2007' }, // prettier-ignore
  { id: 'horse-work', kind: 'horses', bodyKg: 500, intakePct: [2, 2.5], cpPct: 7, tdnPct: 47, source: 'nrc-horses-2007' }, // prettier-ignore
  { id: 'mare-milking', kind: 'horses', bodyKg: 500, milking: true, intakePct: [2.3, 2.8], cpPct: 12, tdnPct: 57, source: 'nrc-horses-2007' }, // prettier-ignore
] as const satisfies readonly AnimalClass[]
export type AnimalClassId = (typeof animalClasses)[number]['id']

export const animalClass = (id: string): AnimalClass | undefined => animalClasses.find((a) => a.id === id)
