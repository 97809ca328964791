import type { Feature, FeatureCollection } from 'geojson'
import type { Round } from '../../records/round.ts'
import { amountsAt } from '../../methods/tally.ts'
import type { Taxon } from '../../records/taxon.ts'
import { resolvedUnknowns } from '../../survey/figures.ts'
import type { Writer } from './writer.ts'

/** A round as GeoJSON (RFC 7946): the boundary, the route, and each stop with its counts by name. */
export function roundGeoJson(round: Round, nameOf: (taxon: Taxon) => string): FeatureCollection {
  const named = resolvedUnknowns(round)
  const features: Feature[] = []
  if (round.paddock.boundary)
    features.push({
      type: 'Feature',
      properties: { kind: 'boundary', name: round.paddock.name },
      geometry: round.paddock.boundary,
    })
  if (round.route)
    features.push({
      type: 'Feature',
      properties: { kind: 'route', length_m: Math.round(round.route.lengthM) },
      geometry: { type: 'LineString', coordinates: round.route.line },
    })
  for (const stop of round.stops) {
    if (!stop.position) continue
    const counts = Object.fromEntries([...amountsAt(stop, named)].map(([t, n]) => [nameOf(t), n]))
    features.push({
      type: 'Feature',
      properties: { kind: 'stop', stop: stop.seq, done_at: stop.doneAt, counts },
      geometry: { type: 'Point', coordinates: stop.position },
    })
  }
  return { type: 'FeatureCollection', features }
}

export const geoJsonFile: Writer = {
  type: 'application/geo+json',
  write: ({ round, plants, names }) => JSON.stringify(roundGeoJson(round, (t) => names.taxon(t, plants))),
}
