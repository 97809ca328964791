import { coded } from '../../coded.ts'
import type { FileRefusal } from '../fileProblem.ts'
import { FindsReader, readDay, type ReadFinds } from './finds.ts'

const isObject = (x: unknown): x is Record<string, unknown> => typeof x === 'object' && x !== null && !Array.isArray(x)

/**
 * Stops of a GeoJSON value (RFC 7946): its points, with `counts` by name where they carry them. Also for the points of a
 * GPX or KML file once they are GeoJSON.
 *
 * @returns the stops, or why there are none
 */
export function readPoints(value: unknown): ReadFinds | { problem: FileRefusal } {
  if (!isObject(value) || value.type !== 'FeatureCollection' || !Array.isArray(value.features))
    return { problem: coded('not-a-feature-collection') }
  const reader = new FindsReader()
  let day = ''
  value.features.forEach((feature: unknown, i) => {
    const where = coded('at-feature', { i: i + 1 })
    const geometry = isObject(feature) && isObject(feature.geometry) ? feature.geometry : undefined
    if (!geometry) return reader.problem(coded('feature-without-geometry'), where)
    if (geometry.type !== 'Point')
      return reader.problem(coded('not-a-stop', { type: String(geometry.type).slice(0, 40) }), where)
    const at = geometry.coordinates
    if (!Array.isArray(at) || typeof at[0] !== 'number' || typeof at[1] !== 'number')
      return reader.problem(coded('point-without-coordinates'), where)
    if (!(Math.abs(at[0]) <= 180 && Math.abs(at[1]) <= 90)) return reader.problem(coded('point-not-in-degrees'), where)
    const said = isObject(feature) && isObject(feature.properties) ? feature.properties : {}
    const key = said.stop ?? said.name
    const stop = reader.stop(typeof key === 'string' || typeof key === 'number' ? String(key) : String(i + 1), where)
    if (!stop) return
    stop.position = [at[0], at[1]]
    if (typeof said.done_at === 'string') day ||= readDay(said.done_at)
    for (const [name, amount] of isObject(said.counts) ? Object.entries(said.counts) : []) {
      if (typeof amount !== 'number' || !Number.isFinite(amount)) reader.problem(coded('count-not-a-number'), where)
      else reader.find(stop, { name: name.slice(0, 200), amount }, where)
    }
  })
  const read = reader.done('', day)
  return read.stops.length === 0 ? { problem: coded('no-stops') } : read
}
