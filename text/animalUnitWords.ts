import type { animalUnitMonths } from '@/core/assess/feed/grazingDays.ts'
import { say } from './say.ts'

const words: Record<keyof typeof animalUnitMonths, () => string> = {
  srm: () => say('12 kg of dry matter a day for a 454 kg cow (Society for Range Management 1989)'),
  older: () => say('26 lb of dry matter a day (older range practice)'),
}

export const animalUnitWords = (convention: keyof typeof animalUnitMonths): string => words[convention]()
