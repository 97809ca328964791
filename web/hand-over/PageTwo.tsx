import { animalUnitMonths } from '@/core/feed/grazingDays.ts'
import { meetsNeeds } from '@/core/feed/meetsNeeds.ts'
import { standingCautions } from '@/core/harm/standingCautions.ts'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { Plant } from '@/core/naming/flora.ts'
import type { Outlook, Round, Stop } from '@/core/records/round.ts'
import { namedLetters } from '@/core/survey/figures.ts'
import { outlookReading } from '@/core/survey/outlookReading.ts'
import { swardSays } from '@/core/survey/swardSays.ts'
import { resolved } from '@/core/survey/tally.ts'
import { taxonName } from '@/core/survey/taxon.ts'
import type { WeighUp } from '@/core/survey/weighUp.ts'
import { drawnOnFirst, Matters } from './Matters.tsx'
import { RouteMap } from '../parts/RouteMap.tsx'
import { percent, percentRange } from '../parts/words.ts'
import { dayWords } from '../rounds/RoundList.tsx'
import { useFlora } from '../stores/floraStore.ts'
import { HayOrGraze, OutlookLines } from '../weigh-up/OutlookPanel.tsx'
import { aumWords } from '../weigh-up/HerdPanel.tsx'
import { useGrazing } from '../weigh-up/useGrazing.ts'
import { areaWords, massFigure, rateWords, unitOf } from '../parts/units.ts'

const days = (n: number) => (n < 10 ? n.toFixed(1) : String(Math.round(n)))

function Says({ round }: { round: Round }) {
  const { plants, byId } = useFlora()
  const list = swardSays(round, plants)
  return (
    <section className="mt-3 break-inside-avoid">
      <h3 className="text-lg">What the sward says</h3>
      {list.length === 0 ? (
        <p>No plant or group passes the marks at which the ground or its use is suspected.</p>
      ) : (
        <ul className="list-disc pl-5">
          {list.map((s) => (
            <li key={s.id}>
              <b>{s.title}</b> ({s.strength}):{' '}
              {s.of.map((t) => taxonName(t, byId)).join(', ') || 'none of the sown plants'} {percent(s.share.estimate)}
              {s.share.interval ? ` (${percentRange(s.share.interval)})` : ''}. Against it would speak: {s.against}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

const outlookTitle: Record<Outlook, string> = {
  grazing: 'Read for grazing',
  hay: 'Read for hay',
  turf: 'Read for turf',
  native: 'Read as a native planting',
}

function Read({ round }: { round: Round }) {
  const byId = useFlora((s) => s.byId)
  const reading = outlookReading(round, byId, round.paddock.outlook)
  if (!reading) return null
  return (
    <section className="mt-3">
      <h3 className="text-lg">{outlookTitle[round.paddock.outlook]}</h3>
      <OutlookLines reading={reading} />
      {round.paddock.outlook === 'hay' && !reading.lines.some((l) => l.title.startsWith('Harmful')) ? (
        <p>No plant that harms in hay was counted; what could still be there stands on the first page.</p>
      ) : null}
      {round.paddock.outlook === 'hay' ? <HayOrGraze round={round} /> : null}
    </section>
  )
}

/** How long the feed lasts: only where somebody said what is kept, or measured what stands. */
function Lasts({ round, weighed }: { round: Round; weighed: WeighUp }) {
  const { plan, said, animal, measured, hectares, grazing } = useGrazing(round, weighed.composition)
  if (round.paddock.outlook === 'turf' || (round.paddock.outlook === 'native' && !said && !measured)) return null
  if (!grazing || (!said && !measured))
    return (
      <section className="mt-3 break-inside-avoid">
        <h3 className="text-lg">How long, for how many</h3>
        <p>Not worked out: neither the stock nor the standing mass was given.</p>
      </section>
    )
  const needs = weighed.feed.leafy ? meetsNeeds(weighed.feed.leafy, animal) : []
  return (
    <section className="mt-3 break-inside-avoid">
      <h3 className="text-lg">How long, for how many</h3>
      <p>
        {plan.count} of "{animal.name}" on {areaWords(hectares!)}: about {days(grazing.days.middle)} days (
        {days(grazing.days.low)} to {days(grazing.days.high)}), leaving {rateWords(plan.residualKgPerHa)}. Standing:{' '}
        {massFigure(grazing.mass.middle)} {unitOf('perArea')} ({massFigure(grazing.mass.low)} to{' '}
        {massFigure(grazing.mass.high)}), {measured ? 'measured' : 'a guess'}. {aumWords(grazing.aum[0]!)} animal unit
        months at {animalUnitMonths.srm.says}.
      </p>
      {needs.map((m) => (
        <p key={m.what}>
          {m.what === 'energy' ? 'Energy' : 'Protein'}: needs {m.needPct} %, leafy sward {m.hasPct.middle.toFixed(0)} %
          ({m.hasPct.low.toFixed(0)} to {m.hasPct.high.toFixed(0)})
          {m.shortPct > 0 ? ', short in the middle of the range' : ''}.
        </p>
      ))}
    </section>
  )
}

function Plan({ plan }: { plan: PlanLine[] }) {
  const open = plan.filter((p) => p.doneOn === null)
  return (
    <section className="mt-3">
      <h3 className="text-lg">What to do</h3>
      {open.length === 0 ? <p>Nothing is planned yet.</p> : null}
      <table className="w-full text-left">
        {open.length > 0 ? (
          <thead>
            <tr className="border-b border-ink">
              <th scope="col">What</th>
              <th scope="col">Who</th>
              <th scope="col">By</th>
              <th scope="col">Look again</th>
            </tr>
          </thead>
        ) : null}
        <tbody>
          {open.map((p) => (
            <tr key={p.id} className="break-inside-avoid border-b border-rule align-top">
              <td className="w-1/2 py-1 pr-3">{p.text}.</td>
              <td className="py-1 pr-3">{p.owner || '…………'}</td>
              <td className="py-1 pr-3 print:whitespace-nowrap">{dayWords(p.dueOn)}</td>
              <td className="py-1 print:whitespace-nowrap">{p.backOn ? dayWords(p.backOn) : ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

/** Stops at which a harmful plant was counted, letters under their later name. */
function harmfulStops(round: Round, byId: Map<string, Plant>): ReadonlySet<number> {
  const named = namedLetters(round)
  const harms = (s: Stop) => s.hits.some((h) => byId.get(resolved(h.taxon, named))?.role === 'toxic')
  return new Set(round.stops.filter(harms).map((s) => s.seq))
}

/** The second page: what the ground says, how long the feed lasts, what to do and when, where it was counted. */
export function PageTwo({ round, weighed, plan }: { round: Round; weighed: WeighUp; plan: PlanLine[] }) {
  const byId = useFlora((s) => s.byId)
  const harmful = harmfulStops(round, byId)
  return (
    <div className="mt-5 border-t-2 border-ink pt-3 print:mt-0 print:break-before-page">
      {drawnOnFirst(round, weighed) ? null : <Matters weighed={weighed} />}
      <Read round={round} />
      <Says round={round} />
      <Lasts round={round} weighed={weighed} />
      <Plan plan={plan} />
      <div className="mt-4 flex break-inside-avoid items-start gap-5">
        {round.route ? (
          <figure className="w-40 shrink-0 print:w-44">
            <RouteMap
              boundary={round.paddock.boundary}
              line={round.route.line}
              stops={round.stops}
              label={`Map of ${round.paddock.name} with the stops`}
              className="w-full"
              harmfulAt={harmful}
            />
          </figure>
        ) : null}
        <ul className="list-disc pl-5 text-sm leading-snug">
          {harmful.size > 0 ? (
            <li>Ringed on the map: a harmful plant was found there ({[...harmful].join(', ')}).</li>
          ) : null}
          {standingCautions.map((c) => (
            <li key={c}>{c}</li>
          ))}
        </ul>
      </div>
    </div>
  )
}
