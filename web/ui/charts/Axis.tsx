interface Props {
  /** Where a value stands, px. */
  x: (value: number) => number
  ticks: readonly number[]
  /** From the words down to here the lines reach, px. */
  height: number
  words: (value: number) => string
  /** The first word stands at the edge instead of over its line. */
  startAt?: number
  /** The last word ends at the edge, where it would stand over it. */
  endAt?: number
}

/** Of a word of the axis, px. */
const HALF_A_WORD = 20

/** Words over thin lines that fall through a chart. */
export const Axis = ({ x, ticks, height, words, startAt, endAt }: Props) =>
  ticks.map((t, i) => {
    const atStart = i === 0 && startAt !== undefined
    const atEnd = i === ticks.length - 1 && endAt !== undefined && x(t) + HALF_A_WORD > endAt
    return (
      <g key={t}>
        <path d={`M${x(t)} 22V${height}`} stroke="var(--rule)" />
        <text
          x={atStart ? startAt : atEnd ? endAt : x(t)}
          y={16}
          textAnchor={atStart ? 'start' : atEnd ? 'end' : 'middle'}
          className="fill-ink-soft text-[14px]"
        >
          {words(t)}
        </text>
      </g>
    )
  })
