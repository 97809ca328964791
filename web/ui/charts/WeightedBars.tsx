import { scaleLinear } from 'd3-scale'
import type { Group } from '@/core/records/taxon.ts'
import { groupColour } from '../../parts/groupMarks.ts'
import { useWidth } from './useWidth.ts'

export interface WeightedBar {
  id: string
  name: string
  group: Group
  /** Share of the whole, 0 to 1: how wide the bar is. */
  weight: number
  value: number
  /** How low and how high the figure may be. */
  range: readonly [number, number]
}

interface Props {
  bars: readonly WeightedBar[]
  /** Of all together, drawn across. */
  middle: number
  label: string
  unit: string
}

const HEIGHT = 252
const LEFT = 40
const BASE = HEIGHT - 14
const LETTER = 7.2
/** Of fewer letters nobody knows a name again. */
const FEWEST = 7

/** Each bar as wide as its share and as high as its figure: its area is what it brings, the line what all make together. */
export function WeightedBars({ bars, middle, label, unit }: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(500)
  const top = Math.max(middle, ...bars.map((b) => b.range[1])) * 1.05
  const y = scaleLinear([0, top], [BASE, 34]).nice(4)
  const x = scaleLinear([0, 1], [LEFT, width - 6])
  const starts = bars.map((_, i) => bars.slice(0, i).reduce((s, b) => s + b.weight, 0))
  return (
    <div ref={ref} className="mt-2 w-full">
      <svg viewBox={`0 0 ${width} ${HEIGHT}`} width="100%" role="img" aria-label={label} className="block">
        <text x="0" y="13" className="fill-ink-soft text-[14px]">
          {unit}
        </text>
        {y.ticks(4).map((t) => (
          <g key={t}>
            <path d={`M${LEFT} ${y(t)}H${width - 6}`} stroke="var(--rule)" />
            <text x={LEFT - 6} y={y(t) + 5} textAnchor="end" className="fill-ink-soft text-[13px]">
              {t}
            </text>
          </g>
        ))}
        {bars.map((b, i) => {
          const [x0, x1] = [x(starts[i]!), x(starts[i]! + b.weight)]
          const room = Math.floor((x1 - x0 - 8) / LETTER)
          return (
            <g key={b.id}>
              <rect
                x={x0}
                y={y(b.value)}
                width={Math.max(1, x1 - x0)}
                height={BASE - y(b.value)}
                fill={`url(#hatch-${b.group})`}
                stroke={groupColour(b.group)}
                strokeWidth="1.4"
              >
                <title>{b.name}</title>
              </rect>
              <path
                d={`M${(x0 + x1) / 2} ${y(b.range[0])}V${y(b.range[1])}m-4 0h8M${(x0 + x1) / 2 - 4} ${y(b.range[0])}h8`}
                stroke="var(--ink)"
                strokeWidth="1.6"
              />
              {room >= FEWEST || room >= b.name.length ? (
                <text x={x0 + 5} y={BASE - 8} className="fill-ink text-[13px] font-semibold">
                  {b.name.length > room ? `${b.name.slice(0, room - 1)}…` : b.name}
                </text>
              ) : null}
            </g>
          )
        })}
        <path d={`M${LEFT} ${y(middle)}H${width - 6}`} stroke="var(--ink)" strokeWidth="2.4" />
        <path d={`M${LEFT} ${BASE}H${width - 6}`} stroke="var(--ink-soft)" />
      </svg>
    </div>
  )
}
