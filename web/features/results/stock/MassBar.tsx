import { scaleLinear } from 'd3-scale'
import type { Estimate } from '@/core/assess/feed/mixtureFeed.ts'
import type { HerdPlan } from '@/core/records/herdPlan.ts'
import { Axis } from '../../../ui/charts/Axis.tsx'
import { Interval } from '../../../ui/charts/Interval.tsx'
import { useWidth } from '../../../ui/charts/useWidth.ts'
import { inUnits, massFigure, unitOf } from '../../../parts/units.ts'
import { say } from '../../../language/say.ts'

const TOP = 28
const BAR = 30
const LINE = 24

/** What stands, by what becomes of it: left standing, eaten, refused and trodden. */
export function MassBar({ mass, plan }: { mass: Estimate; plan: HerdPlan }) {
  const { ref, width } = useWidth<HTMLDivElement>(480)
  const left = Math.min(plan.residualKgPerHa, mass.middle)
  const above = mass.middle - left
  const eaten = above * (plan.usePct / 100) * (1 - plan.refusedPct / 100)
  const parts = [
    { id: 'left', name: say('left standing'), kg: left, fill: 'url(#hatch-ground)', stroke: 'var(--group-ground)' },
    { id: 'eaten', name: say('eaten'), kg: eaten, fill: 'var(--culm)', stroke: 'var(--culm)' },
    {
      id: 'lost',
      name: say('refused, trodden, soiled'),
      kg: above - eaten,
      fill: 'url(#hatch-shrub)',
      stroke: 'var(--group-shrub)',
    },
  ]
  const x = scaleLinear([0, inUnits('perArea', mass.high)], [2, width - 10]).nice(3)
  const at = (kg: number) => x(inUnits('perArea', kg))
  const starts = parts.map((_, i) => parts.slice(0, i).reduce((s, p) => s + p.kg, 0))
  const height = TOP + BAR + 16 + parts.length * LINE
  const words = parts.map((p) => `${p.name} ${massFigure(p.kg)} ${unitOf('perArea')}`)
  return (
    <div ref={ref} className="mt-3 w-full">
      <p className="text-ink-soft">
        {say('What stands and what becomes of it, {{unit}}', { unit: unitOf('perArea') })}
      </p>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        width="100%"
        role="img"
        className="block"
        aria-label={say('Standing {{mass}} {{unit}} ({{low}} to {{high}}): {{parts}}', {
          mass: massFigure(mass.middle),
          unit: unitOf('perArea'),
          low: massFigure(mass.low),
          high: massFigure(mass.high),
          parts: words.join(', '),
        })}
      >
        <Axis x={x} ticks={x.ticks(4)} height={TOP + BAR + 12} words={(n) => String(n)} startAt={0} />
        {parts.map((p, i) => (
          <g key={p.id}>
            <rect
              x={at(starts[i]!)}
              y={TOP}
              width={Math.max(0, at(starts[i]! + p.kg) - at(starts[i]!))}
              height={BAR}
              fill={p.fill}
              stroke={p.stroke}
            />
            <rect x={2} y={TOP + BAR + 18 + i * LINE} width={16} height={14} fill={p.fill} stroke={p.stroke} />
            <text x={26} y={TOP + BAR + 30 + i * LINE} className="fill-ink text-[15px]">
              {words[i]}
            </text>
          </g>
        ))}
        <Interval
          x={(kg) => at(kg)}
          y={TOP + BAR / 2}
          estimate={mass.middle}
          interval={[mass.low, mass.high]}
          foot={9}
        />
      </svg>
    </div>
  )
}
