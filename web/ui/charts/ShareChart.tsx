import { max } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import type { Share } from '@/core/survey/composition.ts'
import type { Group } from '@/core/records/taxon.ts'
import { groupColour } from '../../parts/groupMarks.ts'
import type { SVGProps } from 'react'
import { Axis } from './Axis.tsx'
import { Interval } from './Interval.tsx'
import { useWidth } from './useWidth.ts'
import { percent, percentRange } from '../../parts/words.ts'
import { say } from '../../language/say.ts'

export interface ShareRow {
  id: string
  name: string
  group: Group
  harmful?: boolean
  share: Share
}

const ROW = 34
/** Where there is little width the name and the figures stand above the bar. */
const NARROW = 440
const NARROW_ROW = 46
const AXIS = 26
/** Widths of a letter of a name, and of the word before a harmful one, px. */
const LETTER = 7.9
const WORD_LETTER = 7

const wordWidth = (row: ShareRow) => (row.harmful ? (say('harmful:').length + 1) * WORD_LETTER : 0)
const cut = (row: ShareRow, room: number) =>
  row.name.length * LETTER > room ? `${row.name.slice(0, Math.floor(room / LETTER) - 1)}…` : row.name

interface Props {
  rows: ShareRow[]
  label: string
  /** A width of its own where the page is printed, and so laid out without a chance to measure. */
  fixedWidth?: number
  /** The row that is lit here and elsewhere; without `onChoose` the chart is a picture. */
  chosen?: string
  onChoose?: (id: string) => void
}

const figuresOf = ({ share: { estimate, interval } }: ShareRow): string =>
  `${percent(estimate)}${interval ? ` (${percentRange(interval)})` : ''}`

/** What makes a row one that can be touched, or reached by keys, and says what it shows. */
const asButton = (row: ShareRow, chosen: boolean, choose: () => void): SVGProps<SVGGElement> => ({
  role: 'button',
  tabIndex: 0,
  'aria-pressed': chosen,
  'aria-label': `${row.name} ${figuresOf(row)}`,
  className: 'cursor-pointer',
  onClick: choose,
  onKeyDown: (e) => {
    if (e.key !== 'Enter' && e.key !== ' ') return
    e.preventDefault()
    choose()
  },
})

/** Shares with their intervals: a hatched bar to the estimate, a whisker over the 95 % interval, the figures beside. */
export function ShareChart({ rows, label, fixedWidth, chosen, onChoose }: Props) {
  const { ref, width: measured } = useWidth<HTMLDivElement>(520)
  const width = fixedWidth ?? measured
  const narrow = width < NARROW
  const rowHeight = narrow ? NARROW_ROW : ROW
  const longest = max(rows, (r) => r.name.length * LETTER + wordWidth(r)) ?? 0
  const nameWidth = narrow ? 6 : Math.min(longest + 14, width * 0.48)
  const figures = narrow ? 24 : Math.min(150, width * 0.3)
  const top = Math.max(0.1, max(rows, (r) => r.share.interval?.[1] ?? r.share.estimate) ?? 0)
  const x = scaleLinear([0, top], [nameWidth, Math.max(nameWidth + 40, width - figures)]).nice(2)
  // A label needs about 40 px.
  const room = x.range()[1]! - x.range()[0]!
  const ticks = x.ticks(Math.max(room > 80 ? 2 : 1, Math.floor(room / 70)))
  const height = AXIS + rows.length * rowHeight
  return (
    <div ref={ref} className="w-full">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        width="100%"
        role={onChoose ? 'group' : 'img'}
        aria-label={label}
        className="block max-w-full"
      >
        <Axis
          x={x}
          ticks={ticks}
          height={height}
          words={(t) => `${Math.round(t * 100)} %`}
          {...(narrow ? { startAt: 0 } : {})}
        />
        {rows.map((row, i) => {
          const y = AXIS + i * rowHeight + (narrow ? rowHeight - 14 : rowHeight / 2)
          const line = narrow ? y - 14 : y + 5
          const mark = row.harmful ? 'harm' : row.group
          const { interval } = row.share
          return (
            <g key={row.id} {...(onChoose ? asButton(row, row.id === chosen, () => onChoose(row.id)) : {})}>
              {onChoose ? (
                <rect
                  x={0}
                  y={y - rowHeight / 2 + (narrow ? -7 : 1)}
                  width={width}
                  height={rowHeight - 2}
                  rx={8}
                  fill={row.id === chosen ? 'var(--lit)' : 'transparent'}
                />
              ) : null}
              <text
                x={narrow ? 0 : nameWidth - 10}
                y={line}
                textAnchor={narrow ? 'start' : 'end'}
                className={`text-[16px] ${row.harmful ? 'fill-harm font-bold' : 'fill-ink'}`}
              >
                {row.harmful ? <tspan className="text-[13px]">{say('harmful:')} </tspan> : null}
                {narrow ? row.name : cut(row, nameWidth - 10 - wordWidth(row))}
                <title>{row.name}</title>
              </text>
              <rect
                x={x(0)}
                y={y - 9}
                width={Math.max(1, x(row.share.estimate) - x(0))}
                height={18}
                fill={`url(#hatch-${mark})`}
                stroke={groupColour(mark)}
                strokeWidth="1.2"
              />
              <Interval x={x} y={y} estimate={row.share.estimate} interval={interval} />
              <text x={width} y={line} textAnchor="end" className="fill-ink text-[15px]">
                <tspan fontWeight="700">{percent(row.share.estimate)}</tspan>
                <tspan>{interval ? `  ${percentRange(interval).replace(/.%$/, '')}` : ''}</tspan>
              </text>
            </g>
          )
        })}
      </svg>
    </div>
  )
}
