import type { ConditionPart } from '@/core/assess/grazing/condition.ts'
import type { SwardKind } from '@/core/assess/grazing/sward.ts'
import type { AskedCondition, GrazingSystem } from '@/core/records/management.ts'
import { say } from './say.ts'

const kinds: Record<SwardKind, () => string> = {
  'cool-pasture': () => say('cool-season pasture'),
  'warm-pasture': () => say('warm-season pasture'),
  'tall-native': () => say('tall native grass'),
  'mixed-native': () => say('mixed native grass'),
  'short-native': () => say('short native grass'),
}
export const swardKindWords = (kind: SwardKind): string => kinds[kind]()

const systems: Record<GrazingSystem, () => string> = {
  'range-season-long': () => say('range, all season'),
  continuous: () => say('pasture, all season'),
  'moved-in-a-week': () => say('moved every 3 to 7 days'),
  'moved-daily': () => say('moved every day'),
}
export const grazingSystemWords = (system: GrazingSystem): string => systems[system]()

const parts: Record<ConditionPart, () => string> = {
  desirable: () => say('Plants that are wanted'),
  legume: () => say('Legumes'),
  cover: () => say('Living cover'),
  kinds: () => say('Kinds of plants'),
  litter: () => say('Litter'),
  grazed: () => say('How close it is grazed'),
  compaction: () => say('Loose soil'),
  erosion: () => say('Soil that stays'),
  vigour: () => say('Vigour of the plants'),
  gathering: () => say('Grazing spread out'),
}
export const conditionPartWords = (part: ConditionPart): string => parts[part]()

const ends: Record<AskedCondition, () => [poor: string, good: string]> = {
  compaction: () => [say('a spade hardly goes in'), say('a spade goes in by hand')],
  erosion: () => [say('gullies, soil carried off'), say('none to be seen')],
  vigour: () => [say('yellow, thin, slow to come back'), say('green, thick, quick to come back')],
  gathering: () => [say('bare camps, dung in few places'), say('dung all over, no camps')],
}
/** What the ends of a score that is asked stand for. */
export const conditionEnds = (part: AskedCondition): [poor: string, good: string] => ends[part]()
