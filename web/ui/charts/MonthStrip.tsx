import { addMonths } from 'date-fns/addMonths'
import { parseISO } from 'date-fns/parseISO'
import { startOfMonth } from 'date-fns/startOfMonth'
import { startOfYear } from 'date-fns/startOfYear'
import { scaleTime, type ScaleTime } from 'd3-scale'
import { monthNames, monthRuns } from '../../parts/words.ts'
import { DayFlag, type Flag } from './DayFlag.tsx'
import { useWidth } from './useWidth.ts'

export interface MonthRow {
  id: string
  name: string
  /** 0 to 11. */
  months: readonly number[]
  harmful?: boolean
  /** Days on which something is due. */
  due?: readonly Flag[]
}

interface Props {
  rows: readonly MonthRow[]
  label: string
  /** The day that the line stands for, ISO. */
  day: string
  /** The year of that day, or the twelve months from a month before it, where work lies ahead. */
  shows?: 'its-year' | 'ahead'
}

const TOP = 24
const LETTER = 7.4
/** A flag that can be moved has room for a thumb. */
const ROW = { still: 30, moved: 44 }

/** Months of the strip, with the days they begin and end on. */
function monthsFrom(first: Date) {
  return Array.from({ length: 12 }, (_, i) => {
    const from = addMonths(first, i)
    return { from, to: addMonths(from, 1), month: from.getMonth(), year: from.getFullYear() }
  })
}

function Row({ row, y, height, left, months, x, cut }: RowProps) {
  const there = new Set(row.months)
  const middle = y + height / 2
  return (
    <g>
      <text x={0} y={middle + 5} className={`text-[15px] ${row.harmful ? 'fill-harm font-bold' : 'fill-ink'}`}>
        {cut(row.name, left)}
        <title>{`${row.name}: ${monthRuns(row.months)}`}</title>
      </text>
      {months.map((m) => (
        <rect
          key={m.month}
          x={x(m.from)}
          y={middle - 9}
          width={x(m.to) - x(m.from)}
          height={18}
          fill={there.has(m.month) ? `url(#hatch-${row.harmful ? 'harm' : 'legume'})` : 'var(--sheet)'}
          stroke="var(--rule)"
        />
      ))}
    </g>
  )
}

interface RowProps {
  row: MonthRow
  y: number
  height: number
  left: number
  months: ReturnType<typeof monthsFrom>
  x: ScaleTime<number, number>
  cut: (name: string, width: number) => string
}

const cut = (name: string, width: number) =>
  name.length * LETTER > width - 6 ? `${name.slice(0, Math.floor((width - 6) / LETTER) - 1)}…` : name

/** The year as a strip, a line a row: when it can be seen or done, what is due, and today. */
export function MonthStrip({ rows, label, day, shows = 'its-year' }: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(500)
  const names = monthNames()
  const today = parseISO(day)
  const months = monthsFrom(shows === 'ahead' ? addMonths(startOfMonth(today), -1) : startOfYear(today))
  const left = Math.min(width * 0.42, Math.max(...rows.map((r) => r.name.length), 8) * LETTER + 14)
  const ends = [months[0]!.from, months[11]!.to] as const
  const x = scaleTime(ends, [left, width - 2]).clamp(true)
  const height = rows.some((r) => r.due?.some((d) => d.onMove)) ? ROW.moved : ROW.still
  const bottom = TOP + rows.length * height + 6
  const yOf = (r: number) => TOP + r * height
  return (
    <div ref={ref} className="mt-2 w-full">
      <svg viewBox={`0 0 ${width} ${bottom}`} width="100%" className="block overflow-visible">
        <g role="img" aria-label={label}>
          {months.map((m, i) => (
            <text
              key={m.month}
              x={(x(m.from) + x(m.to)) / 2}
              y={15}
              textAnchor="middle"
              className={`text-[13px] ${today >= m.from && today < m.to ? 'fill-ink font-bold' : 'fill-ink-soft'}`}
            >
              {/* A strip that goes over New Year says which year begins. */}
              {m.month === 0 && i > 0 ? `’${String(m.year).slice(2)}` : names[m.month]!.slice(0, 1)}
            </text>
          ))}
          {rows.map((row, r) => (
            <Row key={row.id} {...{ row, y: yOf(r), height, left, months, x, cut }} />
          ))}
          <path d={`M${x(today)} ${TOP - 4}V${bottom}`} className="stroke-ink" strokeWidth="2" strokeDasharray="3 3" />
        </g>
        {rows.flatMap((row, r) =>
          (row.due ?? []).map((flag) => <DayFlag key={flag.id} flag={flag} y={yOf(r)} height={height} x={x} />),
        )}
      </svg>
    </div>
  )
}
