import { useWords } from '../../language/useWords.ts'
import { methodWords } from '@/text/methodWords.ts'
import { letterWords, taxonName } from '@/text/taxonNames.ts'
import { memo } from 'react'
import { Link } from 'react-router'
import type { Round } from '@/core/records/round.ts'
import type { Composition } from '@/core/survey/composition.ts'
import type { Figures } from '@/core/survey/figures.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { lookFor } from '@/core/survey/planStops.ts'
import { unknownTaxon } from '@/core/records/taxon.ts'
import { RouteMap } from '../../parts/RouteMap.tsx'
import { ShareChart } from '../../ui/charts/ShareChart.tsx'
import { percent, percentRange } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { letters } from './countKeys.ts'
import { FirstStop } from './FirstStop.tsx'
import { LookFor } from './LookFor.tsx'
import { EyePanel } from './live-figures/EyePanel.tsx'
import { FrequencyPanel } from '../../entities/round/FrequencyPanel.tsx'
import { MassPanel } from '../../entities/round/MassPanel.tsx'
import { Resampled } from './live-figures/Resampled.tsx'
import { SearchPanel } from '../../entities/round/SearchPanel.tsx'
import { say, together } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { Disagreements, Estimator } from './SoFarParts.tsx'

interface Props {
  round: Round
  figures: Figures
  more: number | undefined
  /** Half width that is wanted of a main share. */
  halfWidth: number
  current: number
  onName: (letter: string, how: 'drawings' | 'words') => void
  /** A stop was touched on the map. */
  onGo: (seq: number) => void
}

function Unknowns({ round, onName }: Pick<Props, 'round' | 'onName'>) {
  const byId = useFlora((s) => s.byId)
  const { used } = letters(round)
  if (used.length === 0) return null
  const hits = (letter: string) =>
    round.stops.reduce((n, s) => n + s.hits.filter((h) => h.taxon === unknownTaxon(letter)).length, 0)
  return (
    <section className="mt-5" aria-labelledby="unknowns">
      <h2 id="unknowns" className="text-lg">
        {say('Unknowns')}
      </h2>
      <ul>
        {used.map((letter) => {
          const named = round.unknowns.find((u) => u.letter === letter)?.namedAs
          return (
            <li key={letter} className="flex min-h-12 flex-wrap items-center gap-3 border-b border-rule/60 py-1">
              <span>
                <Say
                  text="<b>Unknown {{letter}}</b>: {{count}} hits{{what}}"
                  values={{
                    letter: letterWords(letter),
                    count: hits(letter),
                    what: named ? say(', counted as {{taxonName}}', { taxonName: taxonName(named, byId) }) : '',
                  }}
                  components={{ b: <b /> }}
                />
              </span>
              <span className="ml-auto flex flex-wrap gap-2">
                <button
                  type="button"
                  onClick={() => onName(letter, 'drawings')}
                  className="min-h-11 rounded-xl border-2 border-culm px-4 font-semibold text-culm"
                >
                  {named ? say('Name it again') : say('Name it on the bench')}
                </button>
                <button
                  type="button"
                  onClick={() => onName(letter, 'words')}
                  className="min-h-11 rounded-xl border border-rule px-4"
                >
                  {say('by words')}
                </button>
              </span>
            </li>
          )
        })}
      </ul>
    </section>
  )
}

function Shares({
  round,
  made,
  more,
  halfWidth,
}: {
  round: Round
  made: Composition
  more: number | undefined
  halfWidth: number
}) {
  const byId = useFlora((s) => s.byId)
  const rows = made.taxa.slice(0, 9).map((t) => ({
    id: t.taxon,
    name: taxonName(t.taxon, byId).replace(/ \(.*\)/, ''),
    group: t.group,
    harmful: byId.get(t.taxon)?.role === 'toxic',
    share: t,
  }))
  const words = methodWords(round.method)
  const info = countingMethods[round.method]
  const wanted = `±${Math.round(halfWidth * 100)} %`
  return (
    <>
      <p className="mt-1 text-ink-soft">
        {say('{{says}}{{what}}, with 95 % intervals that take the {{unit}} as the unit. {{what2}}', {
          says: words.says[0]!.toUpperCase() + words.says.slice(1),
          what: info.entry === 'points' ? say(', {{total}} points', { total: made.total }) : '',
          unit: words.unitName,
          what2:
            made.stops === 1 ? say('One {{unit}} tells nothing of the error yet.', { unit: words.unitName }) : null,
        })}
      </p>
      <div className="mt-3">
        <ShareChart
          rows={rows}
          label={say('Shares so far: {{rows}}', {
            rows: rows
              .map((r) =>
                say('{{name}} {{estimate}} percent', { name: r.name, estimate: Math.round(r.share.estimate * 100) }),
              )
              .join(', '),
          })}
        />
      </div>
      <p className="mt-2 font-semibold" data-testid="enough">
        {more === undefined
          ? null
          : more === 0
            ? say('Enough {{units}} for {{wanted}} on the main species.', { units: words.units, wanted })
            : say('About {{more}} more {{units}} for {{wanted}} on the main species.', {
                more,
                units: words.units,
                wanted,
              })}
      </p>
    </>
  )
}

/** What the round says so far, with the error in view. */
export const SoFar = memo(function SoFar({ round, figures, more, halfWidth, current, onName, onGo }: Props) {
  useWords()
  const { byId, plants } = useFlora()
  const { composition: made, cover, frequency, mass, search, uniformity } = figures
  const done = round.stops.filter((s) => s.doneAt !== null).length
  const counted = made?.stops ?? done
  const words = methodWords(round.method)
  const info = countingMethods[round.method]
  const something = made !== undefined || done > 0
  return (
    <div>
      {something ? (
        <>
          <h2 className="text-[1.65rem]">
            {say('So far, over {{stops}} {{units}}', {
              stops: counted,
              units: counted === 1 ? words.unitName : words.units,
            })}
          </h2>
          {made ? <Shares round={round} made={made} more={more} halfWidth={halfWidth} /> : null}
          {cover.length > 0 ? (
            <p className="mt-2">
              {say('Cover, any layer: {{cover}}.', {
                cover: cover
                  .slice(0, 5)
                  .map(
                    (c) =>
                      `${taxonName(c.taxon, byId)} ${percent(c.estimate)}${c.interval ? ` (${percentRange(c.interval)})` : ''}`,
                  )
                  .join('; '),
              })}
            </p>
          ) : null}
          {uniformity ? (
            <p className="mt-2" data-testid="uniformity">
              <Say
                text="Uniformity: the share of {{it}} varies by <b/> of its mean from grid to grid (coefficient of variation; 0 is the same everywhere)."
                values={{ it: together(uniformity.of.map((t) => taxonName(t, byId))) }}
                components={{ b: <b>{percent(uniformity.cv)}</b> }}
              />
            </p>
          ) : null}
          <FrequencyPanel frequency={frequency} unit={words.unitName} />
          {search.length > 0 ? <SearchPanel search={search} /> : null}
          <Disagreements figures={figures} />
          {mass ? <MassPanel mass={mass} method={round.method} /> : null}
          {made && info.byEye && round.source === '' ? <EyePanel round={round} made={made} /> : null}
          <Estimator round={round} made={made} />
          {made && made.stops > 2 ? <Resampled round={round} made={made} /> : null}
          {made ? (
            <p className="mt-3 flex flex-wrap gap-2">
              <Link
                to={`/rounds/${round.id}/weigh-up`}
                className="inline-flex min-h-12 items-center rounded-xl border-2 border-culm px-5 font-semibold text-culm"
              >
                {say('Weigh it up')}
              </Link>
            </p>
          ) : null}
        </>
      ) : (
        <>
          <FirstStop round={round} />
          {mass ? <MassPanel mass={mass} method={round.method} /> : null}
        </>
      )}
      <Unknowns round={round} onName={onName} />
      {round.route ? (
        <RouteMap
          boundary={round.paddock.boundary}
          parts={round.paddock.strata}
          line={round.route.line}
          stops={round.stops}
          current={current}
          label={say('Map of {{name}}: a walk of {{lengthM}} m with {{n}} {{units}}; now at {{unit}} {{current}}', {
            name: round.paddock.name,
            lengthM: Math.round(round.route.lengthM),
            n: round.stops.length,
            units: words.units,
            unit: words.unitName,
            current,
          })}
          className="mt-5 w-full max-w-[26rem]"
          onPick={onGo}
        />
      ) : null}
      {something ? null : <LookFor harmful={lookFor(plants, round.paddock.region)} />}
    </div>
  )
})
