import type { animalUnitMonths } from '@/core/assess/feed/grazingDays.ts'
import { say } from './say.ts'

const words: Record<keyof typeof animalUnitMonths, () => string> = {
  srm: () => say('12 kg of dry matter a day for a 454 kg cow (Society for Range Management 1989)'),
  'air-dry-800-lb': () => say('800 lb of air-dry forage a month (as public range is let)'),
  'twenty-lb': () => say('20 lb of dry matter a day (older practice)'),
}

export const animalUnitWords = (convention: keyof typeof animalUnitMonths): string => words[convention]()
