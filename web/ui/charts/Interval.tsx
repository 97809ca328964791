/** An estimate with its interval on a line: a whisker with feet, and the dot of the estimate. */
export function Interval({
  x,
  y,
  estimate,
  interval,
  foot = 5,
}: {
  x: (value: number) => number
  y: number
  estimate: number
  interval?: readonly [number, number] | undefined
  foot?: number
}) {
  return (
    <>
      {interval ? (
        <path
          d={`M${x(interval[0])} ${y}H${x(interval[1])}M${x(interval[0])} ${y - foot}v${2 * foot}M${x(interval[1])} ${y - foot}v${2 * foot}`}
          stroke="var(--ink)"
          strokeWidth="2.2"
        />
      ) : null}
      <circle cx={x(estimate)} cy={y} r="4.6" fill="var(--ink)" stroke="var(--husk)" strokeWidth="1.4" />
    </>
  )
}
