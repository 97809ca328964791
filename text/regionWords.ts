import type { NamePlace, Region } from '../core/flora/flora.ts'
import { say } from './say.ts'

const regionsSaid: Record<Region, () => string> = {
  'cool-humid': () => say('North America: cool and humid'),
  transition: () => say('North America: transition'),
  'warm-humid': () => say('North America: warm and humid'),
  'semi-arid': () => say('North America: semi-arid'),
  'britain-ireland': () => say('Britain and Ireland'),
  'western-europe': () => say('western Europe'),
  'southern-australasia': () => say('southern Australia and New Zealand'),
}
export const regionWords = (region: Region): string => regionsSaid[region]()

const placesSaid: Record<NamePlace, () => string> = {
  'north-america': () => say('North America'),
  'britain-ireland': () => say('Britain and Ireland'),
  australasia: () => say('Australia and New Zealand'),
}
/** By whose names plants are called. */
export const namePlaceWords = (place: NamePlace): string => placesSaid[place]()
