import { inSentence } from '@/core/naming/verdict.ts'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import type { RouteKind } from '@/core/records/measures.ts'
import type { Paddock, Round, RoundSummary } from '@/core/records/round.ts'
import { methodInfo } from '@/core/survey/methods.ts'
import { areaHa } from '@/core/survey/route.ts'
import { RouteMap } from '../parts/RouteMap.tsx'
import { useFlora } from '../stores/floraStore.ts'
import { handOn } from './handOn.ts'
import { readRound } from './readRound.ts'
import { dayWords } from './RoundList.tsx'
import { aboutWayWords, areaWords } from '../parts/units.ts'

const routeWords: Record<RouteKind, string> = {
  w: ' in a W',
  zigzag: ' in a zigzag',
  grid: ' from point to point of a grid',
  random: ' from place to place, drawn at random by part',
  rows: ' along the rows',
}

const small = 'inline-flex min-h-11 items-center underline'
const link = 'inline-flex min-h-12 items-center rounded-xl border-2 border-culm px-5 font-semibold text-culm'

/** One round before it is opened: what for, how, where it leads. */
export function RoundCard({ summary, paddock }: { summary: RoundSummary; paddock: Paddock | undefined }) {
  const byId = useFlora((s) => s.byId)
  const [round, setRound] = useState<Round>()
  useEffect(() => {
    let current = true
    void readRound(summary.id).then(
      (r) => current && setRound(r),
      () => undefined,
    )
    return () => void (current = false)
  }, [summary.id])
  const started = summary.stopsDone > 0
  const finished = summary.stopsDone === summary.stops
  const sown = (paddock?.sown ?? []).map((id) => inSentence(byId.get(id)?.commonName ?? id))
  return (
    <div>
      <h2 className="text-[1.65rem]">{summary.paddock}</h2>
      <p className="text-ink-soft">
        {summary.holding}
        {summary.client ? `, for ${summary.client}` : ''}
      </p>
      <p className="mt-3 text-lg">{summary.purpose}.</p>
      <dl className="mt-3 grid grid-cols-[max-content_1fr] gap-x-4 gap-y-1">
        <dt className="text-ink-soft">Method</dt>
        <dd>
          {methodInfo[summary.method].name}
          {methodInfo[summary.method].entry === 'points'
            ? `, ${summary.stops} ${methodInfo[summary.method].unit}s of ${summary.pointsPerStop} points`
            : `, ${summary.stops} ${methodInfo[summary.method].unit}s`}
        </dd>
        {paddock?.boundary ? (
          <>
            <dt className="text-ink-soft">Paddock</dt>
            <dd>
              {areaWords(areaHa(paddock.boundary))}, read as {paddock.outlook}
            </dd>
          </>
        ) : null}
        {round?.route ? (
          <>
            <dt className="text-ink-soft">Walk</dt>
            <dd>
              {aboutWayWords(round.route.lengthM)}
              {routeWords[round.settings.routeKind ?? 'w']}
            </dd>
          </>
        ) : null}
        {sown.length > 0 ? (
          <>
            <dt className="text-ink-soft">Sown</dt>
            <dd>{sown.join(', ')}</dd>
          </>
        ) : null}
        {summary.source ? (
          <>
            <dt className="text-ink-soft">Source</dt>
            <dd>{summary.source}</dd>
          </>
        ) : (
          <>
            <dt className="text-ink-soft">Planned</dt>
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
          {finished ? 'Look at the counts' : started ? 'Go on counting' : 'Open and count'}
        </Link>
        {started ? (
          <>
            <Link to={`/rounds/${summary.id}/weigh-up`} className={link}>
              Weigh-up
            </Link>
            <Link to={`/rounds/${summary.id}/hand-over`} className={link}>
              Hand-over
            </Link>
          </>
        ) : null}
      </p>
      {round ? (
        <p className="mt-2 flex flex-wrap gap-x-4">
          <Link to={`/rounds/${summary.id}/pocket`} className={small}>
            Pocket sheet
          </Link>
          <Link to={`/rounds/${summary.id}/field-sheet`} className={small}>
            Field sheet on paper
          </Link>
          {round.source ? null : (
            <>
              <button type="button" className={small} onClick={() => handOn(round)}>
                Hand on as a file
              </button>
              <Link to={`/rounds/${summary.id}/beside`} className={small}>
                Beside another round
              </Link>
            </>
          )}
        </p>
      ) : null}
      <div className="mt-5 min-h-60">
        {round?.route ? (
          <RouteMap
            boundary={round.paddock.boundary}
            parts={round.paddock.strata}
            line={round.route.line}
            stops={round.stops}
            label={`Map of ${summary.paddock} with ${summary.stops} ${methodInfo[summary.method].unit}s`}
            className="w-full max-w-[30rem]"
          />
        ) : null}
      </div>
    </div>
  )
}
