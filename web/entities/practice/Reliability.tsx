import { scaleLinear } from 'd3-scale'
import { reliability, type Judged } from '@/core/practice/scoring.ts'
import { say } from '../../language/say.ts'

const SIZE = 300
const PAD = 44

/** How often one was right against how sure one said to be: on the line is well judged, below it too sure. */
export function Reliability({ answers }: { answers: readonly Judged[] }) {
  const points = reliability(answers)
  const x = scaleLinear([0.4, 1], [PAD, SIZE - 12])
  const y = scaleLinear([0, 1], [SIZE - PAD, 12])
  const words = points
    .map((p) =>
      say('said {{said}}, right {{right}} of {{answers}}', {
        said: Math.round(100 * p.said),
        right: p.right,
        answers: p.answers,
      }),
    )
    .join('; ')
  return (
    <svg
      viewBox={`0 0 ${SIZE} ${SIZE}`}
      className="mt-2 w-full max-w-sm"
      role="img"
      aria-label={say('Reliability: {{words}}', { words })}
    >
      {[0, 0.5, 1].map((t) => (
        <g key={t}>
          <path d={`M${PAD} ${y(t)}H${SIZE - 12}`} className="stroke-rule" />
          <text x={PAD - 6} y={y(t) + 5} textAnchor="end" className="fill-ink-soft text-[13px]">
            {t * 100}
          </text>
        </g>
      ))}
      {[0.5, 0.7, 0.9].map((t) => (
        <text key={t} x={x(t)} y={SIZE - PAD + 18} textAnchor="middle" className="fill-ink-soft text-[13px]">
          {t * 100}
        </text>
      ))}
      <path d={`M${x(0.4)} ${y(0.4)}L${x(1)} ${y(1)}`} className="stroke-ink-soft" strokeDasharray="5 5" />
      <text x={x(0.97)} y={y(1) - 1} textAnchor="end" className="fill-ink-soft text-[12px]">
        {say('as sure as right')}
      </text>
      {points.map((p) => (
        <g key={p.said}>
          <path d={`M${x(p.said)} ${y(p.interval[0])}V${y(p.interval[1])}`} className="stroke-ink" strokeWidth="2" />
          <circle cx={x(p.said)} cy={y(p.share)} r="6" className="fill-culm stroke-husk" />
        </g>
      ))}
      <text x={(PAD + SIZE) / 2} y={SIZE - 6} textAnchor="middle" className="fill-ink text-[13px]">
        {say('said, in 100')}
      </text>
      <text transform={`translate(13 ${SIZE / 2}) rotate(-90)`} textAnchor="middle" className="fill-ink text-[13px]">
        {say('right, in 100')}
      </text>
    </svg>
  )
}
