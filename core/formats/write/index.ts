import type { WrittenFile } from '../formatIds.ts'
import { darwinCoreFile } from './darwinCore.ts'
import { geoJsonFile } from './roundGeoJson.ts'
import { gpxFile } from './roundGpx.ts'
import { kmlFile } from './roundKml.ts'
import { compositionCsv, hitsCsv, stopsCsv } from './roundRows.ts'
import type { Writer } from './writer.ts'

/** Every file that a round can be given out as. */
export const writers: Record<WrittenFile, Writer> = {
  'composition.csv': compositionCsv,
  'hits.csv': hitsCsv,
  'stops.csv': stopsCsv,
  'stops.gpx': gpxFile,
  'stops.kml': kmlFile,
  'darwin-core.zip': darwinCoreFile,
  'stops.geojson': geoJsonFile,
}
