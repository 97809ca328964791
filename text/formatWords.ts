import type { ReadFormat, WrittenFile } from '@/core/formats/formatIds.ts'
import { say } from './say.ts'

const written: Record<WrittenFile, () => string> = {
  'composition.csv': () => say('Shares with intervals, for a spreadsheet'),
  'hits.csv': () => say('Every hit in the order of the walk'),
  'stops.csv': () => say('Every stop: where, counted or skipped, what was measured'),
  'stops.gpx': () => say('Stops and route, for a hand-held receiver'),
  'stops.kml': () => say('Boundary, route and stops, for the map on a phone'),
  'darwin-core.zip': () => say('Finds as a Darwin Core archive, for a biological records centre'),
  'stops.geojson': () => say('Boundary, route and stops, for a map'),
}

/** What a file of a round holds, and for whom. */
export const writtenWords = (file: WrittenFile): string => written[file]()

const read: Record<ReadFormat, () => string> = {
  'darwin-core': () => say('Darwin Core archive'),
  geojson: () => say('GeoJSON'),
  kml: () => 'KML',
  gpx: () => 'GPX',
}

/** What kind of file was read. */
export const formatName = (format: ReadFormat): string => read[format]()
