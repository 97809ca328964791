import { Link } from 'react-router'
import type { Round } from '@/core/records/round.ts'
import type { Composition } from '@/core/survey/composition.ts'
import { taxonName, unknownTaxon } from '@/core/survey/taxon.ts'
import { RouteMap } from '../parts/RouteMap.tsx'
import { ShareChart } from '../parts/ShareChart.tsx'
import { useFlora } from '../stores/floraStore.ts'
import { letters } from './countKeys.ts'

interface Props {
  round: Round
  made: Composition | undefined
  more: number | undefined
  current: number
  onName: (letter: string) => void
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

/** What the round says so far, with the error in view. */
export function SoFar({ round, made, more, current, onName }: Props) {
  const byId = useFlora((s) => s.byId)
  const rows = (made?.taxa ?? []).slice(0, 9).map((t) => ({
    id: t.taxon,
    name: taxonName(t.taxon, byId).replace(/ \(.*\)/, ''),
    group: t.group,
    harmful: byId.get(t.taxon)?.role === 'toxic',
    share: t,
  }))
  return (
    <div>
      {made ? (
        <>
          <h2 className="text-[1.65rem]">So far, over {made.stops} stops</h2>
          <p className="mt-1 text-ink-soft">
            Share of {round.method === 'step-points' ? `${made.total} points` : 'all cover'}, with 95 % intervals that
            take the stop as the unit. {made.stops === 1 ? 'One stop tells nothing of the error yet.' : null}
          </p>
          <div className="mt-3">
            <ShareChart
              rows={rows}
              label={`Shares so far: ${rows.map((r) => `${r.name} ${Math.round(r.share.estimate * 100)} percent`).join(', ')}`}
            />
          </div>
          <p className="mt-2 font-semibold">
            {more === undefined
              ? null
              : more === 0
                ? 'Enough stops for ±5 % on the main species.'
                : `About ${more} more stops for ±5 % on the main species.`}
          </p>
          <p className="mt-3 flex flex-wrap gap-2">
            <Link
              to={`/rounds/${round.id}/weigh-up`}
              className="inline-flex min-h-12 items-center rounded-xl border-2 border-culm px-5 font-semibold text-culm"
            >
              Weigh it up
            </Link>
          </p>
        </>
      ) : (
        <>
          <h2 className="text-[1.65rem]">Nothing counted yet</h2>
          <p className="mt-1 text-ink-soft">
            {round.purpose}. Walk to stop 1, put the pin down, and press the key of the first plant it touches.
          </p>
        </>
      )}
      <Unknowns round={round} onName={onName} />
      {round.route ? (
        <RouteMap
          boundary={round.paddock.boundary}
          line={round.route.line}
          stops={round.stops}
          current={current}
          label={`Map of ${round.paddock.name}: a W of ${Math.round(round.route.lengthM)} m with ${round.stops.length} stops; now at stop ${current}`}
          className="mt-5 w-full max-w-[26rem]"
        />
      ) : null}
    </div>
  )
}
