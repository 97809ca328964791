import { memo } from 'react'
import { Link } from 'react-router'
import type { Round } from '@/core/records/round.ts'
import type { Composition } from '@/core/survey/composition.ts'
import type { Figures } from '@/core/survey/figures.ts'
import { methodInfo } from '@/core/survey/methods.ts'
import { taxonName, unknownTaxon } from '@/core/survey/taxon.ts'
import { RouteMap } from '../parts/RouteMap.tsx'
import { ShareChart } from '../parts/ShareChart.tsx'
import { percent, percentRange } from '../parts/words.ts'
import { useFlora } from '../stores/floraStore.ts'
import { letters } from './countKeys.ts'
import { EyePanel } from './so-far/EyePanel.tsx'
import { FrequencyPanel } from './so-far/FrequencyPanel.tsx'
import { MassPanel } from './so-far/MassPanel.tsx'
import { Resampled } from './so-far/Resampled.tsx'
import { SearchPanel } from './so-far/SearchPanel.tsx'
import { Terms } from '../parts/Terms.tsx'

interface Props {
  round: Round
  figures: Figures
  more: number | undefined
  /** Half width that is wanted of a main share. */
  halfWidth: number
  current: number
  onName: (letter: string) => void
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
        Unknowns
      </h2>
      <ul>
        {used.map((letter) => {
          const named = round.unknowns.find((u) => u.letter === letter)?.namedAs
          return (
            <li key={letter} className="flex min-h-12 flex-wrap items-center gap-3 border-b border-rule/60 py-1">
              <span>
                <b>Unknown {letter}</b>: {hits(letter)} hits
                {named ? `, counted as ${taxonName(named, byId)}` : ''}
              </span>
              <button
                type="button"
                onClick={() => onName(letter)}
                className="ml-auto min-h-11 rounded-xl border-2 border-culm px-4 font-semibold text-culm"
              >
                {named ? 'Name it again' : 'Name it on the bench'}
              </button>
            </li>
          )
        })}
      </ul>
    </section>
  )
}

/** Where parts of the paddock differ more than chance would have it: then one figure for the whole hides something. */
function Disagreements({ figures }: { figures: Figures }) {
  const byId = useFlora((s) => s.byId)
  if (figures.disagreements.length === 0) return null
  return (
    <div role="note" className="mt-3 rounded-xl border-2 border-straw px-4 py-2">
      <p className="font-semibold">Parts of the paddock disagree.</p>
      <ul>
        {figures.disagreements.map((d) => (
          <li key={d.taxon}>
            {taxonName(d.taxon, byId)}: {percent(d.high.estimate)} in {d.high.name || 'the rest'},{' '}
            {percent(d.low.estimate)} in {d.low.name || 'the rest'}
          </li>
        ))}
      </ul>
      <p className="text-ink-soft">Read each part on its own; more stops in one do not mend the other.</p>
    </div>
  )
}

function Estimator({ round, made }: { round: Round; made: Composition | undefined }) {
  const stratified = made?.taxa.some((t) => t.method === 'stratified')
  const effect = made?.taxa.find((t) => t.designEffect !== undefined)?.designEffect
  return (
    <details className="mt-3">
      <summary className="min-h-11 content-center text-ink-soft">How this is worked out</summary>
      <p>
        <Terms>{methodInfo[round.method].estimator}</Terms>
      </p>
      {stratified ? (
        <p className="mt-1">
          The parts of the paddock count by their area, whatever the number of stops in each (combined ratio estimate).
        </p>
      ) : null}
      {effect !== undefined ? (
        <p className="mt-1">
          Stops differ: the variance of the first share is {effect.toFixed(1)} times that of as many points spread at
          random (design effect).
        </p>
      ) : null}
    </details>
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
  const info = methodInfo[round.method]
  const wanted = `±${Math.round(halfWidth * 100)} %`
  return (
    <>
      <p className="mt-1 text-ink-soft">
        {info.says[0]!.toUpperCase() + info.says.slice(1)}
        {info.entry === 'points' ? `, ${made.total} points` : ''}, with 95 % intervals that take the {info.unit} as the
        unit. {made.stops === 1 ? `One ${info.unit} tells nothing of the error yet.` : null}
      </p>
      <div className="mt-3">
        <ShareChart
          rows={rows}
          label={`Shares so far: ${rows.map((r) => `${r.name} ${Math.round(r.share.estimate * 100)} percent`).join(', ')}`}
        />
      </div>
      <p className="mt-2 font-semibold" data-testid="enough">
        {more === undefined
          ? null
          : more === 0
            ? `Enough ${info.unit}s for ${wanted} on the main species.`
            : `About ${more} more ${info.unit}s for ${wanted} on the main species.`}
      </p>
    </>
  )
}

/** What the round says so far, with the error in view. */
export const SoFar = memo(function SoFar({ round, figures, more, halfWidth, current, onName, onGo }: Props) {
  const byId = useFlora((s) => s.byId)
  const { composition: made, cover, frequency, mass, search, uniformity } = figures
  const done = round.stops.filter((s) => s.doneAt !== null).length
  const info = methodInfo[round.method]
  const something = made !== undefined || done > 0
  return (
    <div>
      {something ? (
        <>
          <h2 className="text-[1.65rem]">
            So far, over {made?.stops ?? done} {info.unit}s
          </h2>
          {made ? <Shares round={round} made={made} more={more} halfWidth={halfWidth} /> : null}
          {cover.length > 0 ? (
            <p className="mt-2">
              Cover, any layer:{' '}
              {cover
                .slice(0, 5)
                .map(
                  (c) =>
                    `${taxonName(c.taxon, byId)} ${percent(c.estimate)}${c.interval ? ` (${percentRange(c.interval)})` : ''}`,
                )
                .join('; ')}
              .
            </p>
          ) : null}
          {uniformity ? (
            <p className="mt-2" data-testid="uniformity">
              Uniformity: the share of {uniformity.of.map((t) => taxonName(t, byId)).join(' and ')} varies by{' '}
              <b>{percent(uniformity.cv)}</b> of its mean from grid to grid (coefficient of variation; 0 is the same
              everywhere).
            </p>
          ) : null}
          <FrequencyPanel frequency={frequency} unit={info.unit} />
          {search.length > 0 ? <SearchPanel search={search} /> : null}
          <Disagreements figures={figures} />
          {mass ? <MassPanel mass={mass} method={round.method} /> : null}
          {made && round.method === 'cover-classes' && round.source === '' ? (
            <EyePanel round={round} made={made} />
          ) : null}
          <Estimator round={round} made={made} />
          {made && made.stops > 2 ? <Resampled round={round} made={made} /> : null}
          {made ? (
            <p className="mt-3 flex flex-wrap gap-2">
              <Link
                to={`/rounds/${round.id}/weigh-up`}
                className="inline-flex min-h-12 items-center rounded-xl border-2 border-culm px-5 font-semibold text-culm"
              >
                Weigh it up
              </Link>
            </p>
          ) : null}
        </>
      ) : (
        <>
          <h2 className="text-[1.65rem]">Nothing counted yet</h2>
          <p className="mt-1 text-ink-soft">
            {round.purpose ? `${round.purpose}. ` : ''}Walk to {info.unit} 1
            {info.entry === 'points' ? ', put the pin down, and press the key of the first plant it touches.' : '.'}
          </p>
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
          label={`Map of ${round.paddock.name}: a walk of ${Math.round(round.route.lengthM)} m with ${round.stops.length} ${info.unit}s; now at ${info.unit} ${current}`}
          className="mt-5 w-full max-w-[26rem]"
          onPick={onGo}
        />
      ) : null}
    </div>
  )
})
