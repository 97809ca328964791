import { say } from '../say.ts'

/** What one animal of a class needs of its feed. Ranges hold the spread between weights and yields within the class. */
export interface AnimalClass {
  id: string
  kind: 'cattle' | 'sheep' | 'goats' | 'horses'
  name: string
  bodyKg: number
  /** Dry matter eaten a day, % of body weight. */
  intakePct: readonly [low: number, high: number]
  /** Least crude protein and total digestible nutrients, % of dry matter. */
  cpPct: number
  tdnPct: number
  source: string
}

const beef = say('NRC Nutrient Requirements of Beef Cattle 1996, from memory')
const dairy = say('NRC Nutrient Requirements of Dairy Cattle 2001, from memory')
const small = say('NRC Nutrient Requirements of Small Ruminants 2007, from memory')
const horse = say('NRC Nutrient Requirements of Horses 2007, from memory; digestible energy given as TDN')

/** Classes of stock and their needs, rounded. */
export const animalClasses: AnimalClass[] = [
  { id: 'cow-dry', kind: 'cattle', name: say('Suckler cow, dry'), bodyKg: 545, intakePct: [1.8, 2.1], cpPct: 7, tdnPct: 50, source: beef }, // prettier-ignore
  { id: 'cow-suckling', kind: 'cattle', name: say('Suckler cow, milking'), bodyKg: 545, intakePct: [2.2, 2.6], cpPct: 10.5, tdnPct: 60, source: beef }, // prettier-ignore
  { id: 'steer', kind: 'cattle', name: say('Growing steer, 0.8 kg a day'), bodyKg: 300, intakePct: [2.3, 2.7], cpPct: 11.5, tdnPct: 65, source: beef }, // prettier-ignore
  { id: 'cow-dairy', kind: 'cattle', name: say('Dairy cow, 25 kg of milk'), bodyKg: 650, intakePct: [2.8, 3.3], cpPct: 14.5, tdnPct: 67, source: dairy }, // prettier-ignore
  { id: 'ewe-dry', kind: 'sheep', name: say('Ewe, dry'), bodyKg: 70, intakePct: [1.7, 2], cpPct: 8, tdnPct: 53, source: small }, // prettier-ignore
  { id: 'ewe-twins', kind: 'sheep', name: say('Ewe with twins'), bodyKg: 70, intakePct: [3.4, 4.1], cpPct: 14.5, tdnPct: 65, source: small }, // prettier-ignore
  { id: 'lamb', kind: 'sheep', name: say('Growing lamb'), bodyKg: 35, intakePct: [3.4, 4.2], cpPct: 13.5, tdnPct: 68, source: small }, // prettier-ignore
  { id: 'goat-dry', kind: 'goats', name: say('Doe, dry'), bodyKg: 60, intakePct: [1.8, 2.2], cpPct: 8, tdnPct: 53, source: small }, // prettier-ignore
  { id: 'goat-milking', kind: 'goats', name: say('Milking doe, 3 kg a day'), bodyKg: 60, intakePct: [3.8, 4.6], cpPct: 13.5, tdnPct: 65, source: small }, // prettier-ignore
  { id: 'horse-idle', kind: 'horses', name: say('Horse, no work'), bodyKg: 500, intakePct: [1.8, 2.2], cpPct: 6.3, tdnPct: 38, source: horse }, // prettier-ignore
  { id: 'horse-work', kind: 'horses', name: say('Horse, moderate work'), bodyKg: 500, intakePct: [2, 2.5], cpPct: 7, tdnPct: 47, source: horse }, // prettier-ignore
  { id: 'mare-milking', kind: 'horses', name: say('Mare with foal'), bodyKg: 500, intakePct: [2.3, 2.8], cpPct: 12, tdnPct: 57, source: horse }, // prettier-ignore
]

export const animalClass = (id: string): AnimalClass | undefined => animalClasses.find((a) => a.id === id)
