import { countingMethods } from '@/core/methods/index.ts'
import { groupName, taxonName } from '@/text/taxonNames.ts'
import { inSentence } from '@/text/say.ts'
import { animalClass } from '@/core/assess/feed/needs.ts'
import { harmsByItself } from '@/core/assess/harm/kinds.ts'
import type { Plant } from '@/core/flora/flora.ts'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { Determination, Round } from '@/core/records/round.ts'
import { holdsUntil } from '@/core/assess/signing.ts'
import { walkedStates } from '@/core/assess/feed/walkedStates.ts'
import { walkedWords } from '@/text/feedWords.ts'
import type { Signature } from '@/core/records/signedPage.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { ShareChart } from '../../ui/charts/ShareChart.tsx'
import { countedWords } from '../../parts/countedWords.ts'
import { withInterval } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { useContacts, useHerd, useLab } from '../../entities/round/herd.ts'
import { ClientHarm } from './ClientHarm.tsx'
import { useHazards } from '../../entities/round/useHazards.ts'
import { SpeaksFor } from '../../entities/round/SpeaksFor.tsx'
import { Answer } from './Answer.tsx'
import { Appendix } from './Appendix.tsx'
import { drawnOnFirst, Matters } from './Matters.tsx'
import { PageTwo } from './PageTwo.tsx'
import { SignatureBlock, SignedMark } from './Signed.tsx'
import { Worth } from './Worth.tsx'
import { say } from '../../language/say.ts'
import { dayWords } from '../../language/dates.ts'

/** So many shares are drawn on the first page however much there is to say. */
const LEAST_BARS = 4
/** From here on bare ground is told in the first sentence. */
const MUCH_BARE = 0.1

/** The first things said: what the sward mostly is, what in it harms, and what is done next. */
function opening({ composition: made, harm }: WeighUp, plan: PlanLine[], byId: Map<string, Plant>): string {
  const plants = made.taxa.filter((t) => t.group !== 'ground').slice(0, 3)
  const said = plants.map((t) => `${inSentence(taxonName(t.taxon, byId).replace(/ \(.*\)/, ''))} ${withInterval(t)}`)
  const ground = made.byGroup.find((g) => g.group === 'ground')
  const bare =
    ground && ground.estimate >= MUCH_BARE
      ? say('; bare ground and litter {{withInterval}}', { withInterval: withInterval(ground) })
      : ''
  const found = harm.found.map((f) => inSentence(byId.get(f.plant)!.commonName))
  const can = harm.cautions.flatMap((c) => byId.get(c.plant) ?? []).filter((p) => harmsByItself(p))
  const open = harm.unnamed.length + harm.notJudged.length
  const harmful = [
    found.length > 0
      ? say('Harmful, and found: {{found}}.', { found: found.join(', ') })
      : say('No plant that the book calls poisonous was met at {{stops}} stops, which does not mean that there is none.', { stops: made.stops }), // prettier-ignore
    can.length > 0 ? say('Can harm, and counted: {{can}}.', { can: can.map((p) => inSentence(p.commonName)).join(', ') }) : '', // prettier-ignore
    open > 0 ? say('{{count}} kinds that were counted are not judged: they could be harmful.', { count: open }) : '',
  ]
    .filter(Boolean)
    .join(' ')
  const [next] = plan.filter((p) => p.doneOn === null).sort((a, b) => (a.dueOn < b.dueOn ? -1 : 1))
  const then = next
    ? say(' Next: {{inSentence}}, by {{dayWords}}.', {
        inSentence: inSentence(next.text).replace(/\.$/, ''),
        dayWords: dayWords(next.dueOn),
      })
    : ''
  return say('Mostly {{said}}{{bare}}. {{harmful}}{{then}}', { said: said.join(', '), bare, harmful, then })
}

interface Props {
  round: Round
  weighed: WeighUp
  plan: PlanLine[]
  /** Names written down in this round: given where the appendix is wanted. */
  namings: Determination[] | undefined
  /** The name that was put to these pages; undefined: they are a draft. */
  signature?: Signature | undefined
}

/** Two pages a client keeps: plain sentences first, each figure with its interval; the appendix behind them when wanted. */
export function ClientPage({ round, weighed, plan, namings, signature }: Props) {
  const byId = useFlora((s) => s.byId)
  const { composition: made, feed } = weighed
  const { outlook } = round.paddock
  const { data: lab } = useLab(round.id)
  const { data: herd } = useHerd(round.paddockId)
  const { data: contacts } = useContacts(round.paddock.holdingId)
  // Each danger that is told takes the room of a bar.
  const told = useHazards(round).filter((h) => h.concerns && h.grade !== 'open').length
  const animal = herd && animalClass(herd.animal)?.kind
  // What can harm takes the room of the first page.
  const pageIsFull = weighed.harm.found.length + weighed.harm.cautions.length > 0
  const harmful = (p: Plant | undefined) => p !== undefined && harmsByItself(p)
  // What harms is drawn however little of it there is.
  // Where nobody has said what is kept, the answer takes a line for each kind of stock.
  const most = !pageIsFull ? 10 : Math.max(LEAST_BARS, (animal ? 6 : 5) - told)
  const harming = made.taxa.filter((t) => harmful(byId.get(t.taxon))).slice(0, most)
  const others = made.taxa.filter((t) => !harming.includes(t)).slice(0, most - harming.length)
  const drawn = made.taxa.filter((t) => harming.includes(t) || others.includes(t))
  const rows = drawn.map((t) => ({
    id: t.taxon,
    name: taxonName(t.taxon, byId).replace(/ \(.*\)/, ''),
    group: t.group,
    harmful: harmful(byId.get(t.taxon)),
    share: t,
  }))
  const worth =
    outlook === 'grazing' || outlook === 'hay' ? <Worth feed={feed} lab={lab} hay={outlook === 'hay'} /> : null
  return (
    <article
      className="client-page mx-auto max-w-[46rem] rounded-sm bg-sheet p-7 shadow-[0_1px_6px_rgb(0_0_0/0.18)] print:max-w-none print:p-0 print:shadow-none"
      aria-label={say('Page for the client')}
    >
      <header className="flex flex-col-reverse items-start justify-between gap-4 border-b-2 border-ink pb-3 @md:flex-row print:flex-row">
        <div>
          <h2 className="text-2xl">
            {round.paddock.name}: {round.title}
          </h2>
          <p>
            {round.holding}
            {round.client ? say(', for {{client}}', { client: round.client }) : ''}.{' '}
            {round.source
              ? say('Open data.')
              : say('Walked {{dayWords}}, {{stage}}; held to speak until {{until}}.', {
                  dayWords: dayWords(round.plannedOn),
                  stage: walkedWords(walkedStates(round)),
                  until: dayWords(holdsUntil(round)),
                })}
          </p>
          {contacts?.advisor ? (
            <p>{[contacts.advisor, contacts.credentials, contacts.advisorPhone].filter(Boolean).join(', ')}</p>
          ) : null}
        </div>
        <div>
          <p className="font-plant text-right whitespace-nowrap">{say('Fold Sprig')}</p>
          <SignedMark signature={signature} />
        </div>
      </header>
      <Answer round={round} weighed={weighed} animal={animal} />
      <p className={`mt-2 leading-snug ${pageIsFull ? '' : 'text-lg'}`} data-testid="opening">
        {opening(weighed, plan, byId)}
      </p>
      <p className="mt-1">
        {countingMethods[round.method].sward?.frameValues
          ? say(
              'Judged at {{countedWords}}. A figure in brackets is the range in which this way of judging would find the whole paddock 95 times in 100.',
              { countedWords: countedWords(round.method, made) },
            )
          : say(
              'Counted at {{countedWords}}. A figure in brackets is the range that holds the true value 95 times in 100.',
              { countedWords: countedWords(round.method, made) },
            )}
        <SpeaksFor round={round} />
      </p>
      <div className="mt-3 break-inside-avoid">
        <div className="print:hidden">
          <ShareChart rows={rows} label={say('Shares of the main plants with their intervals')} />
        </div>
        <div className="hidden print:block">
          <ShareChart rows={rows} fixedWidth={820} label={say('Shares of the main plants with their intervals')} />
        </div>
      </div>
      <p className="mt-2">{made.byGroup.map((g) => `${groupName(g.group)} ${withInterval(g)}`).join('; ')}.</p>
      <ClientHarm round={round} weighed={weighed} lab={lab} animal={animal} contacts={contacts} />
      {drawnOnFirst(round, weighed) ? <Matters weighed={weighed} /> : null}
      {pageIsFull ? null : worth}
      <PageTwo round={round} weighed={weighed} plan={plan} worth={pageIsFull ? worth : null} />
      <SignatureBlock contacts={contacts} signature={signature} />
      {namings ? <Appendix round={round} weighed={weighed} namings={namings} /> : null}
    </article>
  )
}
