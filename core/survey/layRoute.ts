import { bbox } from '@turf/bbox'
import type { Polygon } from 'geojson'
import type { RouteKind } from '../records/measures.ts'
import type { PaddockPart } from '../records/round.ts'
import { isInside, localPlane, type LocalPlane, type Metres } from '../geo/localPlane.ts'
import { areaHa, wRoute, type Position } from '../geo/route.ts'
import { FENCE } from '../records/round.ts'
import { fenceStops } from './fenceWalk.ts'
import { between, pathLength, pointAt } from '../geo/paths.ts'

export interface LaidRoute {
  stops: { position: Position; stratum: string }[]
  line: Position[]
  lengthM: number
}

interface Ground {
  boundary: Polygon
  parts: PaddockPart[]
  count: number
  random: () => number
  plane: LocalPlane
  /** May one stand here: inside, and not in a part kept out of the walk. */
  ok: (p: Position) => boolean
}

/**
 * Stops evenly along a line from a random start, closer together until enough of them may be stood on.
 *
 * The start is drawn once: each place on the line is as likely as the next.
 */
function evenly(line: Metres[], { count, plane, ok, random }: Ground): Position[] {
  const long = pathLength(line)
  const start = random()
  for (let tried = count; tried <= count * 6 + 40; tried++) {
    const stops = Array.from({ length: tried }, (_, i) =>
      plane.toPosition(pointAt(line, (long * (i + start)) / tried)),
    ).filter(ok)
    // Too many are thinned over the whole line, so that its end is not left out.
    if (stops.length >= count)
      return Array.from({ length: count }, (_, i) => stops[Math.floor(((i + 0.5) * stops.length) / count)]!)
  }
  throw new RangeError('the route does not fit into the boundary')
}

function frame(ground: Ground): { west: number; south: number; east: number; north: number } {
  const [w, s, e, n] = bbox(ground.boundary)
  const [west, south] = ground.plane.toMetres([w!, s!])
  const [east, north] = ground.plane.toMetres([e!, n!])
  return { west, south, east, north }
}

/** Where a straight line across the paddock lies inside it, a tenth away from the edges. */
function spanInside(from: Metres, to: Metres, { plane, boundary }: Ground): [Metres, Metres] | undefined {
  const at = (t: number): Metres => [from[0] + (to[0] - from[0]) * t, from[1] + (to[1] - from[1]) * t]
  const inside = Array.from({ length: 201 }, (_, i) => i / 200).filter((t) =>
    isInside(plane.toPosition(at(t)), boundary),
  )
  if (inside.length < 2) return undefined
  const [low, high] = [inside[0]!, inside.at(-1)!]
  const inset = (high - low) * 0.1
  return [at(low + inset), at(high - inset)]
}

/** Lines side by side over the paddock, walked there and back. */
function lanes(ground: Ground, lines: number, alongLongSide: boolean): Metres[] {
  const { west, south, east, north } = frame(ground)
  const wide = east - west > north - south
  const eastward = alongLongSide ? wide : !wide
  const out: Metres[] = []
  for (let i = 0; i < lines; i++) {
    const t = (i + 0.5) / lines
    const [a, b]: [Metres, Metres] = eastward
      ? [
          [west, south + (north - south) * t],
          [east, south + (north - south) * t],
        ]
      : [
          [west + (east - west) * t, south],
          [west + (east - west) * t, north],
        ]
    const span = spanInside(a, b, ground)
    if (span) out.push(...(i % 2 === 0 ? span : [span[1], span[0]]))
  }
  if (out.length < 2) throw new RangeError('the paddock is too thin for this route')
  return out
}

/** Turning points on alternating sides. */
function zigzag(ground: Ground): Metres[] {
  const turns = Math.max(6, Math.round(Math.sqrt(ground.count) * 1.6))
  const { west, south, east, north } = frame(ground)
  const wide = east - west > north - south
  const out: Metres[] = []
  for (let i = 0; i < turns; i++) {
    const t = 0.06 + (0.88 * i) / (turns - 1)
    const span = wide
      ? spanInside([west + (east - west) * t, south], [west + (east - west) * t, north], ground)
      : spanInside([west, south + (north - south) * t], [east, south + (north - south) * t], ground)
    if (span) out.push(span[i % 2]!)
  }
  if (out.length < 3) throw new RangeError('the paddock is too thin for this route')
  return out
}

/** So many starts are drawn for a grid of which no point lies inside. */
const GRID_TRIES = 60

/**
 * A square grid from a random start, its rows walked there and back. The spacing follows from the area that is walked, and
 * as many stops are taken as fall inside: a spacing that is narrowed until enough do favours the side where a row comes in.
 */
function grid(ground: Ground): Position[] {
  const { west, south, east, north } = frame(ground)
  const { plane, ok, count, random, parts } = ground
  const keptOut = parts.filter((p) => p.keptOut).reduce((sum, p) => sum + areaHa(p.polygon), 0)
  const walked = Math.max(areaHa(ground.boundary) - keptOut, areaHa(ground.boundary) / 100)
  const spacing = Math.sqrt((walked * 10_000) / count)
  for (let tries = 0; tries < GRID_TRIES; tries++) {
    const [u, v] = [random(), random()]
    const out: Position[] = []
    let row = 0
    for (let n = south + v * spacing; n < north; n += spacing, row++) {
      const line: Position[] = []
      for (let e = west + u * spacing; e < east; e += spacing) {
        const p = plane.toPosition([e, n])
        if (ok(p)) line.push(p)
      }
      out.push(...(row % 2 === 0 ? line : line.reverse()))
    }
    if (out.length > 0) return out
  }
  throw new RangeError('the grid does not fit into the boundary')
}

/** Name of the part a place lies in; empty outside of all parts that are walked. */
export const partAt = (p: Position, parts: PaddockPart[]): string =>
  parts.find((part) => !part.keptOut && isInside(p, part.polygon))?.name ?? ''

/** Places at random, spread over the parts by their area, two or more in each. */
function stratifiedRandom(ground: Ground): Position[] {
  const { plane, ok, count, random, boundary } = ground
  const { west, south, east, north } = frame(ground)
  const parts = ground.parts.filter((p) => !p.keptOut)
  const whole = areaHa(boundary)
  const wanted = new Map(
    parts.map((p) => [p.name, Math.max(2, Math.round((count * areaHa(p.polygon)) / whole))] as const),
  )
  wanted.set('', Math.max(0, count - [...wanted.values()].reduce((a, b) => a + b, 0)))
  const found: Position[] = []
  const left = new Map(wanted)
  for (let tries = 0; tries < 400 * count && found.length < count; tries++) {
    const p = plane.toPosition([west + random() * (east - west), south + random() * (north - south)])
    if (!ok(p)) continue
    const part = partAt(p, parts)
    if ((left.get(part) ?? 0) <= 0) continue
    left.set(part, left.get(part)! - 1)
    found.push(p)
  }
  if (found.length < count) throw new RangeError('the stops do not fit into the boundary and its parts')
  return nearestNext(found, plane)
}

/** The same round, begun at the place nearest to where one stands. */
function fromNearest(round: Position[], here: Metres, plane: LocalPlane): Position[] {
  const away = round.map((p) => between(plane.toMetres(p), here))
  const first = away.indexOf(Math.min(...away))
  return [...round.slice(first), ...round.slice(0, first)]
}

/** An order of walking: always to the nearest that is left, from the most southern. */
function nearestNext(places: Position[], plane: LocalPlane): Position[] {
  const left = places.map((p) => ({ p, m: plane.toMetres(p) })).sort((a, b) => a.m[1] - b.m[1])
  const out = [left.shift()!]
  while (left.length > 0) {
    const here = out.at(-1)!.m
    const next = left.reduce((best, x, i) => (between(here, x.m) < between(here, left[best]!.m) ? i : best), 0)
    out.push(...left.splice(next, 1))
  }
  return out.map((x) => x.p)
}

/**
 * A route drawn into a paddock before anyone walks. Parts kept out (gateways, camps) hold no stop; each stop knows the
 * part it lies in.
 *
 * w: four legs; zigzag: more, shorter ones; rows: along the long side, as drill rows mostly run; on all three the stops
 * begin at a random place of the line. grid: square, from a random start, as many stops as fall inside; random: spread over
 * the parts by area. A walk along the fence can follow: a part of its own.
 *
 * @param count 1 to 500 stops; a grid holds about as many
 * @param fence stops along the fence, and the width of the strip they stand for in metres
 * @param random uniform 0 to 1, seeded: the same seed gives the same route
 * @throws RangeError the paddock cannot hold the route
 */
export function layRoute(
  kind: RouteKind,
  { boundary, parts, count, random, fence }: Pick<Ground, 'boundary' | 'parts' | 'count' | 'random'> & { fence?: { count: number; widthM: number } }, // prettier-ignore
): LaidRoute {
  if (!(Number.isInteger(count) && count >= 1 && count <= 500))
    throw new RangeError(`a route has 1 to 500 stops, not ${count}`)
  const [w, s] = bbox(boundary)
  const plane = localPlane([w!, s!])
  const keptOut = parts.filter((p) => p.keptOut)
  const ok = (p: Position) => isInside(p, boundary) && !keptOut.some((k) => isInside(p, k.polygon))
  const ground: Ground = { boundary, parts, count, random, plane, ok }
  const walked = (line: Metres[], stops = evenly(line, ground)): LaidRoute => {
    const fenced = fence ? fenceStops(boundary, { ...fence, random, plane, ok }) : []
    const along = fromNearest(fenced, line.at(-1)!, plane)
    const whole = [...line, ...along.map(plane.toMetres)]
    return {
      stops: [
        ...stops.map((position) => ({ position, stratum: partAt(position, parts) })),
        ...along.map((position) => ({ position, stratum: FENCE })),
      ],
      line: whole.map(plane.toPosition),
      lengthM: pathLength(whole),
    }
  }
  const through = (places: Position[]) => walked(places.map(plane.toMetres), places)
  switch (kind) {
    case 'w':
      return walked(wRoute(boundary, 1).line.map(plane.toMetres))
    case 'zigzag':
      return walked(zigzag(ground))
    case 'rows':
      return walked(lanes(ground, Math.max(2, Math.round(Math.sqrt(count / 3))), true))
    case 'grid':
      return through(grid(ground))
    case 'random':
      return through(stratifiedRandom(ground))
  }
}

/** Minutes for a round: the walk at an easy pace over rough ground, and the work at each stop. */
export function roundMinutes(lengthM: number, stops: number, minutesEach: number): number {
  // 50 m a minute: common practice, no source.
  return lengthM / 50 + stops * minutesEach
}
