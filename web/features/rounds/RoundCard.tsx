import { codeWords } from '@/text/codeWords.ts'
import { methodWords } from '@/text/methodWords.ts'
import { inSentence } from '@/text/say.ts'
import { lazy, Suspense } from 'react'
import { Link } from 'react-router'
import type { RouteKind } from '@/core/records/measures.ts'
import type { Paddock, RoundSummary } from '@/core/records/round.ts'
import { areaHa } from '@/core/geo/route.ts'
import { PanelBoundary } from '../../ui/PanelBoundary.tsx'
import { RouteMap } from '../../parts/RouteMap.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { handOn } from './handOn.ts'
import { reads, useRead } from '../../data/reads.ts'
import { aboutWayWords, areaWords } from '../../parts/units.ts'
import { say } from '../../language/say.ts'
import { dayWords } from '../../language/dates.ts'

const routeWords: Record<RouteKind, string> = {
  get w() {
    return say(' in a W')
  },
  get zigzag() {
    return say(' in a zigzag')
  },
  get grid() {
    return say(' from point to point of a grid')
  },
  get random() {
    return say(' from place to place, drawn at random by part')
  },
  get rows() {
    return say(' along the rows')
  },
}

// What it says so far needs the book and more script than a list does.
const RoundFigures = lazy(() => import('./RoundFigures.tsx').then((m) => ({ default: m.RoundFigures })))

const small = 'inline-flex min-h-11 items-center underline'
const link = 'inline-flex min-h-12 items-center rounded-xl border-2 border-culm px-5 font-semibold text-culm'

/** One round before it is opened: what for, how, where it leads. */
export function RoundCard({ summary, paddock }: { summary: RoundSummary; paddock: Paddock | undefined }) {
  const byId = useFlora((s) => s.byId)
  const { data: round } = useRead(reads.round(summary.id))
  const started = summary.stopsDone > 0
  const finished = summary.stopsDone === summary.stops
  const sown = byId.size === 0 ? [] : (paddock?.sown ?? []).map((id) => inSentence(byId.get(id)?.commonName ?? id))
  return (
    <div>
      <h2 className="text-[1.65rem]">{summary.paddock}</h2>
      <p className="text-ink-soft">
        {summary.holding}
        {summary.client ? say(', for {{client}}', { client: summary.client }) : ''}
      </p>
      <p className="mt-3 text-lg">{summary.purpose}.</p>
      <dl className="mt-3 grid grid-cols-[max-content_1fr] gap-x-4 gap-y-1">
        <dt className="text-ink-soft">{say('Method')}</dt>
        <dd>
          {methodWords(summary.method).name}
          {summary.pointsPerStop > 1
            ? say(', {{stops}} {{units}} of {{pointsPerStop}} points', {
                stops: summary.stops,
                units: methodWords(summary.method).units,
                pointsPerStop: summary.pointsPerStop,
              })
            : `, ${summary.stops} ${methodWords(summary.method).units}`}
        </dd>
        {paddock?.boundary ? (
          <>
            <dt className="text-ink-soft">{say('Paddock')}</dt>
            <dd>
              {say('{{areaWords}}, read as {{outlook}}', {
                areaWords: areaWords(areaHa(paddock.boundary)),
                outlook: codeWords(paddock.outlook),
              })}
            </dd>
          </>
        ) : null}
        {round?.route ? (
          <>
            <dt className="text-ink-soft">{say('Walk')}</dt>
            <dd>
              {aboutWayWords(round.route.lengthM)}
              {routeWords[round.settings.routeKind ?? 'w']}
            </dd>
          </>
        ) : null}
        {sown.length > 0 ? (
          <>
            <dt className="text-ink-soft">{say('Sown')}</dt>
            <dd>{sown.join(', ')}</dd>
          </>
        ) : null}
        {summary.source ? (
          <>
            <dt className="text-ink-soft">{say('Source')}</dt>
            <dd>{summary.source}</dd>
          </>
        ) : (
          <>
            <dt className="text-ink-soft">{say('Planned')}</dt>
            <dd>{dayWords(summary.plannedOn)}</dd>
          </>
        )}
      </dl>
      <p className="mt-5 flex flex-wrap gap-2">
        <Link
          to={`/rounds/${summary.id}`}
          className={
            finished
              ? link
              : 'inline-flex min-h-12 items-center rounded-xl bg-culm px-6 text-lg font-semibold text-on-culm'
          }
        >
          {finished ? say('Look at the counts') : started ? say('Go on counting') : say('Open and count')}
        </Link>
        {started ? (
          <>
            <Link to={`/rounds/${summary.id}/weigh-up`} className={link}>
              {say('Weigh-up')}
            </Link>
            <Link to={`/rounds/${summary.id}/hand-over`} className={link}>
              {say('Hand-over')}
            </Link>
          </>
        ) : null}
      </p>
      {round ? (
        <p className="mt-2 flex flex-wrap gap-x-4">
          <Link to={`/rounds/${summary.id}/pocket`} className={small}>
            {say('Pocket sheet')}
          </Link>
          <Link to={`/rounds/${summary.id}/field-sheet`} className={small}>
            {say('Field sheet on paper')}
          </Link>
          {round.source ? null : (
            <>
              <button type="button" className={small} onClick={() => handOn(round)}>
                {say('Hand on as a file')}
              </button>
              <Link to={`/rounds/${summary.id}/beside`} className={small}>
                {say('Beside another round')}
              </Link>
            </>
          )}
        </p>
      ) : null}
      <div className="mt-5 min-h-60">
        {round && started ? (
          <PanelBoundary name={say('So far')}>
            <Suspense fallback={null}>
              <RoundFigures round={round} />
            </Suspense>
          </PanelBoundary>
        ) : round?.route ? (
          <RouteMap
            boundary={round.paddock.boundary}
            parts={round.paddock.strata}
            line={round.route.line}
            stops={round.stops}
            label={say('Map of {{paddock}} with {{stops}} {{units}}', {
              paddock: summary.paddock,
              stops: summary.stops,
              units: methodWords(summary.method).units,
            })}
            className="w-full max-w-[30rem]"
          />
        ) : null}
      </div>
    </div>
  )
}
