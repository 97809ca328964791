import { taxonName } from '@/text/taxonNames.ts'
import { extent, max } from 'd3-array'
import { scaleLinear, scaleTime } from 'd3-scale'
import { line } from 'd3-shape'
import { parseISO } from 'date-fns'
import type { TaxonTrend, YearCount } from '@/core/survey/paddockHistory.ts'
import { groupOf } from '@/core/records/taxon.ts'
import { groupColour } from '../../parts/groupMarks.ts'
import { useWidth } from '../../ui/charts/useWidth.ts'
import { percent } from '../../parts/words.ts'
import { shortName, useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

const HEIGHT = 300
const NAMES = 150
/** Lines are told apart by their dashes as well as by colour. */
const DASH = ['none', '7 4', '2 4', '11 4 2 4', '4 2', '1 3']

/** Shares of the main plants through the counts of a paddock, each with its interval. */
export function TrendChart({ counts, plants }: { counts: YearCount[]; plants: TaxonTrend[] }) {
  const { ref, width } = useWidth<HTMLDivElement>(560)
  const byId = useFlora((s) => s.byId)
  const days = counts.map((c) => parseISO(c.on))
  const [from, to] = extent(days) as [Date, Date]
  const top = max(plants.flatMap((p) => counts.map((c) => c.shares[p.taxon]?.interval?.[1] ?? c.shares[p.taxon]?.estimate ?? 0))) ?? 0.1 // prettier-ignore
  const x = scaleTime([from, to], [62, width - NAMES - 14])
  const y = scaleLinear([0, top], [HEIGHT - 34, 12]).nice()
  // Names at the end of their lines, moved apart where they would lie on each other.
  const ends = plants
    .map((p) => ({ p, at: y(p.shares.at(-1)!) }))
    .sort((a, b) => a.at - b.at)
    .map((e, i, all) => {
      const last = i > 0 ? all[i - 1]!.at : -Infinity
      e.at = Math.max(e.at, last + 17)
      return e
    })
  const words = plants.map((p) => `${shortName(p.taxon)} ${p.shares.map((s) => percent(s)).join(', ')}`).join('; ')
  return (
    <div ref={ref} className="mt-2 w-full">
      <svg
        viewBox={`0 0 ${width} ${HEIGHT}`}
        width="100%"
        role="img"
        aria-label={say('Shares year on year: {{words}}', { words })}
      >
        {y.ticks(4).map((t) => (
          <g key={t}>
            <path d={`M46 ${y(t)}H${width - NAMES - 10}`} className="stroke-rule" />
            <text x={40} y={y(t) + 5} textAnchor="end" className="fill-ink-soft text-[14px]">
              {percent(t)}
            </text>
          </g>
        ))}
        {days.map((d, i) => (
          <text key={i} x={x(d)} y={HEIGHT - 10} textAnchor="middle" className="fill-ink-soft text-[14px]">
            {d.getFullYear()}
          </text>
        ))}
        {plants.map((p, k) => {
          const harm = byId.get(p.taxon)?.role === 'toxic'
          const colour = harm ? 'var(--harm)' : groupColour(groupOf(p.taxon, byId))
          const path = line<number>()
            .x((_, i) => x(days[i]!))
            .y((s) => y(s))(p.shares)!
          return (
            <g key={p.taxon} stroke={colour}>
              <path d={path} fill="none" strokeWidth={harm ? 3.5 : 2.4} strokeDasharray={DASH[k % DASH.length]} />
              {counts.map((c, i) => {
                const interval = c.shares[p.taxon]?.interval
                // Bars stand a little apart, so that one does not hide another.
                const at = x(days[i]!) + (k - plants.length / 2) * 3
                return (
                  <g key={c.roundId}>
                    {interval ? <path d={`M${at} ${y(interval[0])}V${y(interval[1])}`} strokeWidth="1.6" /> : null}
                    <circle cx={at} cy={y(p.shares[i]!)} r="4" fill={colour} className="stroke-husk" />
                  </g>
                )
              })}
            </g>
          )
        })}
        {ends.map(({ p, at }) => {
          const harm = byId.get(p.taxon)?.role === 'toxic'
          return (
            <text
              key={p.taxon}
              x={width - NAMES}
              y={at + 5}
              className={`text-[14px] ${harm ? 'fill-harm font-bold' : 'fill-ink'}`}
            >
              {taxonName(p.taxon, byId).replace(/ \(.*\)/, '')}
            </text>
          )
        })}
      </svg>
    </div>
  )
}
