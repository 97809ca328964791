import { monthNames, monthRuns } from '../../parts/words.ts'
import { useWidth } from './useWidth.ts'

export interface MonthRow {
  id: string
  name: string
  /** 0 to 11. */
  months: readonly number[]
  harmful?: boolean
  /** Days of this year on which something is due, as a share of the year 0 to 1. */
  due?: readonly { at: number; says: string }[]
}

interface Props {
  rows: readonly MonthRow[]
  label: string
  /** Today, as a share of the year 0 to 1. */
  now: number
}

const ROW = 30
const TOP = 24
const LETTER = 7.4

/** The year as a strip, a line a row: when it can be seen or done, what is due, and today. */
export function MonthStrip({ rows, label, now }: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(500)
  const names = monthNames()
  const left = Math.min(width * 0.42, Math.max(...rows.map((r) => r.name.length), 8) * LETTER + 14)
  const step = (width - left - 2) / 12
  const height = TOP + rows.length * ROW + 6
  const at = (share: number) => left + share * 12 * step
  const cut = (name: string) =>
    name.length * LETTER > left - 6 ? `${name.slice(0, Math.floor((left - 6) / LETTER) - 1)}…` : name
  return (
    <div ref={ref} className="mt-2 w-full">
      <svg viewBox={`0 0 ${width} ${height}`} width="100%" role="img" aria-label={label} className="block">
        {names.map((m, i) => (
          <text
            key={m}
            x={left + (i + 0.5) * step}
            y={15}
            textAnchor="middle"
            className={`text-[13px] ${Math.floor(now * 12) === i ? 'fill-ink font-bold' : 'fill-ink-soft'}`}
          >
            {m.slice(0, 1)}
          </text>
        ))}
        {rows.map((row, r) => {
          const y = TOP + r * ROW
          const there = new Set(row.months)
          return (
            <g key={row.id}>
              <text x={0} y={y + 19} className={`text-[15px] ${row.harmful ? 'fill-harm font-bold' : 'fill-ink'}`}>
                {cut(row.name)}
                <title>
                  {row.name}: {monthRuns(row.months)}
                </title>
              </text>
              {names.map((m, i) => (
                <rect
                  key={m}
                  x={left + i * step}
                  y={y + 6}
                  width={step}
                  height={ROW - 12}
                  fill={there.has(i) ? `url(#hatch-${row.harmful ? 'harm' : 'legume'})` : 'var(--sheet)'}
                  stroke="var(--rule)"
                />
              ))}
              {(row.due ?? []).map((d) => (
                <path
                  key={d.says}
                  d={`M${at(d.at)} ${y + 3}l6 -1v8l-6 1v17`}
                  className="fill-straw stroke-ink"
                  strokeWidth="1.4"
                >
                  <title>{d.says}</title>
                </path>
              ))}
            </g>
          )
        })}
        <path d={`M${at(now)} ${TOP - 4}V${height}`} className="stroke-ink" strokeWidth="2" strokeDasharray="3 3" />
      </svg>
    </div>
  )
}
