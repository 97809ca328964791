import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { fieldPoints, MOST_EFFORT } from '@/core/practice/effort.ts'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import { kindName } from '@/text/practiceWords.ts'
import { Axis } from '../../ui/charts/Axis.tsx'
import { useWidth } from '../../ui/charts/useWidth.ts'
import { CoverScale } from './CoverScale.tsx'
import { say } from '../../language/say.ts'

const HEIGHT = 240
const TOP = 30
const LEFT = 34
const steps = Array.from({ length: 21 }, (_, i) => i / 20)

const lines = () => [
  { says: say('right, at a glance'), right: true, effort: 0, dash: undefined, at: 0.5, up: -8 },
  { says: say('right, after every look'), right: true, effort: MOST_EFFORT, dash: '6 4', at: 1, up: 20 },
  { says: say('not right'), right: false, effort: 0, dash: '2 4', at: 0.8, up: 12 },
]

/** What an answer is worth by how sure it is said, right and not: to be honest is worth most. */
function PointsBySureness() {
  const { ref, width } = useWidth<HTMLDivElement>(480)
  const x = scaleLinear([0, 1], [LEFT, width - 12])
  const y = scaleLinear([0, 100], [HEIGHT - 8, TOP])
  return (
    <div ref={ref} className="mt-2 w-full">
      <svg
        viewBox={`0 0 ${width} ${HEIGHT}`}
        width="100%"
        role="img"
        className="block"
        aria-label={say(
          'Points by how sure one says to be: a right name said to be certain at a glance is worth 100, after every look 80; a wrong one said to be certain nothing, at even chances 75',
        )}
      >
        <Axis
          x={x}
          ticks={[0, 0.25, 0.5, 0.75, 1]}
          height={HEIGHT - 8}
          words={(s) => `${Math.round(100 * s)} %`}
          endAt={width}
        />
        {[0, 50, 100].map((p) => (
          <text key={p} x={LEFT - 6} y={y(p) + 5} textAnchor="end" className="fill-ink-soft text-[13px]">
            {p}
          </text>
        ))}
        {lines().map(({ says, right, effort, dash, at, up }) => {
          const points = (sure: number) => fieldPoints({ right, sure, effort })
          return (
            <g key={says}>
              <path
                d={line<number>()
                  .x((s) => x(s))
                  .y((s) => y(points(s)))(steps)!}
                className={`fill-none ${right ? 'stroke-culm' : 'stroke-harm'}`}
                strokeWidth="2.6"
                strokeDasharray={dash}
              />
              <text
                x={x(at) - 6}
                y={y(points(at)) + up}
                textAnchor="end"
                paintOrder="stroke"
                strokeWidth="4"
                className={`stroke-husk text-[14px] ${right ? 'fill-culm' : 'fill-harm'}`}
              >
                {says}
              </text>
            </g>
          )
        })}
      </svg>
    </div>
  )
}

interface Props {
  done: readonly PracticeAnswer[]
  asked: number
  /** What stands beside the open question: for a name, what sureness is worth; for a frame, covers to compare with. */
  beside: 'sureness' | 'covers' | undefined
}

/** Beside a question that is open: how far the round has come, and what sureness is worth. */
export function WhileOpen({ done, asked, beside }: Props) {
  return (
    <>
      <h2 className="text-[1.65rem]">{say('This round')}</h2>
      <ol
        className="mt-2 flex flex-wrap gap-2"
        aria-label={say('{{n}} of {{all}} answered', { n: done.length, all: asked })}
      >
        {Array.from({ length: asked }, (_, i) => {
          const answer = done[i]
          return (
            <li
              key={i}
              className={`grid size-10 place-items-center rounded-full border-2 font-bold ${
                !answer
                  ? 'border-dashed border-rule text-ink-soft'
                  : answer.right
                    ? 'border-culm bg-culm text-on-culm'
                    : 'border-harm text-harm'
              }`}
              title={answer ? kindName(answer.kind) : undefined}
            >
              {!answer ? i + 1 : answer.right ? '✓' : '×'}
            </li>
          )
        })}
      </ol>
      {beside === 'covers' ? <CoverScale /> : null}
      {beside === 'sureness' ? (
        <>
          <h3 className="mt-5 text-lg">{say('What it is worth to be how sure')}</h3>
          <PointsBySureness />
          <p className="text-ink-soft">
            {say('Say what you believe: who says more or less than that loses points in the long run (Brier 1950).')}
          </p>
        </>
      ) : null}
    </>
  )
}
