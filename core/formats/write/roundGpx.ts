import type { Position } from 'geojson'
import { create } from 'xmlbuilder2'
import type { Round } from '../../records/round.ts'
import type { StopMarkWords, Writer } from './writer.ts'

const at = ([lon, lat]: Position) => ({ lat: lat!.toFixed(7), lon: lon!.toFixed(7) })

/** Stops as waypoints and the walk as a route, GPX 1.1. A stop that was skipped says so. */
export function roundGpx(round: Round, words: StopMarkWords): string {
  const gpx = create({ version: '1.0', encoding: 'UTF-8' }).ele('http://www.topografix.com/GPX/1/1', 'gpx', {
    version: '1.1',
    creator: 'Fold Sprig',
  })
  gpx.ele('metadata').ele('name').txt(`${round.paddock.name}: ${round.title}`)
  for (const s of round.stops) {
    if (!s.position) continue
    const point = gpx.ele('wpt', at(s.position))
    point.ele('name').txt(words.stop(s.seq))
    point.ele('desc').txt(s.skipped ? words.skipped(s.skipped) : s.doneAt ? words.counted : words.toCount)
  }
  if (round.route) {
    const route = gpx.ele('rte')
    route.ele('name').txt(words.walkOf(round.paddock.name))
    for (const p of round.route.line) route.ele('rtept', at(p))
  }
  return gpx.end({ prettyPrint: true })
}

export const gpxFile: Writer = { type: 'application/gpx+xml', write: ({ round, marks }) => roundGpx(round, marks) }
