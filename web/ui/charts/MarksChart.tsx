import { scaleLinear } from 'd3-scale'
import { Axis } from './Axis.tsx'
import { Interval } from './Interval.tsx'
import { useWidth } from './useWidth.ts'

export interface MarkRow {
  id: string
  name: string
  /** The figure and its mark in words. */
  figure: string
  estimate: number
  interval?: readonly [number, number] | undefined
  /** Where it begins to speak. */
  mark: number
  /** It speaks below the mark instead of above it. */
  below: boolean
  /** It does speak. */
  speaks: boolean
  /** All of it in a sentence. */
  says: string
}

interface Props {
  rows: readonly MarkRow[]
  label: string
  /** A share in words. */
  words: (share: number) => string
}

const ROW = 52
/** Where name and figure do not stand side by side. */
const TWO_LINES = 20
const NARROW = 430
const TOP = 26
const PAD = 10

/** Figures against the marks at which they speak: the side that speaks is hatched, the interval lies over it. */
export function MarksChart({ rows, label, words }: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(480)
  const most = Math.max(0.1, ...rows.flatMap((r) => [r.mark * 1.4, r.interval?.[1] ?? r.estimate]))
  const x = scaleLinear([0, Math.min(1, most)], [PAD, width - PAD]).nice(4)
  const [, end] = x.domain() as [number, number]
  const more = width < NARROW ? TWO_LINES : 0
  const row = ROW + more
  const height = TOP + rows.length * row
  return (
    <div ref={ref} className="mt-2 w-full">
      <svg viewBox={`0 0 ${width} ${height}`} width="100%" role="img" aria-label={label} className="block">
        <Axis x={x} ticks={x.ticks(5)} height={height} words={words} startAt={0} endAt={width} />
        {rows.map((r, i) => {
          const y = TOP + i * row + more
          const [from, to] = r.below ? [0, r.mark] : [r.mark, end]
          return (
            <g key={r.id}>
              <title>{r.says}</title>
              <text
                x={PAD}
                y={y + 18 - more}
                paintOrder="stroke"
                strokeWidth="5"
                className={`stroke-husk text-[15px] ${r.speaks ? 'fill-ink font-bold' : 'fill-ink-soft'}`}
              >
                {r.name}: <tspan {...(more > 0 ? { x: PAD, dy: more } : {})}>{r.figure}</tspan>
              </text>
              <rect
                x={x(from)}
                y={y + 25}
                width={x(to) - x(from)}
                height={18}
                fill={r.speaks ? 'url(#hatch-warm-grass)' : 'url(#hatch-ground)'}
                opacity={r.speaks ? 1 : 0.6}
              />
              <path d={`M${x(r.mark)} ${y + 21}v26`} stroke="var(--ink)" strokeWidth="1.6" strokeDasharray="3 2" />
              <Interval x={x} y={y + 34} estimate={r.estimate} interval={r.interval} />
            </g>
          )
        })}
      </svg>
    </div>
  )
}
