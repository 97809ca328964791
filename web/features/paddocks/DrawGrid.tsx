import type { Polygon } from 'geojson'
import { useMemo, type MouseEvent } from 'react'
import type { PaddockPart } from '@/core/records/round.ts'
import { localPlane, type Metres } from '@/core/geo/localPlane.ts'
import type { Position } from '@/core/geo/route.ts'
import { useGridKeys } from './useGridKeys.ts'
import { roundMetres } from '../../parts/roundMetres.ts'
import { say } from '../../language/say.ts'

const SIZE = 500
/** Side of the sheet where nothing is drawn yet. */
const PLAIN_M = 400

/** Where the cross stands, from the last corner. */
function whereWords([east, north]: Metres, [fromEast, fromNorth]: Metres = [0, 0]): string {
  const [e, n] = [Math.round(east - fromEast), Math.round(north - fromNorth)]
  return say('The cross stands {{ns}} and {{ew}}.', {
    ns: n < 0 ? say('{{m}} m south', { m: -n }) : say('{{m}} m north', { m: n }),
    ew: e < 0 ? say('{{m}} m west', { m: -e }) : say('{{m}} m east', { m: e }),
  })
}

interface Props {
  /** Middle of the sheet where nothing is drawn yet. */
  origin: Position
  boundary: Polygon | null
  parts: PaddockPart[]
  /** Corners of what is being drawn. */
  corners: Position[]
  drawing: 'boundary' | 'part' | null
  onCorner: (p: Position) => void
  onTakeCorner: (index: number) => void
}

/** A plain grid in metres, north up: touch it for a corner, touch a corner to take it away; or a cross that the arrow keys move. */
export function DrawGrid({ origin, boundary, parts, corners, drawing, onCorner, onTakeCorner }: Props) {
  const ring = (boundary?.coordinates[0] ?? []) as Position[]
  // The sheet stays where it is while something is drawn on it.
  const frame = useMemo(() => {
    const plane = localPlane(ring[0] ?? origin)
    const points = ring.map(plane.toMetres)
    const xs = points.map((p) => p[0])
    const ys = points.map((p) => p[1])
    const wide =
      ring.length > 2 ? Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)) * 1.25 : PLAIN_M
    const middle: Metres =
      ring.length > 2 ? [(Math.max(...xs) + Math.min(...xs)) / 2, (Math.max(...ys) + Math.min(...ys)) / 2] : [0, 0]
    return { plane, wide, west: middle[0] - wide / 2, north: middle[1] + wide / 2 }
  }, [boundary, origin]) // oxlint-disable-line react/exhaustive-deps
  const { plane, wide, west, north } = frame
  const scale = SIZE / wide
  const on = (p: Position): [number, number] => {
    const [e, n] = plane.toMetres(p)
    return [(e - west) * scale, (north - n) * scale]
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
  const step = roundMetres(wide / 8)
  const lines = Array.from({ length: Math.ceil(wide / step) + 1 }, (_, i) => i * step * scale)
  const touch = (e: MouseEvent<SVGSVGElement>) => {
    if (!drawing) return
    const box = e.currentTarget.getBoundingClientRect()
    const x = ((e.clientX - box.left) / box.width) * SIZE
    const y = ((e.clientY - box.top) / box.height) * SIZE
    onCorner(plane.toPosition([west + x / scale, north - y / scale]))
  }
  const keys = useGridKeys({
    ...{ west, north, wide },
    step: step / 4,
    active: drawing !== null,
    onCorner: (at) => onCorner(plane.toPosition(at)),
    onTakeLast: () => (corners.length > 0 ? onTakeCorner(corners.length - 1) : undefined),
  })
  const [crossX, crossY] = [(keys.at[0] - west) * scale, (north - keys.at[1]) * scale]
  const from = corners.at(-1)
  return (
    <div>
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        className={`w-full max-w-[34rem] rounded-2xl border border-rule bg-sheet ${drawing ? 'cursor-crosshair' : ''}`}
        role="application"
        aria-label={say('Grid with lines every {{step}} m, north up{{what}}', {
          step,
          what: drawing
            ? say(
                ': touch it to set a corner; or arrow keys move a cross, Enter sets a corner, Backspace takes it away',
              )
            : '',
        })}
        onClick={touch}
        tabIndex={drawing ? 0 : undefined}
        onKeyDown={keys.onKeyDown}
      >
        {lines.map((l) => (
          <path key={l} d={`M${l} 0V${SIZE}M0 ${l}H${SIZE}`} stroke="var(--rule)" strokeWidth="0.6" />
        ))}
        {boundary && drawing !== 'boundary' ? (
          <>
            <path d={`${path(ring)}Z`} className="ink-leaf" opacity="0.55" />
            <path d={`${path(ring)}Z`} className="ink-line" />
          </>
        ) : null}
        {parts.map((part) => {
          const list = part.polygon.coordinates[0] as Position[]
          const [x, y] = on(list[0]!)
          return (
            <g key={part.name}>
              <path
                d={`${path(list)}Z`}
                className={part.keptOut ? 'fill-sheet stroke-ink-soft' : 'ink-leafDark stroke-culm'}
                fillOpacity={part.keptOut ? 0.85 : 0.5}
                strokeDasharray={part.keptOut ? '5 4' : undefined}
                strokeWidth="2"
              />
              <text x={x + 5} y={y - 5} className="fill-ink text-[15px]">
                {part.name}
              </text>
            </g>
          )
        })}
        {corners.length > 0 ? (
          <path
            d={`${path(corners)}${corners.length > 2 ? 'Z' : ''}`}
            className="fill-straw/25 stroke-ink"
            strokeWidth="2.5"
          />
        ) : null}
        {corners.map((c, i) => {
          const [x, y] = on(c)
          return (
            <circle
              key={i}
              cx={x}
              cy={y}
              r="9"
              className="cursor-pointer fill-straw stroke-ink"
              strokeWidth="2"
              onClick={(e) => {
                e.stopPropagation()
                onTakeCorner(i)
              }}
            >
              <title>{say('Corner {{i}}: touch to take it away', { i: i + 1 })}</title>
            </circle>
          )
        })}
        {drawing && keys.moved ? (
          <path
            d={`M${crossX - 14} ${crossY}h28M${crossX} ${crossY - 14}v28`}
            className="stroke-harm"
            strokeWidth="3"
          />
        ) : null}
        <text x="10" y={SIZE - 10} className="fill-ink-soft text-[15px]">
          {say('grid {{step}} m', { step })}
        </text>
        <path d={`M${SIZE - 20} 34V8M${SIZE - 26} 16L${SIZE - 20} 7L${SIZE - 14} 16`} className="ink-line" />
        <text x={SIZE - 20} y="50" textAnchor="middle" className="fill-ink text-[14px]">
          {say('N')}
        </text>
      </svg>
      {drawing ? (
        <p className="text-sm text-ink-soft">
          {say(
            'By keys: arrows move a cross ({{step}} m; with Shift a fifth), Enter sets a corner, Backspace takes it away.',
            {
              step: step / 4,
            },
          )}{' '}
          <span role="status">{keys.moved ? whereWords(keys.at, from && plane.toMetres(from)) : ''}</span>
        </p>
      ) : null}
    </div>
  )
}
