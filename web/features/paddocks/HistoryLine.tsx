import { parseISO } from 'date-fns/parseISO'
import { scaleTime } from 'd3-scale'
import { Link } from 'react-router'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { Round } from '@/core/records/round.ts'
import { useWidth } from '../../ui/charts/useWidth.ts'
import { dayWords, isoDay, today } from '../../language/dates.ts'
import { say } from '../../language/say.ts'
import { eventWords } from '../../entities/place/eventWords.ts'

const HEIGHT = 108
const LINE = 58
const PAD = 14

interface Props {
  rounds: readonly Pick<Round, 'id' | 'title' | 'plannedOn'>[]
  events: readonly PaddockEvent[]
}

/** What was counted (above) and done (beneath) here, along a line of time up to today; a count opens its results. */
export function HistoryLine({ rounds, events }: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(480)
  const days = [...rounds.map((r) => r.plannedOn), ...events.map((e) => e.onDate)].sort()
  if (days.length < 2) return null
  const now = parseISO(today())
  const last = parseISO(days.at(-1)!)
  const x = scaleTime([parseISO(days[0]!), last > now ? last : now], [PAD, width - PAD])
  const at = (iso: string) => x(parseISO(iso))
  const ticks = x.ticks(width > 420 ? 6 : 3)
  const yearOf = (d: Date) => isoDay(d).slice(0, 4)
  const words = (d: Date, i: number) =>
    i > 0 && yearOf(ticks[i - 1]!) === yearOf(d) ? isoDay(d).slice(5, 7) : yearOf(d)
  return (
    <div ref={ref} className="mt-2 w-full">
      <svg viewBox={`0 0 ${width} ${HEIGHT}`} width="100%" className="block">
        <g
          role="img"
          aria-label={say('Along the years: {{done}}', {
            done: events.map((e) => `${eventWords[e.kind]} ${dayWords(e.onDate)}`).join(', '),
          })}
        >
          {ticks.map((t, i) => (
            <g key={t.getTime()}>
              <path d={`M${x(t)} 22V${LINE + 28}`} stroke="var(--rule)" />
              <text x={x(t)} y={HEIGHT - 4} textAnchor="middle" className="fill-ink-soft text-[13px]">
                {words(t, i)}
              </text>
            </g>
          ))}
          <path d={`M${PAD} ${LINE}H${width - PAD}`} className="stroke-culm" strokeWidth="3" />
          <path d={`M${x(now)} 18V${LINE + 28}`} className="stroke-ink" strokeWidth="2" strokeDasharray="3 3" />
          {events.map((e) => (
            <path
              key={e.id}
              d={`M${at(e.onDate)} ${LINE + 2}v12m-6 0h12v9h-12z`}
              className="fill-straw stroke-ink"
              strokeWidth="1.6"
            >
              <title>{`${eventWords[e.kind]}, ${dayWords(e.onDate)}`}</title>
            </path>
          ))}
        </g>
        {rounds.map((r) => (
          <Link
            key={r.id}
            to={`/rounds/${r.id}/weigh-up`}
            aria-label={say('{{title}}, {{day}}: what it says', { title: r.title, day: dayWords(r.plannedOn) })}
          >
            <title>{`${r.title}, ${dayWords(r.plannedOn)}`}</title>
            <rect x={at(r.plannedOn) - 22} y={12} width={44} height={44} rx={8} className="fill-transparent" />
            <path d={`M${at(r.plannedOn)} ${LINE - 2}V${LINE - 14}`} className="stroke-culm" strokeWidth="2" />
            <circle cx={at(r.plannedOn)} cy={LINE - 21} r={7.5} className="fill-culm stroke-husk" strokeWidth="2" />
          </Link>
        ))}
      </svg>
      <p className="text-sm text-ink-soft">
        {say('Above the line what was counted, beneath it what was done; the dashed line is today.')}
      </p>
    </div>
  )
}
