import { clusterRatio, kornGraubard } from '../stats/clusterRatio.ts'
import type { Counted, CountingMethod, OwnFigures } from './method.ts'
import { pilotOfShare, usual } from './parts.ts'

/** Share of pins that touch each plant: it is at most once on a pin, so its hits over the pins of the stop are its cover. */
const pinCover = ({ round, together }: Counted): OwnFigures['cover'] =>
  together.taxa
    .map((taxon, j) => {
      const ratio = clusterRatio(
        Array.from(together.totals, (_, i) => ({ hits: together.amounts[j]![i]!, points: round.pointsPerStop })),
      )
      return { taxon, estimate: ratio.estimate, interval: kornGraubard(ratio) }
    })
    .sort((a, b) => b.estimate - a.estimate)

/** Every plant that a pin touches on its way down. */
export const layerPoints: CountingMethod = {
  ...usual,
  protocol: 'Pin points, all layers',
  unit: 'stop',
  entry: 'points',
  kit: ['pin-or-frame'],
  minutesEach: 4,
  pilot: pilotOfShare,
  layered: true,
  sward: {
    // A plant counts once on a pin, however many of its leaves were touched.
    amounts: () => (stop) => {
      const seen = new Set<string>()
      return stop.hits.filter((h) => {
        const key = `${h.part} ${h.taxon}`
        return !seen.has(key) && seen.add(key)
      })
    },
  },
  figures: (counted) => ({ cover: pinCover(counted) }),
}
