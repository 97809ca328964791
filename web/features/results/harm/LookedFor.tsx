import { inSentence } from '@/text/say.ts'
import { animalClassName } from '@/text/animalWords.ts'
import { Link } from 'react-router'
import { LEAST_SEEN } from '@/core/assess/harm/harmFindings.ts'
import { monthsOfGrowth } from '@/core/flora/seasons.ts'
import type { Plant } from '@/core/flora/flora.ts'
import { looksToBound } from '@/core/stats/proportionIntervals.ts'
import { ZoomMap } from '../../../parts/ZoomMap.tsx'
import { monthRuns } from '../../../parts/words.ts'
import { MonthStrip } from '../../../ui/charts/MonthStrip.tsx'
import { harmfulStops } from '../../../entities/round/harmfulStops.ts'
import { useGrazing } from '../../../entities/round/useGrazing.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { say } from '../../../language/say.ts'
import { Say } from '../../../language/Say.tsx'
import type { ChapterProps } from '../chapter.ts'
import { SearchedHere } from './SearchedHere.tsx'

/** So many plants stand in the strip of the year. */
const SHOWN = 10

const namesOf = (ids: readonly string[], byId: Map<string, Plant>) =>
  ids.map((id) => inSentence(byId.get(id)?.commonName ?? id)).join(', ')

/** Fence, hedge and ditch: walked or not, and what could stand there. */
function Edge({ harm }: Pick<ChapterProps['weighed'], 'harm'>) {
  const byId = useFlora((s) => s.byId)
  if (harm.alongEdge.length === 0) return null
  const names = namesOf(harm.alongEdge, byId)
  return (
    <p className="mt-2">
      {harm.edgeStops > 0 ? (
        <Say
          text="<b>Walked along the fence</b> at {{n}} stops, and not met there: {{names}}. Trees above and ground outside were not looked at."
          values={{ n: harm.edgeStops, names }}
          components={{ b: <b /> }}
        />
      ) : (
        <Say
          text="<b>Not walked</b>: fence, hedge, ditch and under trees. There could stand: {{names}}."
          values={{ names }}
          components={{ b: <b /> }}
        />
      )}
    </p>
  )
}

/** When each could be seen, so that what was not there to be seen is not taken for what was not there. */
function WhenSeen({ round, weighed: { harm } }: ChapterProps) {
  const byId = useFlora((s) => s.byId)
  const found = harm.found.map((f) => f.plant)
  const plants = [...found, ...harm.notFound].slice(0, SHOWN).flatMap((id) => byId.get(id) ?? [])
  if (plants.length === 0) return null
  const rows = plants.map((p) => ({
    id: p.id,
    name: p.commonName.replace(/ \(.*\)/, ''),
    months: monthsOfGrowth(p, round.paddock.region).map((m) => m - 1),
    harmful: found.includes(p.id),
  }))
  return (
    <section aria-labelledby="when-seen" className="mt-4">
      <h2 id="when-seen" className="text-xl">
        {say('When each could be seen in leaf')}
      </h2>
      <MonthStrip
        rows={rows}
        day={round.plannedOn}
        label={say('Months in leaf: {{rows}}. The line is the day of the round.', {
          rows: rows.map((r) => `${r.name} ${monthRuns(r.months)}`).join('; '),
        })}
      />
      <p className="text-sm text-ink-soft">
        {say('The line is the day of the round: what was not in leaf then was not shown to be missing.')}
      </p>
    </section>
  )
}

/** What the verdicts of the chapter stand on: the stock, where harm was met, what was looked over and what was not. */
export function LookedFor(props: ChapterProps) {
  const { round, weighed } = props
  const byId = useFlora((s) => s.byId)
  const { harm, composition: made } = weighed
  const { plan, said } = useGrazing(round, made)
  const harmfulAt = harmfulStops(round, byId)
  return (
    <>
      <p>
        {said
          ? say('Kept here: {{n}} {{animal}}.', { n: plan.count, animal: inSentence(animalClassName(plan.animal)) })
          : say('Nobody has said what is kept here: every kind of stock is judged.')}{' '}
        <Link to={`/rounds/${round.id}/weigh-up/stock`} className="text-culm underline">
          {said ? say('Change it') : say('Say it')}
        </Link>
      </p>
      <div className="mt-2 grid gap-x-8 @3xl:grid-cols-2">
        {round.paddock.boundary ? (
          <ZoomMap
            boundary={round.paddock.boundary}
            parts={round.paddock.strata}
            line={round.route?.line ?? []}
            stops={round.stops}
            harmfulAt={harmfulAt}
            label={say('Map: something harmful was met at {{n}} of {{stops}} stops', {
              n: harmfulAt.size,
              stops: made.stops,
            })}
            className="max-h-[21rem] w-full"
          />
        ) : null}
        <div>
          <p className="mt-2">
            {harmfulAt.size > 0
              ? say('Ringed: stops at which something harmful was met. It can stand between them too.')
              : say('Nothing harmful was met at a stop. What stands between the stops was not counted.')}
          </p>
          <Edge harm={harm} />
          <p className="mt-2">
            {say(
              '{{looksToBound}} stops looked round with nothing seen would leave up to 5 % of places, {{looksToBound2}} stops up to 2 %.',
              { looksToBound: looksToBound(0.05 * LEAST_SEEN), looksToBound2: looksToBound(0.02 * LEAST_SEEN) },
            )}
          </p>
          <SearchedHere paddockId={round.paddockId} />
        </div>
      </div>
      <WhenSeen {...props} />
    </>
  )
}
