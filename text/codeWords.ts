import type { AtRisk, Ground } from '@/core/flora/codes.ts'
import type { AbundanceWord, FeedForm, FrequencyWord, Plant, SowingTime, Stage } from '@/core/flora/flora.ts'
import type { Met } from '@/core/assess/feed/meetsNeeds.ts'
import type { Strength } from '@/core/assess/indicators/siteIndicators.ts'
import type { RunnerGroup } from '@/core/naming/groupKey.ts'
import type { Frost } from '@/core/records/conditions.ts'
import type { Grazed, SwardStage } from '@/core/records/measures.ts'
import type { Sureness } from '@/core/records/observation.ts'
import type { Outlook, PartKind } from '@/core/records/round.ts'
import { say } from './say.ts'

/** Codes of one word or two that are said as they stand, whatever list they come from. */
export type SaidCode =
  | Stage
  | Plant['cycle']
  | FrequencyWord
  | AbundanceWord
  | Outlook
  | PartKind
  | Ground
  | Sureness
  | Strength
  | SwardStage
  | Grazed
  | Frost
  | 'yes'
  | 'no'
  | AtRisk
  | FeedForm
  | Met['what']
  | SowingTime
  | RunnerGroup

const words: Record<SaidCode, () => string> = {
  seedling: () => say('seedling'),
  vegetative: () => say('vegetative'),
  mown: () => say('mown'),
  rosette: () => say('rosette'),
  bolting: () => say('bolting'),
  flowering: () => say('flowering'),
  annual: () => say('annual'),
  biennial: () => say('biennial'),
  perennial: () => say('perennial'),
  always: () => say('always'),
  usually: () => say('usually'),
  often: () => say('often'),
  sometimes: () => say('sometimes'),
  rarely: () => say('rarely'),
  never: () => say('never'),
  common: () => say('common'),
  frequent: () => say('frequent'),
  occasional: () => say('occasional'),
  rare: () => say('rare'),
  grazing: () => say('grazing'),
  hay: () => say('hay'),
  turf: () => say('turf'),
  native: () => say('native'),
  crest: () => say('crest'),
  slope: () => say('slope'),
  'wet hollow': () => say('wet hollow'),
  gateway: () => say('gateway'),
  camp: () => say('camp'),
  shade: () => say('shade'),
  other: () => say('other'),
  compacted: () => say('compacted'),
  disturbed: () => say('disturbed'),
  dry: () => say('dry'),
  fertile: () => say('fertile'),
  wet: () => say('wet'),
  sure: () => say('sure'),
  likely: () => say('likely'),
  guess: () => say('guess'),
  clear: () => say('clear'),
  leafy: () => say('leafy'),
  stemmy: () => say('stemmy'),
  headed: () => say('headed'),
  ripe: () => say('ripe'),
  cured: () => say('cured'),
  not: () => say('not'),
  lightly: () => say('lightly'),
  hard: () => say('hard'),
  light: () => say('light'),
  killing: () => say('killing'),
  yes: () => say('yes'),
  no: () => say('no'),
  cattle: () => say('cattle'),
  sheep: () => say('sheep'),
  goats: () => say('goats'),
  horses: () => say('horses'),
  pigs: () => say('pigs'),
  poultry: () => say('poultry'),
  dogs: () => say('dogs'),
  people: () => say('people'),
  standing: () => say('standing'),
  wilted: () => say('wilted'),
  silage: () => say('silage'),
  protein: () => say('protein'),
  energy: () => say('energy'),
  'late-winter': () => say('late winter'),
  spring: () => say('spring'),
  'early-summer': () => say('early summer'),
  'late-summer': () => say('late summer'),
  autumn: () => say('autumn'),
  'red-hairy': () => say('red, hairy'),
  'red-smooth': () => say('red, smooth'),
  'green-hairy': () => say('green, hairy'),
  'green-smooth': () => say('green, smooth'),
  'combination-hairy': () => say('combination, hairy'),
  'combination-smooth': () => say('combination, smooth'),
}

export const codeWords = (code: SaidCode): string => words[code]()

export const codesListed = (codes: readonly SaidCode[]): string => codes.map(codeWords).join(', ')
