import { ENOUGH_LEGUME, type SowingFit, type SowingReason } from '@/core/assess/sowing/sowingAdvice.ts'
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
