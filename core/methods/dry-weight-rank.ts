import { DRY_WEIGHT_MULTIPLIERS, sharesOfFrame } from './estimators/dryWeightRank.ts'
import type { CountingMethod } from './method.ts'
import { DEFAULT_FRAME_M2, FRAME_POINTS, pilotOfShare, usual } from './parts.ts'

/** The heaviest three plants of each frame, as ranks. Source: 't Mannetje & Haydock 1963. */
export const dryWeightRank: CountingMethod = {
  ...usual,
  protocol: 'Dry-weight rank',
  unit: 'frame',
  entry: 'values',
  values: 'ranks',
  frameYield: true,
  kit: ['frame'],
  minutesEach: 1,
  asks: ['frame', 'few'],
  defaults: { frameM2: DEFAULT_FRAME_M2, few: 'first-takes-third' },
  pilot: (_, halfWidth) => pilotOfShare(FRAME_POINTS, halfWidth),
  sward: {
    ofDryMatter: true,
    amounts: ({ stops, settings }) => {
      const ranked = stops.filter((s) => s.hits.length > 0)
      const weighed = ranked.length > 0 && ranked.every((s) => (s.measures.frameYield ?? 0) > 0)
      return (stop) => {
        const ranks = Object.fromEntries(stop.hits.map((h) => [h.taxon, h.amount]))
        const frameYield = weighed ? stop.measures.frameYield! : 1
        const shares = sharesOfFrame({ ranks }, settings.few ?? 'first-takes-third')
        return [...shares]
          .filter(([, share]) => share > 0)
          .map(([taxon, share]) => ({ taxon, amount: share * frameYield }))
      }
    },
    frameValues: () => ({ values: [0, ...[...DRY_WEIGHT_MULTIPLIERS].reverse()], relative: true }),
  },
}
