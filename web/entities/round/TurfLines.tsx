import { type TurfPart, lbPer1000Ft2, lbPer1000Ft2FromKgPerHa, WATER_SHARE } from '@/core/assess/turf/turf.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { partWorkWords, turfJobWords, turfSeedWords, turfUseWords } from '@/text/turfWords.ts'
import type { Round } from '@/core/records/round.ts'
import { RouteMap } from '../../parts/RouteMap.tsx'
import { percent, percentRange, monthRuns } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { useUnits } from '../../parts/units.ts'
import { atMost, fixed } from '../../language/numbers.ts'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import type { useTurf } from './useTurf.ts'

const MM_PER_INCH = 25.4
/** Heights and rates in the units that are chosen. */
function useRates() {
  const us = useUnits((s) => s.units) === 'us'
  return {
    height: (mm: number) =>
      us ? say('{{n}} in', { n: atMost(mm / MM_PER_INCH, 1) }) : say('{{n}} mm', { n: Math.round(mm) }),
    seed: (g: number) => (us ? say('{{n}} lb per 1,000 sq ft', { n: atMost(lbPer1000Ft2(g), 1) }) : say('{{n}} g a square metre', { n: atMost(g, 0) })), // prettier-ignore
    nitrogen: (kg: number) => (us ? say('{{n}} lb per 1,000 sq ft', { n: fixed(lbPer1000Ft2FromKgPerHa(kg), 1) }) : say('{{n}} kg/ha', { n: Math.round(kg) })), // prettier-ignore
  }
}

/** So many kinds of seed are named. */
const SEEDS = 3

/** How a turf is kept, as sentences, for the screen and the page alike. */
export function TurfLines({ turf, brief = false }: { turf: ReturnType<typeof useTurf>; brief?: boolean }) {
  const byId = useFlora((s) => s.byId)
  const rates = useRates()
  const name = (id: string) => taxonName(id, byId).replace(/ \(.*\)/, '')
  const { mowing, feeding, whole, parts, seed, work, calendar } = turf
  return (
    <ul>
      {mowing ? (
        <li className="border-b border-rule/60 py-1 print:py-0.5">
          {'clash' in mowing ? (
            say('No one height suits {{names}}: the mower favours one of them.', {
              names: mowing.clash.map(name).join(', '),
            })
          ) : (
            <Say
              text="<b>Mow</b> at {{low}} to {{high}}, as {{use}}, for {{names}}; cut when it has grown to {{cut}} or {{cut2}}, so that no more than a third of the leaf goes."
              values={{
                low: rates.height(mowing.keepMm[0]),
                high: rates.height(mowing.keepMm[1]),
                use: turfUseWords(turf.use),
                names: mowing.of.map(name).join(', '),
                cut: rates.height(mowing.cutAtMm[0]),
                cut2: rates.height(mowing.cutAtMm[1]),
              }}
              components={{ b: <b /> }}
            />
          )}
        </li>
      ) : null}
      {(brief ? [[whole, ...parts]] : [whole, ...parts].map((p) => [p])).map((line) => (
        <li key={line[0]!.part} className="border-b border-rule/60 py-1 print:py-0.5">
          {line.map((p) => (
            <span key={p.part}>
              <b>{p === whole ? say('The whole ground') : p.part || say('The rest')}:</b>{' '}
              {say('bare {{bare}}{{range}}, wanted plants {{wanted}}: {{work}}{{sure}}.', {
                bare: percent(p.bare.estimate),
                range: p.bare.interval ? ` (${percentRange(p.bare.interval)})` : '',
                wanted: percent(p.wanted.estimate),
                work: partWorkWords(p.work),
                sure: p.sure ? '' : say(', or one step either way: the stops do not settle it'),
              })}{' '}
            </span>
          ))}
        </li>
      ))}
      {work !== 'keep' && seed.length > 0 ? (
        <li className="border-b border-rule/60 py-1 print:py-0.5">
          <b>{work === 'sow-anew' ? say('Seed, sown anew:') : say('Seed, into the standing turf:')}</b>{' '}
          {seed
            .slice(0, SEEDS)
            .map((s) =>
              say('{{name}} ({{reason}}) {{low}} to {{high}}', {
                name: name(s.plant.id),
                reason: turfSeedWords(s.reason),
                low: atMost(s.gPerM2[0], 0),
                high: rates.seed(s.gPerM2[1]),
              }),
            )
            .join('; ')}
          .
        </li>
      ) : null}
      {feeding ? (
        <li className="border-b border-rule/60 py-1 print:py-0.5">
          <Say
            text="<b>Nitrogen</b> of a year {{low}} to {{high}}: {{spring}} % in spring, {{summer}} % in summer, {{autumn}} % in autumn. <b>Water</b> at {{water}} of what a wet sward would evaporate, about {{mm}} a week at midsummer, rain counted."
            values={{
              low: rates.nitrogen(feeding.yearKgPerHa[0]),
              high: rates.nitrogen(feeding.yearKgPerHa[1]),
              spring: Math.round(100 * feeding.split.spring),
              summer: Math.round(100 * feeding.split.summer),
              autumn: Math.round(100 * feeding.split.autumn),
              water: percent(WATER_SHARE[feeding.season]),
              mm: rates.height(turf.waterMm),
            }}
            components={{ b: <b /> }}
          />
        </li>
      ) : null}
      {calendar.map(({ job, months: when }) =>
        when.length > 0 && !(brief && job === 'rest') ? (
          <li key={job} className="border-b border-rule/60 py-1 print:py-0.5">
            <b>{monthRuns(when)}:</b> {turfJobWords(job)}.
          </li>
        ) : null,
      )}
      <li className="py-1 text-ink-soft">
        {say('Heights, rates, nitrogen and water: Beard, Turgeon, from memory. {{what}}', {
          what: turf.simulated
            ? say('Months by simulated normals of the region, from no real place.')
            : say('Months by the means of this place.'),
        })}
      </li>
    </ul>
  )
}

/** Share of bare ground by the name of a part. */
export const wearOf = (parts: readonly TurfPart[]): ReadonlyMap<string, number> =>
  new Map(parts.map((p) => [p.part, p.bare.estimate]))

/** The ground from above, each part as dark as it is bare. */
export function WearMap({
  round,
  turf,
  className,
}: {
  round: Round
  turf: ReturnType<typeof useTurf>
  className?: string
}) {
  if (turf.parts.length === 0) return null
  return (
    <figure className={className}>
      <RouteMap
        boundary={round.paddock.boundary}
        parts={round.paddock.strata}
        line={round.route?.line ?? []}
        stops={round.stops}
        wear={wearOf(turf.parts)}
        label={say('Bare ground by part: {{parts}}', {
          parts: turf.parts.map((p) => `${p.part || say('the rest')} ${percent(p.bare.estimate)}`).join(', '),
        })}
        className="w-full"
      />
      <figcaption className="text-sm text-ink-soft">{say('The darker, the barer.')}</figcaption>
    </figure>
  )
}
