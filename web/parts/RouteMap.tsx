import type { Polygon } from 'geojson'
import type { MouseEvent, Ref } from 'react'
import type { PaddockPart, Stop } from '@/core/records/round.ts'
import type { Position } from '@/core/geo/route.ts'
import { isInside } from '@/core/geo/localPlane.ts'
import { roundMetres } from './roundMetres.ts'
import { inUnits, typedIn, unitOf } from './units.ts'
import { say } from '../language/say.ts'

interface Props {
  boundary: Polygon | null
  parts?: PaddockPart[]
  line: Position[]
  stops: Stop[]
  current?: number
  /** Every stop with its number, for paper. */
  numbered?: boolean
  /** Share of bare ground in each part by its name, '' for the rest: the barer the darker. */
  wear?: ReadonlyMap<string, number>
  /** Share of a plant at each stop by its number: the more, the larger and darker the dot. */
  sharesAt?: ReadonlyMap<number, number>
  /** The same between the stops; faint where none is near. */
  surface?: (at: Position) => { share: number; reach: number }
  /** Stops at which something harmful was found: ringed, and said below. */
  harmfulAt?: ReadonlySet<number>
  /** Places of their own: full where they are of the latest year, hollow else. */
  marks?: readonly { id: string; at: Position; says: string; latest: boolean }[]
  label: string
  className?: string
  /** How far it is drawn nearer, and moved, in the units of the drawing. */
  nearer?: { k: number; x: number; y: number }
  ref?: Ref<SVGSVGElement>
  /** A stop was touched: the nearest one to the finger, since they lie closer together than fingers are wide. */
  onPick?: (seq: number) => void
}

const CELLS = 36
/** So many times the spacing of the stops from the nearest of them the ground is left white. */
const NOBODY_NEAR = 4

/** Share of a plant between the stops, in squares over the paddock: darker is more, fainter is farther from any stop. */
function Surface({
  surface,
  boundary,
  on,
  top,
}: {
  surface: NonNullable<Props['surface']>
  boundary: Polygon
  on: (p: Position) => [number, number]
  top: number
}) {
  // prettier-ignore
  const ring = boundary.coordinates[0] as Position[]
  const [west, east] = [Math.min(...ring.map((p) => p[0])), Math.max(...ring.map((p) => p[0]))]
  const [south, north] = [Math.min(...ring.map((p) => p[1])), Math.max(...ring.map((p) => p[1]))]
  const [[x0, y0], [x1, y1]] = [on([west, north]), on([east, south])]
  const side = Math.max(x1 - x0, y1 - y0) / CELLS
  const cells = []
  for (let y = y0 + side / 2; y < y1; y += side)
    for (let x = x0 + side / 2; x < x1; x += side) {
      const at: Position = [
        west + ((x - x0) / (x1 - x0)) * (east - west),
        north - ((y - y0) / (y1 - y0)) * (north - south),
      ]
      if (!isInside(at, boundary)) continue
      const { share, reach } = surface(at)
      // Where nobody came near nothing is drawn: neither that it stands there nor that it does not.
      if (reach > NOBODY_NEAR) continue
      const strength = Math.min(1, share / top) * (reach > 2 ? 0.35 : reach > 1 ? 0.7 : 1)
      cells.push({ x, y, strength })
    }
  return cells.map(
    ({ x, y, strength }) =>
    <rect key={`${x} ${y}`} x={x - side / 2} y={y - side / 2} width={side} height={side} shapeRendering="crispEdges" className="fill-culm" opacity={0.06 + 0.6 * strength} />, // prettier-ignore
  )
}

/** A finger further from any stop than this, in the units of the drawing, means none. */
const REACH = 30

const METRES_PER_DEGREE = 111_320
const SIZE = 400
const PAD = 26

const WHOLE = { k: 1, x: 0, y: 0 }

/** So dark is bare ground of a share; half bare is as dark as it goes. */
const worn = (share = 0) => 0.08 + 0.8 * Math.min(1, 2 * share)

/** A paddock from above: boundary, the route drawn before walking, stops done and to do. North is up. */
export function RouteMap({
  boundary,
  parts = [],
  line,
  stops,
  current,
  numbered = false,
  harmfulAt,
  sharesAt,
  surface,
  wear,
  label,
  className,
  marks = [],
  nearer = WHOLE,
  ref,
  onPick,
}: Props) {
  const ring = (boundary?.coordinates[0] ?? line) as Position[]
  if (ring.length < 2) return null
  const lat0 = ring[0]![1]
  const metres = ([lon, lat]: Position): [number, number] => [
    (lon - ring[0]![0]) * METRES_PER_DEGREE * Math.cos((lat0 * Math.PI) / 180),
    -(lat - lat0) * METRES_PER_DEGREE,
  ]
  const points = ring.map(metres)
  const xs = points.map((p) => p[0])
  const ys = points.map((p) => p[1])
  const [west, north] = [Math.min(...xs), Math.min(...ys)]
  const [wide, high] = [Math.max(...xs) - west, Math.max(...ys) - north]
  const scale = (SIZE - 2 * PAD) / Math.max(wide, high)
  const on = (p: Position): [number, number] => {
    const [x, y] = metres(p)
    return [nearer.x + nearer.k * (PAD + (x - west) * scale), nearer.y + nearer.k * (PAD + (y - north) * scale)]
  }
  const path = (list: Position[]) =>
    list
      .map(
        (p, i) =>
          `${i ? 'L' : 'M'}${on(p)
            .map((n) => n.toFixed(1))
            .join(' ')}`,
      )
      .join('')
  const pick = (e: MouseEvent<SVGSVGElement>) => {
    const box = e.currentTarget.getBoundingClientRect()
    const [x, y] = [((e.clientX - box.left) * SIZE) / box.width, ((e.clientY - box.top) * SIZE) / box.width]
    const away = (s: Stop) => (s.position ? Math.hypot(on(s.position)[0] - x, on(s.position)[1] - y) : Infinity)
    const nearest = stops.reduce<Stop | undefined>((a, s) => (!a || away(s) < away(a) ? s : a), undefined)
    if (nearest && away(nearest) <= REACH) onPick?.(nearest.seq)
  }
  const height = high * scale + 2 * PAD + 16
  const bar = roundMetres(inUnits('way', wide / 4 / nearer.k))
  const barLength = (typedIn('way', bar) * scale * nearer.k).toFixed(1)
  return (
    <svg
      ref={ref}
      viewBox={`0 0 ${SIZE} ${height.toFixed(0)}`}
      role="img"
      aria-label={label}
      className={`${className ?? ''} ${onPick ? 'cursor-pointer touch-manipulation' : ''}`}
      onClick={onPick && pick}
    >
      <path d={`${path(ring)}Z`} className={surface ? 'fill-sheet' : 'ink-leaf'} opacity={surface ? 1 : 0.55} />
      {surface && boundary ? (
        <Surface {...{ surface, boundary, on }} top={Math.max(0.02, ...(sharesAt?.values() ?? []))} />
      ) : null}
      <path d={`${path(ring)}Z`} className="ink-line" />
      {parts.map((part) => {
        const corners = part.polygon.coordinates[0] as Position[]
        const [x, y] = on(corners[0]!)
        return (
          <g key={part.name}>
            <path
              d={`${path(corners)}Z`}
              className={part.keptOut ? 'fill-sheet stroke-ink-soft' : wear ? 'stroke-ink' : 'ink-leafDark stroke-culm'}
              fill={wear && !part.keptOut ? '#7b674d' : undefined}
              fillOpacity={part.keptOut ? 0.9 : surface ? 0 : wear ? worn(wear.get(part.name)) : 0.45}
              strokeDasharray={part.keptOut ? '4 4' : undefined}
              strokeWidth="1.6"
            />
            <text x={x + 4} y={y - 4} className="fill-ink text-[13px]">
              {part.name}
              {wear?.has(part.name) ? ` ${Math.round(100 * wear.get(part.name)!)} %` : ''}
            </text>
          </g>
        )
      })}
      <path d={path(line)} className="ink-dotted" />
      {stops.map((stop) => {
        if (!stop.position) return null
        const [x, y] = on(stop.position)
        const here = stop.seq === current
        const share = sharesAt?.get(stop.seq)
        // A stop that was not counted must not look like one where nothing was met.
        const unread = sharesAt !== undefined && share === undefined
        return (
          <g key={stop.id}>
            <circle
              cx={x}
              cy={y}
              r={here ? 9 : share === undefined ? 5 : 3 + 9 * Math.sqrt(share)}
              className={
                here
                  ? 'fill-straw stroke-ink'
                  : stop.skipped
                    ? 'fill-rule stroke-ink-soft'
                    : stop.doneAt && share !== 0
                      ? 'fill-culm stroke-husk'
                      : 'fill-sheet stroke-ink'
              }
              strokeWidth="1.6"
              {...(unread ? { strokeDasharray: '2 3', fillOpacity: 0, strokeOpacity: 0.7 } : {})}
            />
            {harmfulAt?.has(stop.seq) ? (
              <>
                <circle cx={x} cy={y} r="10" fill="none" className="stroke-harm" strokeWidth="2.4" />
                <path d={`M${x - 3.5} ${y - 3.5}l7 7m0-7l-7 7`} className="stroke-husk" strokeWidth="1.8" />
              </>
            ) : null}
            {here || numbered ? (
              <text
                x={x}
                y={y - (here ? 13 : 8)}
                textAnchor="middle"
                className={`fill-ink font-bold ${here ? 'text-[15px]' : 'text-[12px]'}`}
              >
                {stop.seq}
              </text>
            ) : null}
          </g>
        )
      })}
      {marks.map((m) => {
        const [x, y] = on(m.at)
        return (
          <circle
            key={m.id}
            cx={x}
            cy={y}
            r={m.latest ? 6 : 8}
            className={m.latest ? 'fill-harm stroke-husk' : 'fill-none stroke-harm'}
            strokeWidth="2"
          >
            <title>{m.says}</title>
          </circle>
        )
      })}
      <g transform={`translate(${PAD} ${height - 12})`}>
        <path d={`M0 -4V0H${barLength}V-4`} className="ink-line" />
        <text x={Number(barLength) + 8} y="2" className="fill-ink text-[14px]">
          {bar} {unitOf('way')}
        </text>
      </g>
      <path d={`M${SIZE - 11} 34V8M${SIZE - 17} 16L${SIZE - 11} 7L${SIZE - 5} 16`} className="ink-line" />
      <text x={SIZE - 11} y="48" textAnchor="middle" className="fill-ink text-[13px]">
        {say('N')}
      </text>
    </svg>
  )
}
