import { max } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import { area, curveMonotoneX, line } from 'd3-shape'
import type { Year, YearPlan } from '@/core/assess/season/year.ts'
import { groupColour } from '../../parts/groupMarks.ts'
import { monthNames } from '../../parts/words.ts'
import { useWidth } from '../../ui/charts/useWidth.ts'
import { inUnits, unitOf } from '../../parts/units.ts'
import { say } from '../../language/say.ts'

const HEIGHT = 250
const LEFT = 48
const held = () => ({ cold: say('cold'), heat: say('hot'), dry: say('dry'), dark: say('dark'), nothing: '' })

interface Props {
  year: Year
  plan: YearPlan | undefined
  /** Share of warm-season plants. */
  warm: number
  /** Month of the round, 0 to 11. */
  now: number
}

/** Growth of what stands and needs of what eats it, by month; the gap is hatched. Without needs: against the best month. */
export function YearChart({ year, plan, warm, now }: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(520)
  const months = year.mixture.map((_, i) => i)
  const best = plan ? max(plan.months, (m) => m.growth)! : 1
  const shown = (share: number) => (plan ? inUnits('perArea', share * best) : 100 * share)
  const need = plan?.months.map((m) => inUnits('perArea', m.need))
  const top = Math.max(shown(1), ...(need ?? []))
  const x = scaleLinear([0, 11], [LEFT, width - 16])
  const y = scaleLinear([0, top], [HEIGHT - 52, 24]).nice(4)
  const between = (low: (i: number) => number, high: (i: number) => number) =>
    area<number>()
      .x((i) => x(i))
      .y0((i) => y(low(i)))
      .y1((i) => y(high(i)))
      .curve(curveMonotoneX)(months)!
  const grown = (i: number) => shown(year.mixture[i]!)
  const names = monthNames()
  const said = months.map((i) =>
    plan
      ? say('{{month}} {{growth}} against {{need}}', {
          month: names[i]!,
          growth: Math.round(grown(i)),
          need: Math.round(need![i]!),
        })
      : `${names[i]} ${Math.round(grown(i))}`,
  )
  return (
    <div ref={ref} className="mt-2 w-full">
      <svg
        viewBox={`0 0 ${width} ${HEIGHT}`}
        width="100%"
        role="img"
        className="block"
        aria-label={
          plan
            ? say('Growth that can be eaten against what the herd eats, by month: {{months}}', {
                months: said.join(', '),
              })
            : say('Growth by month against the best month: {{mixture}} percent', { mixture: said.join(', ') })
        }
      >
        <text x="2" y="14" className="fill-ink-soft text-[14px]">
          {plan ? say('{{unit}} and day', { unit: unitOf('perArea') }) : say('% of the best month')}
        </text>
        {y.ticks(4).map((t) => (
          <g key={t}>
            <path d={`M${LEFT} ${y(t)}H${width - 16}`} stroke="var(--rule)" />
            <text x={LEFT - 6} y={y(t) + 5} textAnchor="end" className="fill-ink-soft text-[14px]">
              {t}
            </text>
          </g>
        ))}
        <path d={`M${x(now)} 24V${HEIGHT - 52}`} stroke="var(--ink)" strokeDasharray="2 4" />
        <path
          d={between(
            () => 0,
            (i) => shown(year.cool[i]!),
          )}
          fill="url(#hatch-cool-grass)"
          stroke={groupColour('cool-grass')}
        />
        {warm > 0.005 ? (
          <path
            d={between((i) => shown(year.cool[i]!), grown)}
            fill="url(#hatch-warm-grass)"
            stroke={groupColour('warm-grass')}
          />
        ) : null}
        {need ? (
          <>
            <path d={between(grown, (i) => Math.max(grown(i), need[i]!))} className="fill-harm" opacity="0.18" />
            <path
              d={line<number>()
                .x((i) => x(i))
                .y((i) => y(need[i]!))
                .curve(curveMonotoneX)(months)!}
              className="fill-none stroke-harm"
              strokeWidth="2.4"
            />
            <text x={LEFT + 6} y={y(need[0]!) - 6} className="fill-harm text-[14px] font-semibold">
              {say('what the herd eats')}
            </text>
          </>
        ) : null}
        {months.map((i) => (
          <g key={i} textAnchor="middle" className={i === now ? 'fill-ink font-bold' : 'fill-ink-soft'}>
            <text x={x(i)} y={HEIGHT - 30} className="text-[14px]">
              {names[i]!.slice(0, 1)}
            </text>
            <text x={x(i)} y={HEIGHT - 10} className="text-[12px]">
              {held()[year.heldBy[i]!]}
            </text>
          </g>
        ))}
      </svg>
    </div>
  )
}
