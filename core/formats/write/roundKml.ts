import type { Position } from 'geojson'
import { create } from 'xmlbuilder2'
import type { Round } from '../../records/round.ts'
import type { StopMarkWords, Writer } from './writer.ts'

const corners = (line: readonly Position[]) =>
  line.map(([lon, lat]) => `${lon!.toFixed(7)},${lat!.toFixed(7)}`).join(' ')

/** Boundary, walk and stops as places of KML 2.2 (OGC 07-147r2), which a phone's map opens. A stop that was skipped says so. */
export function roundKml(round: Round, words: StopMarkWords): string {
  const kml = create({ version: '1.0', encoding: 'UTF-8' }).ele('http://www.opengis.net/kml/2.2', 'kml')
  const book = kml.ele('Document')
  book.ele('name').txt(`${round.paddock.name}: ${round.title}`)
  const place = (name: string, description?: string) => {
    const mark = book.ele('Placemark')
    mark.ele('name').txt(name)
    if (description) mark.ele('description').txt(description)
    return mark
  }
  const { boundary } = round.paddock
  if (boundary) {
    const polygon = place(round.paddock.name).ele('Polygon')
    boundary.coordinates.forEach((ring, i) =>
      polygon
        .ele(i === 0 ? 'outerBoundaryIs' : 'innerBoundaryIs')
        .ele('LinearRing')
        .ele('coordinates')
        .txt(corners(ring)),
    )
  }
  if (round.route)
    place(words.walkOf(round.paddock.name)).ele('LineString').ele('coordinates').txt(corners(round.route.line))
  for (const s of round.stops)
    if (s.position)
      place(words.stop(s.seq), s.skipped ? words.skipped(s.skipped) : s.doneAt ? words.counted : words.toCount)
        .ele('Point')
        .ele('coordinates')
        .txt(corners([s.position]))
  return kml.end({ prettyPrint: true })
}

export const kmlFile: Writer = {
  type: 'application/xml',
  write: ({ round, marks }) => roundKml(round, marks),
}
