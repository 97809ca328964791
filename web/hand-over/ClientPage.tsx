import { inSentence } from '@/core/naming/verdict.ts'
import { labFigures } from '@/core/feed/labResult.ts'
import type { Plant } from '@/core/naming/flora.ts'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { Naming, Round } from '@/core/records/round.ts'
import type { Share } from '@/core/survey/composition.ts'
import { groupNames, taxonName } from '@/core/survey/taxon.ts'
import type { WeighUp } from '@/core/survey/weighUp.ts'
import { TypicalPart } from '../bench/TypicalPart.tsx'
import { ShareChart } from '../parts/ShareChart.tsx'
import { percent, percentRange, countedWords } from '../parts/words.ts'
import { dayWords } from '../rounds/RoundList.tsx'
import { useFlora } from '../stores/floraStore.ts'
import { useLabs } from '../weigh-up/labStore.ts'
import { Appendix } from './Appendix.tsx'
import { drawnOnFirst, Matters } from './Matters.tsx'
import { PageTwo } from './PageTwo.tsx'

const sentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

const withInterval = (s: Share) => `${percent(s.estimate)}${s.interval ? ` (${percentRange(s.interval)})` : ''}`

/** From here on bare ground is told in the first sentence. */
const MUCH_BARE = 0.1

/** The first things said: what the sward mostly is, what in it harms, and what is done next. */
function opening({ composition: made, harm }: WeighUp, plan: PlanLine[], byId: Map<string, Plant>): string {
  const plants = made.taxa.filter((t) => t.group !== 'ground').slice(0, 3)
  const said = plants.map((t) => `${inSentence(taxonName(t.taxon, byId).replace(/ \(.*\)/, ''))} ${withInterval(t)}`)
  const ground = made.byGroup.find((g) => g.group === 'ground')
  const bare = ground && ground.estimate >= MUCH_BARE ? `; bare ground and litter ${withInterval(ground)}` : ''
  const found = harm.found.map((f) => inSentence(byId.get(f.plant)!.commonName))
  const harmful =
    found.length > 0
      ? `Harmful, and found: ${found.join(', ')}.`
      : `No harmful plant was met at ${made.stops} stops, which does not mean that there is none.`
  const [next] = plan.filter((p) => p.doneOn === null).sort((a, b) => (a.dueOn < b.dueOn ? -1 : 1))
  const then = next ? ` Next: ${inSentence(next.text).replace(/\.$/, '')}, by ${dayWords(next.dueOn)}.` : ''
  return `Mostly ${said.join(', ')}${bare}. ${harmful}${then}`
}

interface Props {
  round: Round
  weighed: WeighUp
  plan: PlanLine[]
  /** Names written down in this round: given where the appendix is wanted. */
  namings: Naming[] | undefined
}

/** Two pages a client keeps: plain sentences first, each figure with its interval; the appendix behind them when wanted. */
export function ClientPage({ round, weighed, plan, namings }: Props) {
  const byId = useFlora((s) => s.byId)
  const { composition: made, harm, feed } = weighed
  const leafy = feed.leafy
  const { outlook } = round.paddock
  const lab = useLabs((s) => s.results[round.id])
  const measured = lab && labFigures(lab)
  const rows = made.taxa.slice(0, 10).map((t) => ({
    id: t.taxon,
    name: taxonName(t.taxon, byId).replace(/ \(.*\)/, ''),
    group: t.group,
    harmful: byId.get(t.taxon)?.role === 'toxic',
    share: t,
  }))
  return (
    <article
      className="client-page mx-auto max-w-[46rem] rounded-sm bg-sheet p-7 shadow-[0_1px_6px_rgb(0_0_0/0.18)] print:max-w-none print:p-0 print:shadow-none"
      aria-label="Page for the client"
    >
      <header className="flex items-start justify-between gap-4 border-b-2 border-ink pb-3">
        <div>
          <h2 className="text-2xl">
            {round.paddock.name}: {round.title}
          </h2>
          <p>
            {round.holding}
            {round.client ? `, for ${round.client}` : ''}.{' '}
            {round.source ? 'Open data.' : `Walked ${dayWords(round.plannedOn)}.`}
          </p>
        </div>
        <p className="font-plant whitespace-nowrap">Fold Sprig</p>
      </header>
      <p className="mt-3 text-lg leading-snug" data-testid="opening">
        {opening(weighed, plan, byId)}
      </p>
      <p className="mt-1">
        Counted at {countedWords(round.method, made)}. A figure in brackets is the range that holds the true value 95
        times in 100.
      </p>
      <div className="mt-3 break-inside-avoid">
        <div className="print:hidden">
          <ShareChart rows={rows} label="Shares of the main plants with their intervals" />
        </div>
        <div className="hidden print:block">
          <ShareChart rows={rows} fixedWidth={820} label="Shares of the main plants with their intervals" />
        </div>
      </div>
      <p className="mt-2">{made.byGroup.map((g) => `${groupNames[g.group]} ${withInterval(g)}`).join('; ')}.</p>
      <section className="mt-4 break-inside-avoid border-2 border-harm p-3">
        <h3 className="text-lg text-harm">What could harm stock or people</h3>
        {harm.found.map((f) => {
          const plant = byId.get(f.plant)!
          return (
            <div key={f.plant} className="mt-1 flex gap-3">
              <TypicalPart plant={plant} className="size-14 shrink-0" />
              <p>
                <b>Found: {inSentence(plant.commonName)}</b> (<i className="font-plant">{plant.scientificName}</i>),{' '}
                {withInterval(f.share)}, at {f.stopsWith} of {made.stops} stops.{' '}
                {f.notes.map((n) => `${sentence(n.kind)}: ${n.note}`).join(' ')}
                {plant.exposure ? ` Signs: ${inSentence(plant.exposure.signs)}. First: ${plant.exposure.first}` : ''}
              </p>
            </div>
          )
        })}
        <p className="mt-1 text-sm leading-snug">
          <b>Looked for and not found:</b> {harm.notFound.map((id) => inSentence(byId.get(id)!.commonName)).join(', ')},
          nor any of {harm.rarerHere.length} that are rarer here. Each could still be there: up to{' '}
          {harm.bound.ofPoints === undefined ? '' : `${percent(harm.bound.ofPoints)} of the sward, or at up to `}
          {percent(harm.bound.ofStops)} of places like a stop.
        </p>
        {harm.unnamed.length > 0 ? <p className="mt-1">Not named yet: unknown {harm.unnamed.join(', ')}.</p> : null}
      </section>
      {drawnOnFirst(round, weighed) ? <Matters weighed={weighed} /> : null}
      {leafy && (outlook === 'grazing' || outlook === 'hay') ? (
        <section className="mt-4 break-inside-avoid">
          <h3 className="text-lg">Worth as feed while leafy</h3>
          <p>
            Crude protein {leafy.cpPct.low.toFixed(0)} to {leafy.cpPct.high.toFixed(0)} % of dry matter, ADF{' '}
            {leafy.adfPct.low.toFixed(0)} to {leafy.adfPct.high.toFixed(0)} %, NDF {leafy.ndfPct.low.toFixed(0)} to{' '}
            {leafy.ndfPct.high.toFixed(0)} %, relative feed value {leafy.rfv.low.toFixed(0)} to{' '}
            {leafy.rfv.high.toFixed(0)} (full-bloom alfalfa is 100). Estimated from the plants, not from a sample; a
            laboratory would say what this cut holds.
          </p>
          {lab && measured ? (
            <p>
              <b>{lab.simulated ? 'Laboratory, simulated' : `Laboratory, sample ${lab.sample}`}:</b> crude protein{' '}
              {lab.cpPct.toFixed(1)} % ({measured.cpPct.low.toFixed(1)} to {measured.cpPct.high.toFixed(1)}), relative
              feed value {measured.rfv.middle.toFixed(0)} ({measured.rfv.low.toFixed(0)} to{' '}
              {measured.rfv.high.toFixed(0)}). It stands in place of the estimate for the sample that was sent.
            </p>
          ) : null}
        </section>
      ) : null}
      <PageTwo round={round} weighed={weighed} plan={plan} />
      {namings ? <Appendix round={round} weighed={weighed} namings={namings} /> : null}
    </article>
  )
}
