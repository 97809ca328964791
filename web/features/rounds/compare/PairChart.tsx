import { max } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import { taxonName } from '@/text/taxonNames.ts'
import type { Share } from '@/core/survey/composition.ts'
import type { Beside, BesideLine } from '@/core/survey/sideBySide.ts'
import { useWidth } from '../../../ui/charts/useWidth.ts'
import { percent } from '../../../parts/words.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { atMost } from '../../../language/numbers.ts'
import { say } from '../../../language/say.ts'

const ROW = 54
const AXIS = 26
const SHOWN = 12
const points = (x: number) => `${x >= 0 ? '+' : '−'}${atMost(Math.abs(x) * 100, Math.abs(x) < 0.0995 ? 1 : 0)}`

const differenceWords = ({ difference: d, stands }: BesideLine): string =>
  d === undefined
    ? ''
    : say('{{change}} points ({{low}} to {{high}}){{what}}', {
        change: points(d.change),
        low: points(d.interval[0]),
        high: points(d.interval[1]),
        what: stands ? say(', more than chance') : '',
      })

/** Both rounds on one line for each plant: a full mark and a hollow one, each with its interval; the plainest difference first. */
export function PairChart({ beside, names }: { beside: Beside; names: [first: string, second: string] }) {
  const byId = useFlora((s) => s.byId)
  const { ref, width } = useWidth<HTMLDivElement>(520)
  const lines = beside.lines.slice(0, SHOWN)
  const top = Math.max(0.1, max(lines.flatMap((l) => [l.first, l.second]), (s) => s?.interval?.[1] ?? s?.estimate ?? 0) ?? 0) // prettier-ignore
  const x = scaleLinear([0, top], [8, width - 12]).nice(2)
  const height = AXIS + lines.length * ROW
  const mark = (share: Share | undefined, y: number, full: boolean) => {
    const at = x(share?.estimate ?? 0)
    return (
      <g className="stroke-ink">
        {share?.interval ? (
          <path
            d={`M${x(Math.max(0, share.interval[0]))} ${y}H${x(share.interval[1])}`}
            strokeWidth="2"
            strokeDasharray={full ? undefined : '4 3'}
          />
        ) : null}
        <circle cx={at} cy={y} r="6" className={full ? 'fill-culm' : 'fill-sheet'} strokeWidth="2" />
      </g>
    )
  }
  return (
    <div ref={ref} className="w-full">
      <p className="flex flex-wrap gap-x-5" aria-hidden="true">
        <span>● {names[0]}</span>
        <span>○ {names[1]}</span>
      </p>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        width="100%"
        role="img"
        aria-label={say('Both rounds plant by plant: {{lines}}', {
          lines: lines
            .map(
              (l) =>
                `${taxonName(l.taxon, byId)} ${percent(l.first?.estimate ?? 0)}, ${percent(l.second?.estimate ?? 0)}`,
            )
            .join('; '),
        })}
        className="block max-w-full"
      >
        {' '}
        {/* prettier-ignore */}
        {x.ticks(Math.max(2, Math.floor(width / 110))).map((t) => (
          <g key={t}>
            <path d={`M${x(t)} ${AXIS - 4}V${height}`} stroke="var(--rule)" />
            <text x={x(t)} y={16} textAnchor={t === 0 ? 'start' : 'middle'} className="fill-ink-soft text-[14px]">
              {Math.round(t * 100)} %
            </text>
          </g>
        ))}
        {lines.map((line, i) => {
          const y = AXIS + i * ROW
          const harmful = byId.get(line.taxon)?.role === 'toxic'
          return (
            <g key={line.taxon}>
              <text x={0} y={y + 15} className={`text-[16px] ${harmful ? 'fill-harm font-bold' : 'fill-ink'}`}>
                {taxonName(line.taxon, byId).replace(/ \(.*\)/, '')}
              </text>
              <text
                x={width}
                y={y + 15}
                textAnchor="end"
                className={`text-[14px] ${line.stands ? 'fill-ink font-bold' : 'fill-ink-soft'}`}
              >
                {differenceWords(line)}
              </text>
              {mark(line.first, y + 29, true)}
              {mark(line.second, y + 42, false)}
            </g>
          )
        })}
      </svg>
      <p className="mt-2" data-testid="beside-sum">
        {beside.sameStops > 0
          ? say('Differences are taken stop by stop at the {{n}} stops that both counted; what stands among all plants together is in bold.', { n: beside.sameStops }) // prettier-ignore
          : lines.some((l) => l.difference)
            ? say('Not the same stops: differences are taken of both shares with the error of each; what stands among all plants together is in bold.') // prettier-ignore
            : say('Two methods measure different things: no difference is taken between them.')}{' '}
        {say(
          '{{changed}} of the sward would have to change plants; {{only}} of the plants were met in one round only.',
          {
            changed: percent(beside.changed),
            only: percent(beside.onlyInOne),
          },
        )}
      </p>
    </div>
  )
}
