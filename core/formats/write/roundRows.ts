import { randomLcg } from 'd3-random'
import { weighUp } from '../../assess/weighUp.ts'
import { coded } from '../../coded.ts'
import type { Plant } from '../../flora/flora.ts'
import type { Round } from '../../records/round.ts'
import type { Composition } from '../../survey/composition.ts'
import { resolved } from '../../methods/tally.ts'
import { resolvedUnknowns } from '../../survey/figures.ts'
import { toCsv, type RowNames, type Writer } from './writer.ts'

const percent = (x: number | undefined) => (x === undefined ? '' : (100 * x).toFixed(2))

/** One row per species with its share and interval, percent. */
export function compositionRows(round: Composition, plants: Map<string, Plant>, names: RowNames) {
  return round.taxa.map((t) => ({
    taxon: t.taxon,
    name: names.taxon(t.taxon, plants),
    scientific_name: plants.get(t.taxon)?.scientificName ?? '',
    group: names.group(t.group),
    hits: t.hits,
    stops_with: t.stopsWith,
    share_percent: percent(t.estimate),
    low_95_percent: percent(t.interval?.[0]),
    high_95_percent: percent(t.interval?.[1]),
    standard_error_percent: percent(t.se),
  }))
}

/** One row per recorded hit, in the order of the walk. */
export function hitRows(round: Round, plants: Map<string, Plant>, names: Pick<RowNames, 'taxon'>) {
  const named = resolvedUnknowns(round)
  return round.stops.flatMap((stop) =>
    stop.hits.map((hit, i) => {
      const now = resolved(hit.taxon, named)
      return {
        stop: stop.seq,
        number: i + 1,
        recorded_as: names.taxon(hit.taxon, plants),
        taxon: now,
        name: names.taxon(now, plants),
        amount: hit.amount,
        pin_or_cell: hit.part ?? '',
        part_of_paddock: stop.stratum,
        longitude: stop.position?.[0] ?? '',
        latitude: stop.position?.[1] ?? '',
      }
    }),
  )
}

/** One row per stop: where it lies, whether it was counted or skipped, and what was measured there. */
export function stopRows(round: Round) {
  return round.stops.map(({ seq, stratum, doneAt, skipped, position, measures: m }) => ({
    stop: seq,
    part_of_paddock: stratum,
    counted_at: doneAt ?? '',
    skipped: skipped ?? '',
    longitude: position?.[0] ?? '',
    latitude: position?.[1] ?? '',
    reading: m.reading ?? '',
    clip_fresh_g: m.clipFreshG ?? '',
    clip_dry_g: m.clipDryG ?? '',
    frame_yield: m.frameYield ?? '',
    leg_m: m.legM ?? '',
    height_cm: m.heightCm ?? '',
    bare_percent: m.barePercent ?? '',
    growth: m.stage ?? '',
    dung_pats: m.dung ?? '',
    grazed: m.grazed ?? '',
  }))
}

export const compositionCsv: Writer = {
  type: 'text/csv',
  write: ({ round, plants, names }) => {
    const weighed = weighUp(round, plants, () => randomLcg(1))
    return weighed ? toCsv(compositionRows(weighed.composition, plants, names)) : { problem: coded('nothing-counted') }
  },
}

export const hitsCsv: Writer = {
  type: 'text/csv',
  write: ({ round, plants, names }) => toCsv(hitRows(round, plants, names)),
}

export const stopsCsv: Writer = { type: 'text/csv', write: ({ round }) => toCsv(stopRows(round)) }
