import {
  ENOUGH_LEGUME,
  type HeldBack,
  type SowingCondition,
  type SowingFit,
  type SowingReason,
} from '@/core/assess/sowing/sowingAdvice.ts'
import { say } from './say.ts'

const percent = (x: number) => `${Math.round(100 * x)} %`

const words: Record<SowingReason, (share: number) => string> = {
  'sown-again': () => say('It was sown and was not met.'),
  legume: (share) =>
    say('Legumes are {{legume}} of the sward; up to about {{ENOUGHLEGUME}} they feed it with nitrogen.', {
      legume: percent(share),
      ENOUGHLEGUME: percent(ENOUGH_LEGUME),
    }),
  gap: () => say('Growth slumps at midsummer; this one grows or roots deep then.'),
  repair: (share) => say('{{open}} of it is bare or litter.', { open: percent(share) }),
  native: () => say('It is native and at home in this region.'),
}

/** Why a plant would fit into a sward. */
export const sowingFitWords = ({ reason, share }: Pick<SowingFit, 'reason' | 'share'>): string =>
  words[reason](share ?? 0)

const conditions: Record<SowingCondition, () => string> = {
  'endophyte-free-seed': () => say('only as endophyte-free or novel-endophyte seed'),
  inoculate: () => say('with the inoculant of its kind'),
  'lime-first': () => say('after liming'),
  'own-ground': () => say('on ground of its own: it makes a sod'),
}
/** What is to be seen to before it is sown. */
export const sowingConditionWords = (condition: SowingCondition): string => conditions[condition]()

const held: Record<HeldBack['because'], () => string> = {
  autotoxic: () =>
    say('does not come up where its own kind stands or has just stood: another crop for a year or two first'),
  site: () => say('does not bear this ground'),
}
/** Why a plant that would fit is not proposed. */
export const heldBackWords = (because: HeldBack['because']): string => held[because]()
