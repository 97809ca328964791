import { animalClasses, type AnimalClassId, type NeedsSource } from '@/core/assess/feed/needs.ts'
import { say } from './say.ts'

const names: Record<AnimalClassId, () => string> = {
  'cow-dry': () => say('Suckler cow, dry'),
  'cow-late': () => say('Suckler cow, last third of carrying'),
  'cow-suckling': () => say('Suckler cow, milking'),
  steer: () => say('Growing steer, 0.8 kg a day'),
  'cow-dairy': () => say('Dairy cow, 25 kg of milk'),
  'ewe-dry': () => say('Ewe, dry'),
  'ewe-late-twins': () => say('Ewe carrying twins, last six weeks'),
  'ewe-twins': () => say('Ewe with twins'),
  lamb: () => say('Finishing lamb, 250 g a day'),
  'goat-dry': () => say('Doe, dry'),
  'goat-late': () => say('Doe, last six weeks of carrying'),
  'goat-milking': () => say('Milking doe, 3 kg a day'),
  'horse-idle': () => say('Horse, no work'),
  'horse-work': () => say('Horse, moderate work'),
  'mare-late': () => say('Mare, last two months of carrying'),
  'mare-milking': () => say('Mare with foal'),
}

/** The name of a class of stock; an id that is none stands as it is. */
export const animalClassName = (id: string): string =>
  animalClasses.some((a) => a.id === id) ? names[id as AnimalClassId]() : id

const sources: Record<NeedsSource, () => string> = {
  'nrc-beef-1996': () => say('NRC Nutrient Requirements of Beef Cattle 1996, from memory'),
  'nrc-dairy-2001': () => say('NRC Nutrient Requirements of Dairy Cattle 2001, from memory'),
  'nrc-small-ruminants-2007': () => say('NRC Nutrient Requirements of Small Ruminants 2007, from memory'),
  'nrc-horses-2007': () => say('NRC Nutrient Requirements of Horses 2007, from memory'),
}

export const needsSourceWords = (source: NeedsSource): string => sources[source]()
