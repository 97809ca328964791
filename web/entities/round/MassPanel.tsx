import type { Method } from '@/core/records/method.ts'
import { massProblemWords } from '@/text/massWords.ts'
import { readingName } from '@/text/methodWords.ts'
import { extent } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import { area, line } from 'd3-shape'
import { countingMethods } from '@/core/methods/index.ts'
import type { MassResult, StandingMass } from '@/core/methods/estimators/standingMass.ts'
import { useWidth } from '../../ui/charts/useWidth.ts'
import { aHectare, inUnits, massFigure, rateWords, unitOf } from '../../parts/units.ts'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { fixed } from '../../language/numbers.ts'

const HEIGHT = 260
/** Clipped frames, the line through them, and the band that holds the line. */
function LineThroughClips({ mass, method }: { mass: StandingMass; method: Method }) {
  const { ref, width } = useWidth<HTMLDivElement>(480)
  const { line: fit, clipped } = mass
  if (!fit) return null
  const [low = 0, high = 1] = extent(clipped, (c) => c.reading)
  const pad = (high - low) * 0.1 || 1
  const xs = Array.from({ length: 41 }, (_, i) => low - pad + ((high - low + 2 * pad) * i) / 40)
  const band = xs.map((x) => ({ x, ...fit.at(x) }))
  const top = Math.max(...band.map((b) => b.prediction[1]), ...clipped.map((c) => c.kgPerHa))
  const x = scaleLinear([low - pad, high + pad], [58, width - 12])
  // The scale is in the unit that is read; what is drawn is kept in kilograms a hectare.
  const scale = scaleLinear([0, inUnits('perArea', top)], [HEIGHT - 40, 30]).nice(4)
  const y = (kgPerHa: number) => scale(inUnits('perArea', kgPerHa))
  type Point = (typeof band)[number]
  const path = (of: 'confidence' | 'prediction') =>
    area<Point>()
      .x((d) => x(d.x))
      .y0((d) => y(Math.max(0, d[of][0])))
      .y1((d) => y(Math.max(0, d[of][1])))(band)!
  const reading = countingMethods[method].reading!
  return (
    <div ref={ref} className="mt-3 w-full">
      <svg
        viewBox={`0 0 ${width} ${HEIGHT}`}
        width="100%"
        role="img"
        aria-label={say(
          '{{n}} clipped frames: mass is {{inUnits}} plus {{inUnits2}} {{unitOf}} for each {{unit}}, r squared {{rSquared}}',
          {
            n: clipped.length,
            inUnits: Math.round(inUnits('perArea', fit.intercept)),
            inUnits2: Math.round(inUnits('perArea', fit.slope)),
            unitOf: unitOf('perArea'),
            unit: reading.unit || 'step',
            rSquared: fixed(fit.rSquared, 2),
          },
        )}
        className="block"
      >
        {scale.ticks(4).map((t) => (
          <g key={t}>
            <path d={`M58 ${scale(t)}H${width - 12}`} stroke="var(--rule)" />
            <text x={52} y={scale(t) + 5} textAnchor="end" className="fill-ink-soft text-[14px]">
              {t}
            </text>
          </g>
        ))}
        {x.ticks(5).map((t) => (
          <text key={t} x={x(t)} y={HEIGHT - 22} textAnchor="middle" className="fill-ink-soft text-[14px]">
            {t}
          </text>
        ))}
        <path d={path('prediction')} className="fill-culm" opacity="0.1" />
        <path d={path('confidence')} className="fill-culm" opacity="0.22" />
        <path
          d={line<Point>()
            .x((d) => x(d.x))
            .y((d) => y(Math.max(0, d.fitted)))(band)!}
          className="fill-none stroke-culm"
          strokeWidth="2.4"
        />
        {clipped.map((c) => (
          <circle
            key={c.seq}
            cx={x(c.reading)}
            cy={y(c.kgPerHa)}
            r="5"
            className="fill-ink stroke-husk"
            strokeWidth="1.5"
          >
            <title>
              {readingName(method)} {c.reading} {reading.unit}: {rateWords(c.kgPerHa)}
            </title>
          </circle>
        ))}
        <text x={(58 + width - 12) / 2} y={HEIGHT - 4} textAnchor="middle" className="fill-ink text-[14px]">
          {readingName(method)}
          {reading.unit ? `, ${reading.unit}` : ''}
        </text>
        <text x="4" y="14" className="fill-ink text-[14px]">
          {unitOf('perArea')}
        </text>
      </svg>
      <p className="text-ink-soft">
        {say('Dark band: where the line lies; pale band: where a single frame would lie, both 95 %. r² {{rSquared}}.', {
          rSquared: fixed(fit.rSquared, 2),
        })}
      </p>
    </div>
  )
}

/** Standing mass, with its error, or what is still missing for it. */
export function MassPanel({ mass, method }: { mass: MassResult; method: Method }) {
  if ('problem' in mass)
    return (
      <p className="mt-3 rounded-xl border-2 border-straw px-4 py-2">
        {say('{{count}} readings so far. {{problem}}', {
          count: mass.readings,
          problem: massProblemWords(mass),
        })}
      </p>
    )
  return (
    <section className="mt-4" aria-labelledby="mass">
      <h2 id="mass" className="text-lg">
        {say('Standing mass')}
      </h2>
      <p className="mt-1 text-xl" data-testid="mass">
        <Say
          text="<b/> of {{it}} {{aHectare}}, {{massFigure}} to {{massFigure2}}"
          values={{
            it: mass.of === 'dry matter' ? say('dry matter') : say('fresh matter'),
            aHectare: aHectare(),
            massFigure: massFigure(Math.max(0, mass.interval[0])),
            massFigure2: massFigure(mass.interval[1]),
          }}
          components={{
            b: (
              <b>
                {massFigure(mass.kgPerHa)} {unitOf('weight')}
              </b>
            ),
          }}
        />
      </p>
      <p className="text-ink-soft">
        {say('95 % interval, from {{readings}} {{what}}{{what2}}.{{what3}}', {
          readings: mass.readings,
          what: mass.clipped.length > 0 ? say('readings, {{n}} of them clipped', { n: mass.clipped.length }) : 'frames',
          what2:
            mass.clipped.length > 0 ? say('; standard error {{massFigure}}', { massFigure: massFigure(mass.se) }) : '',
          what3:
            mass.of === 'fresh matter'
              ? say(' Nothing was dried, and no dry share is given: this is fresh weight.')
              : '',
        })}
      </p>
      <LineThroughClips mass={mass} method={method} />
    </section>
  )
}
