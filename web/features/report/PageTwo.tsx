import type { ReactNode } from 'react'
import { codeWords } from '@/text/codeWords.ts'
import { saidWords } from '@/text/swardWords.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { standingCautions } from '@/text/standingCautions.ts'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { Outlook, Round } from '@/core/records/round.ts'
import { outlookReading } from '@/core/assess/indicators/outlookReading.ts'
import { siteIndicators } from '@/core/assess/indicators/siteIndicators.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { drawnOnFirst, Matters } from './Matters.tsx'
import { RouteMap } from '../../parts/RouteMap.tsx'
import { numberRuns, percent, percentRange } from '../../parts/words.ts'
import { harmfulStops } from '../../entities/round/harmfulStops.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { HayOrGraze, OutlookLines } from '../../entities/round/OutlookPanel.tsx'
import { useOutlookFor, useTurf } from '../../entities/round/useTurf.ts'
import { Baling } from '../../entities/round/Baling.tsx'
import type { TurfPart } from '@/core/assess/turf/turf.ts'
import { TurfLines, wearOf } from '../../entities/round/TurfLines.tsx'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { dayWords } from '../../language/dates.ts'
import { Lasts } from './Lasts.tsx'

function Says({ round }: { round: Round }) {
  const { plants, byId } = useFlora()
  const list = siteIndicators(round, plants)
  return (
    <section className="mt-3 print:mt-2 break-inside-avoid">
      <h3 className="text-lg">{say('What the sward says')}</h3>
      {list.length === 0 ? (
        <p>{say('No plant or group passes the marks at which the ground or its use is suspected.')}</p>
      ) : (
        <ul className="list-disc pl-5">
          {list.map((s) => (
            <li key={s.id}>
              <Say
                text="<b/> ({{strength}}): {{it}} {{estimate}}{{what}}. Against it would speak: {{against}}"
                values={{
                  strength: codeWords(s.strength),
                  it: s.of.map((t) => taxonName(t, byId)).join(', ') || say('none of the sown plants'),
                  estimate: percent(s.share.estimate),
                  what: s.share.interval ? ` (${percentRange(s.share.interval)})` : '',
                  against: saidWords(s.id).against,
                }}
                components={{ b: <b>{saidWords(s.id).title}</b> }}
              />
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

const outlookTitle: Record<Outlook, string> = {
  get grazing() {
    return say('Read for grazing')
  },
  get hay() {
    return say('Read for hay')
  },
  get turf() {
    return say('Read for turf')
  },
  get native() {
    return say('Read as a native planting')
  },
}

function Read({ round }: { round: Round }) {
  const byId = useFlora((s) => s.byId)
  const reading = outlookReading(round, byId, round.paddock.outlook, useOutlookFor(round))
  if (!reading) return null
  return (
    <section className="mt-3 print:mt-2">
      <h3 className="text-lg">{outlookTitle[round.paddock.outlook]}</h3>
      <OutlookLines reading={reading} />
      {round.paddock.outlook === 'hay' ? <HayOrGraze round={round} /> : null}
    </section>
  )
}

/** How a turf is kept for its use. */
function Kept({ round }: { round: Round }) {
  const turf = useTurf(round)
  return (
    <section className="mt-3 print:mt-2">
      <h3 className="text-lg">{say('How it is kept')}</h3>
      <TurfLines turf={turf} brief />
    </section>
  )
}

/** On a phone what is to be done has the whole width, and the rest stands beneath it. */
const beneath = 'py-1 pr-3 max-sm:block max-sm:py-0'
const Head = ({ text }: { text: string }) => <span className="text-ink-soft sm:hidden">{text}: </span>

function Plan({ plan }: { plan: PlanLine[] }) {
  const open = plan.filter((p) => p.doneOn === null)
  return (
    <section className="mt-3 print:mt-2">
      <h3 className="text-lg">{say('What to do')}</h3>
      {open.length === 0 ? <p>{say('Nothing is planned yet.')}</p> : null}
      <table className="w-full text-left">
        {open.length > 0 ? (
          <thead className="max-sm:hidden">
            <tr className="border-b border-ink">
              <th scope="col">{say('What')}</th>
              <th scope="col">{say('Who')}</th>
              <th scope="col">{say('By')}</th>
              <th scope="col">{say('Look again')}</th>
            </tr>
          </thead>
        ) : null}
        <tbody>
          {open.map((p) => (
            <tr key={p.id} className="break-inside-avoid border-b border-rule align-top max-sm:block max-sm:py-1.5">
              <td className="w-1/2 py-1 pr-3 max-sm:block max-sm:w-auto max-sm:py-0">{p.text}.</td>
              <td className={beneath}>
                <Head text={say('Who')} />
                {p.owner || '…………'}
              </td>
              <td className={`${beneath} print:whitespace-nowrap`}>
                <Head text={say('By')} />
                {dayWords(p.dueOn)}
              </td>
              <td className={`${beneath} print:whitespace-nowrap`}>
                {p.backOn ? <Head text={say('Look again')} /> : null}
                {p.backOn ? dayWords(p.backOn) : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

interface WhereProps {
  round: Round
  /** The map has the room of what is not said. */
  roomy?: boolean
  /** Parts of a turf, drawn by what is worn in them. */
  parts?: readonly TurfPart[]
}

const NO_PARTS: readonly TurfPart[] = []

/** Where it was counted, and what no count excludes. */
function WhereCounted({ round, roomy = false, parts = NO_PARTS }: WhereProps) {
  const byId = useFlora((s) => s.byId)
  const harmful = harmfulStops(round, byId)
  const worn = parts.length > 0
  return (
    <div className="mt-2 flex break-inside-avoid flex-col items-start gap-5 sm:flex-row print:flex-row">
      {round.route ? (
        <figure className={`w-40 shrink-0 ${roomy ? 'print:w-96' : 'print:w-44'}`}>
          <RouteMap
            boundary={round.paddock.boundary}
            line={round.route.line}
            stops={round.stops}
            label={say('Map of {{name}} with the stops', { name: round.paddock.name })}
            className="w-full"
            harmfulAt={harmful}
            {...(worn ? { parts: round.paddock.strata, wear: wearOf(parts) } : {})}
          />
        </figure>
      ) : null}
      <ul className="list-disc pl-5 text-sm leading-snug">
        {worn ? <li>{say('On the map, parts by their bare ground: the darker, the barer.')}</li> : null}
        {harmful.size > 0 ? (
          <li>
            {say('Ringed on the map: a harmful plant was found there ({{it}}).', { it: numberRuns([...harmful]) })}
          </li>
        ) : null}
        {standingCautions().map((c) => (
          <li key={c}>{c}</li>
        ))}
      </ul>
    </div>
  )
}

const WhereWorn = ({ round }: { round: Round }) => <WhereCounted round={round} parts={useTurf(round).parts} />

interface Props {
  round: Round
  weighed: WeighUp
  plan: PlanLine[]
  /** What it is worth as feed, where the first page has no room for it. */
  worth: ReactNode
}

/** The second page: what the ground says, how long the feed lasts, what to do and when, where it was counted. */
export function PageTwo({ round, weighed, plan, worth }: Props) {
  // Where nothing is said of stock, the map has the room.
  const roomy = round.paddock.outlook === 'native' && plan.length <= 2
  return (
    <div className="mt-5 border-t-2 border-ink pt-3 print:mt-3 print:text-[0.94em] print:leading-snug">
      {drawnOnFirst(round, weighed) ? null : <Matters weighed={weighed} />}
      {worth}
      <Read round={round} />
      {round.paddock.outlook === 'turf' ? <Kept round={round} /> : null}
      {round.paddock.outlook === 'hay' ? <Baling /> : null}
      <Says round={round} />
      <Lasts round={round} weighed={weighed} />
      <Plan plan={plan} />
      {round.paddock.outlook === 'turf' ? <WhereWorn round={round} /> : <WhereCounted round={round} roomy={roomy} />}
    </div>
  )
}
