import { max } from 'd3-array'
import { scaleBand, scaleSqrt } from 'd3-scale'
import { Link } from 'react-router'
import { confusions } from '@/core/practice/confusions.ts'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import { shortName, useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

const MOST = 8
const CELL = 34
const LABEL = 170
const HEAD = 130

/** Plants taken for one another, shown against called; a leaf in the table opens the pair side by side. */
export function ConfusionMatrix({ answers }: { answers: readonly PracticeAnswer[] }) {
  const byId = useFlora((s) => s.byId)
  const list = confusions(answers).filter((c) => byId.has(c.shown) && byId.has(c.called))
  if (list.length === 0) return <p className="mt-1">{say('Nothing was taken for something else yet.')}</p>
  const top = list.slice(0, MOST)
  const rows = [...new Set(top.map((c) => c.shown))]
  const columns = [...new Set(top.map((c) => c.called))]
  const x = scaleBand(columns, [LABEL, LABEL + columns.length * CELL])
  const y = scaleBand(rows, [HEAD, HEAD + rows.length * CELL])
  const size = scaleSqrt([0, max(top, (c) => c.times) ?? 1], [3, CELL / 2 - 3])
  const name = shortName
  const [width, height] = [LABEL + columns.length * CELL + 60, HEAD + rows.length * CELL + 4]
  return (
    <>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className="mt-2 w-full"
        style={{ maxWidth: width * 1.2 }}
        role="img"
        aria-label={say('Taken for one another: {{top}}', {
          top: top
            .map((c) =>
              say('{{name}} called {{name2}} {{times}} times', {
                name: name(c.shown),
                name2: name(c.called),
                times: c.times,
              }),
            )
            .join('; '),
        })}
      >
        {rows.map((r) => (
          <g key={r}>
            <path d={`M${LABEL} ${y(r)! + CELL / 2}H${LABEL + columns.length * CELL}`} className="stroke-rule" />
            <text x={LABEL - 8} y={y(r)! + CELL / 2 + 5} textAnchor="end" className="fill-ink text-[14px]">
              {name(r)}
            </text>
          </g>
        ))}
        {columns.map((c) => (
          <g key={c}>
            <path d={`M${x(c)! + CELL / 2} ${HEAD}V${height - 4}`} className="stroke-rule" />
            <text
              transform={`translate(${x(c)! + CELL / 2 + 4} ${HEAD - 8}) rotate(-48)`}
              className="fill-ink text-[14px]"
            >
              {name(c)}
            </text>
          </g>
        ))}
        {top.map((c) => (
          <circle
            key={c.shown + c.called}
            cx={x(c.called)! + CELL / 2}
            cy={y(c.shown)! + CELL / 2}
            r={size(c.times)}
            className={byId.get(c.shown)!.role === 'toxic' ? 'fill-harm' : 'fill-culm'}
          />
        ))}
        <text x={LABEL - 8} y={HEAD - 10} textAnchor="end" className="fill-ink-soft text-[13px]">
          {say('shown, against called')}
        </text>
      </svg>
      <ul>
        {top.map((c) => (
          <li key={c.shown + c.called}>
            <Link to={`/compare?plants=${c.shown},${c.called}`} className="flex min-h-11 items-center underline">
              {say('{{name}} was called {{name2}}, {{count}} times: see the two', {
                name: name(c.shown),
                name2: name(c.called),
                count: c.times,
              })}
            </Link>
          </li>
        ))}
      </ul>
    </>
  )
}
