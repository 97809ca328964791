import { scaleLinear } from 'd3-scale'
import { area, curveMonotoneX } from 'd3-shape'
import { madeNormals, midsummerGap } from '@/core/assess/season/madeNormals.ts'
import { seasonCurve } from '@/core/assess/season/growth.ts'
import type { Region } from '@/core/flora/flora.ts'
import type { Composition } from '@/core/survey/composition.ts'
import { inSentence } from '@/text/say.ts'
import { groupColour } from '../../parts/groupMarks.ts'
import { monthNames } from '../../parts/words.ts'
import { useWidth } from '../../parts/useWidth.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { seasonShares } from './seasonShares.ts'
import { say, together } from '../../language/say.ts'

const HEIGHT = 230
const MOST_FILLERS = 4
const atHome = new Set<string>(['common', 'frequent'])

/** When the mixture grows, where it slumps, and what of this region would fill the gap. */
export function SeasonPanel({ made, region }: { made: Composition; region: Region }) {
  const { ref, width } = useWidth<HTMLDivElement>(520)
  const { plants, byId } = useFlora()
  const shares = seasonShares(made, (t) => byId.get(t)?.season)
  if (!shares) return null
  const { mixture, cool } = seasonCurve(madeNormals[region], shares)
  const gap = midsummerGap(mixture)
  const fillers = plants
    .filter(
      (p) =>
        p.season === 'warm' && p.role === 'forage' && p.cycle === 'perennial' && atHome.has(p.regions[region] ?? ''),
    )
    .slice(0, MOST_FILLERS)
  const x = scaleLinear([0, 11], [44, width - 14])
  const y = scaleLinear([0, 1], [HEIGHT - 34, 14])
  const shape = (low: number[], high: number[]) =>
    area<number>()
      .x((_, i) => x(i))
      .y0((_, i) => y(low[i]!))
      .y1((_, i) => y(high[i]!))
      .curve(curveMonotoneX)(mixture)!
  const months = gap.map((i) => monthNames()[i]!)
  return (
    <section className="mt-6" aria-labelledby="season">
      <h2 id="season" className="text-xl">
        {say('Through the year')}
      </h2>
      <div ref={ref} className="mt-2 w-full">
        <svg
          viewBox={`0 0 ${width} ${HEIGHT}`}
          width="100%"
          role="img"
          className="block"
          aria-label={say('Growth by month against the best month: {{mixture}} percent', {
            mixture: mixture.map((m, i) => `${monthNames()[i]} ${Math.round(100 * m)}`).join(', '),
          })}
        >
          {[0, 0.5, 1].map((t) => (
            <g key={t}>
              <path d={`M44 ${y(t)}H${width - 14}`} stroke="var(--rule)" />
              <text x={38} y={y(t) + 5} textAnchor="end" className="fill-ink-soft text-[14px]">
                {t * 100}
              </text>
            </g>
          ))}
          <path
            d={shape(
              mixture.map(() => 0),
              cool,
            )}
            fill="url(#hatch-cool-grass)"
            stroke={groupColour('cool-grass')}
          />
          {shares.warm > 0.005 ? (
            <path d={shape(cool, mixture)} fill="url(#hatch-warm-grass)" stroke={groupColour('warm-grass')} />
          ) : null}
          {gap.map((i) => (
            <path
              key={i}
              d={`M${x(i)} ${y(mixture[i]!) - 6}V${y(1)}`}
              className="stroke-harm"
              strokeWidth="2"
              strokeDasharray="3 4"
            />
          ))}
          {mixture.map((_, i) => (
            <text key={i} x={x(i)} y={HEIGHT - 12} textAnchor="middle" className="fill-ink-soft text-[14px]">
              {monthNames()[i]!.slice(0, 1)}
            </text>
          ))}
        </svg>
      </div>
      <p>
        {say('{{cool}} in 100 of the plants grow in the cool, {{warm}} in the warm. {{what}}', {
          cool: Math.round(100 * shares.cool),
          warm: Math.round(100 * shares.warm),
          what:
            months.length > 0
              ? say('Growth falls below three quarters of its best in {{months}}.{{what}}', {
                  months: together(months),
                  what:
                    fillers.length > 0
                      ? say(' Warm season plants at home here fill that: {{fillers}}.', {
                          fillers: fillers.map((p) => inSentence(p.commonName)).join(', '),
                        })
                      : '',
                })
              : say('No gap at midsummer shows.'),
        })}
      </p>
      <p className="text-ink-soft">
        {say(
          'Percent of the best month, from temperature alone (Yan and Hunt 1999): rain, nitrogen and grazing are not in it. Temperatures: simulated normals of the region, from no real place.',
        )}
      </p>
    </section>
  )
}
