import { gpx } from '@tmcw/togeojson'
import type { FeatureCollection, Polygon } from 'geojson'
import { readBoundary } from '@/core/formats/readBoundary.ts'
import { say } from '../language/say.ts'

const LARGEST_FILE = 2_000_000

/** A walk round the edge is a boundary: its line is closed. */
function closedWalk(walks: FeatureCollection): unknown {
  const line = walks.features.map((f) => f.geometry).find((g) => g?.type === 'LineString' && g.coordinates.length >= 3)
  return line?.type === 'LineString'
    ? { type: 'Polygon', coordinates: [line.coordinates.map((c) => c.slice(0, 2))] }
    : walks
}

/** Tracks, routes and points of a GPX text. Entities are refused: nothing in GPX needs them, and they can swell. */
export function gpxFeatures(text: string, name: string): FeatureCollection {
  if (/<!(DOCTYPE|ENTITY)/i.test(text))
    throw new Error(say('{{name}} declares entities; such a file is not read.', { name }))
  const document = new DOMParser().parseFromString(text, 'text/xml')
  if (document.querySelector('parsererror'))
    throw new Error(say('{{name}} is not GPX: it could not be read as XML.', { name }))
  const walks = gpx(document) as FeatureCollection
  if (walks.features.length === 0) throw new Error(say('{{name}} holds no track, route or point.', { name }))
  return walks
}

export function parseJson(text: string, name: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw new Error(say('{{name}} is not GeoJSON: it could not be read as JSON.', { name }))
  }
}

/**
 * The boundary in a GeoJSON or GPX file.
 *
 * @throws Error in words for the reader
 */
export async function readPlaceFile(file: File): Promise<Polygon> {
  if (file.size > LARGEST_FILE) throw new Error(say('This file is larger than 2 MB; a boundary needs far less.'))
  const text = await file.text()
  const read = readBoundary(
    /\.gpx$/i.test(file.name) ? closedWalk(gpxFeatures(text, file.name)) : parseJson(text, file.name),
  )
  if ('problem' in read) throw new Error(read.problem)
  return read.boundary
}
