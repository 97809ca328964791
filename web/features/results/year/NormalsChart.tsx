import { scaleLinear } from 'd3-scale'
import { curveMonotoneX, line } from 'd3-shape'
import type { Normals } from '@/core/records/management.ts'
import { monthNames } from '../../../parts/words.ts'
import { useWidth } from '../../../ui/charts/useWidth.ts'
import { say } from '../../../language/say.ts'

const HEIGHT = 220
const LEFT = 36
const RIGHT = 40
const BASE = HEIGHT - 26

interface Props {
  normals: Normals
  simulated: boolean
  /** Month of the round, 0 to 11. */
  now: number
}

/** Warmth as a line and rain as bars, month by month. */
export function NormalsChart({ normals: { meanC, rainMm }, simulated, now }: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(480)
  const step = (width - LEFT - RIGHT) / 12
  const x = (i: number) => LEFT + (i + 0.5) * step
  const warmth = scaleLinear([Math.min(0, ...meanC), Math.max(20, ...meanC)], [BASE, 30]).nice(4)
  const rain = scaleLinear([0, Math.max(100, ...rainMm)], [BASE, 30]).nice(4)
  const names = monthNames()
  return (
    <div ref={ref} className="mt-2 w-full">
      <svg
        viewBox={`0 0 ${width} ${HEIGHT}`}
        width="100%"
        role="img"
        className="block"
        aria-label={say('{{what}}: {{months}}', {
          what: simulated ? say('Simulated means of the region') : say('Means of this place'),
          months: names.map((m, i) => `${m} ${Math.round(meanC[i]!)} °C ${Math.round(rainMm[i]!)} mm`).join(', '),
        })}
      >
        <text x="0" y="14" className="fill-ink text-[14px]">
          °C
        </text>
        <text x={width} y="14" textAnchor="end" className="fill-ink-soft text-[14px]">
          {say('mm of rain')}
        </text>
        {warmth.ticks(4).map((t) => (
          <g key={t}>
            <path d={`M${LEFT} ${warmth(t)}H${width - RIGHT}`} stroke="var(--rule)" />
            <text x={LEFT - 6} y={warmth(t) + 5} textAnchor="end" className="fill-ink text-[13px]">
              {t}
            </text>
          </g>
        ))}
        {rain.ticks(4).map((t) => (
          <text key={t} x={width - RIGHT + 6} y={rain(t) + 5} className="fill-ink-soft text-[13px]">
            {t}
          </text>
        ))}
        {rainMm.map((mm, i) => (
          <rect
            key={names[i]}
            x={x(i) - step * 0.32}
            y={rain(mm)}
            width={step * 0.64}
            height={BASE - rain(mm)}
            fill="url(#hatch-sedge-rush)"
            stroke="var(--group-sedge-rush)"
          />
        ))}
        <path
          d={line<number>()
            .x((_, i) => x(i))
            .y((c) => warmth(c))
            .curve(curveMonotoneX)([...meanC])!}
          className="fill-none stroke-ink"
          strokeWidth="2.6"
        />
        {names.map((m, i) => (
          <text
            key={m}
            x={x(i)}
            y={HEIGHT - 8}
            textAnchor="middle"
            className={`text-[14px] ${i === now ? 'fill-ink font-bold' : 'fill-ink-soft'}`}
          >
            {m.slice(0, 1)}
          </text>
        ))}
      </svg>
      <p className="text-sm text-ink-soft">
        {simulated
          ? say('Simulated normals of the region, from no real place; the line is warmth, the bars are rain.')
          : say('Means of this place; the line is warmth, the bars are rain.')}
      </p>
    </div>
  )
}
