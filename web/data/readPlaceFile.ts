import { refusedFile } from '@/text/fileWords.ts'
import { gpx, kml } from '@tmcw/togeojson'
import type { FeatureCollection, Polygon } from 'geojson'
import { isKml } from '@/core/formats/mapXml.ts'
import { readBoundary } from '@/core/formats/readBoundary.ts'
import { say } from '../language/say.ts'

const LARGEST_FILE = 2_000_000

/** An area that was drawn, or else a walk round the edge: its line is closed. */
function areaOrWalk(walks: FeatureCollection): unknown {
  if (walks.features.some((f) => f.geometry?.type === 'Polygon')) return walks
  const line = walks.features.map((f) => f.geometry).find((g) => g?.type === 'LineString' && g.coordinates.length >= 3)
  return line?.type === 'LineString'
    ? { type: 'Polygon', coordinates: [line.coordinates.map((c) => c.slice(0, 2))] }
    : walks
}

/** What a file of a map program or a receiver holds, as GeoJSON. */
export interface MapFile {
  /** Name of the outermost element. */
  root: string
  features: FeatureCollection
}

/**
 * Tracks, routes, points and areas of a GPX or KML text. Entities are refused: nothing in either needs them, and they can
 * swell.
 *
 * @throws Error in words for the reader
 */
export function readMapXml(text: string, name: string): MapFile {
  if (/<!(DOCTYPE|ENTITY)/i.test(text))
    throw new Error(say('{{name}} declares entities; such a file is not read.', { name }))
  const document = new DOMParser().parseFromString(text, 'text/xml')
  const root = document.documentElement?.nodeName ?? ''
  if (document.querySelector('parsererror'))
    throw new Error(say('{{name}} is neither GPX nor KML: it could not be read as XML.', { name }))
  const features = (isKml(root) ? kml(document) : gpx(document)) as FeatureCollection
  if (features.features.length === 0) throw new Error(say('{{name}} holds no track, route, point or area.', { name }))
  return { root, features }
}

export function parseJson(text: string, name: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw new Error(say('{{name}} is not GeoJSON: it could not be read as JSON.', { name }))
  }
}

/**
 * The boundary in a GeoJSON, GPX or KML file.
 *
 * @throws Error in words for the reader
 */
export async function readPlaceFile(file: File): Promise<Polygon> {
  if (file.size > LARGEST_FILE) throw new Error(say('This file is larger than 2 MB; a boundary needs far less.'))
  const text = await file.text()
  const read = readBoundary(
    text
      .replace(/^\uFEFF/, '')
      .trimStart()
      .startsWith('<')
      ? areaOrWalk(readMapXml(text, file.name).features)
      : parseJson(text, file.name),
  )
  if ('problem' in read) throw refusedFile(read.problem)
  return read.boundary
}
