interface Props {
  /** Where a value stands, px. */
  x: (value: number) => number
  ticks: readonly number[]
  /** From the words down to here the lines reach, px. */
  height: number
  words: (value: number) => string
  /** The first word stands at the edge instead of over its line. */
  startAt?: number
}

/** Words over thin lines that fall through a chart. */
export const Axis = ({ x, ticks, height, words, startAt }: Props) =>
  ticks.map((t, i) => (
    <g key={t}>
      <path d={`M${x(t)} 22V${height}`} stroke="var(--rule)" />
      <text
        x={i === 0 && startAt !== undefined ? startAt : x(t)}
        y={16}
        textAnchor={i === 0 && startAt !== undefined ? 'start' : 'middle'}
        className="fill-ink-soft text-[14px]"
      >
        {words(t)}
      </text>
    </g>
  ))
