import { codesListed } from '@/text/codeWords.ts'
import { inSentence } from '@/text/say.ts'
import { harmVerdictWords } from '@/text/verdictWords.ts'
import { keptAnimals } from '@/core/assess/harm/exposures.ts'
import { verdictFor, type Verdict } from '@/core/assess/harm/verdict.ts'
import type { AtRisk, FeedForm } from '@/core/flora/flora.ts'
import type { Round } from '@/core/records/round.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { outlookReading } from '@/core/assess/indicators/outlookReading.ts'
import { outlookWords } from '@/text/outlookWords.ts'
import { useOutlookFor } from '../../entities/round/useTurf.ts'
import { percent, percentRange } from '../../parts/words.ts'
import { useHazardsOfKinds } from '../../entities/round/useHazards.ts'
import { InShort } from './Worth.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { dayWords } from '../../language/dates.ts'
import { say } from '../../language/say.ts'

const formWords: Partial<Record<FeedForm, () => string>> = {
  standing: () => say('Grazed'),
  hay: () => say('As hay'),
}
/** So many plants are named with a verdict; the others stand below. */
const MOST = 3

interface Line {
  forms: FeedForm[]
  animals: AtRisk[]
  verdict: Verdict
}

/** Kinds of stock, and then forms, of which the same is said stand together. */
function lines(verdicts: Verdict[]): Line[] {
  const said = ({ code, plants, hazards }: Verdict) => `${code} ${plants.slice(0, MOST).join()} ${hazards.join()}`
  const together = new Map<string, Line>()
  for (const verdict of verdicts) {
    const key = `${verdict.form} ${said(verdict)}`
    const line = together.get(key)
    if (line) line.animals.push(verdict.animal)
    else together.set(key, { forms: [verdict.form], animals: [verdict.animal], verdict })
  }
  const alike: Line[] = []
  for (const line of together.values()) {
    const before = alike.find((l) => said(l.verdict) === said(line.verdict) && l.animals.join() === line.animals.join())
    if (before) before.forms.push(...line.forms)
    else alike.push(line)
  }
  return alike
}

/** For turf and native plantings: what share is what was wanted, what came by itself, what is bare. */
function GroundAnswer({ round }: { round: Round }) {
  const byId = useFlora((s) => s.byId)
  const { outlook, sown } = round.paddock
  const of = useOutlookFor(round)
  const reading = outlookReading(round, byId, outlook, of)
  const first =
    outlook === 'turf'
      ? (['sown', 'neither-sown-nor-turf', 'bare'] as const)
      : (['sown', 'native', 'not-native', 'bare'] as const)
  const lines = first.flatMap((id) => reading?.lines.find((l) => l.id === id) ?? [])
  const found = reading?.sown.filter((s) => s.share).length ?? 0
  return (
    <section className="mt-3 leading-snug" data-testid="answer" aria-label={say('The answer')}>
      {round.purpose ? <p className="font-plant text-lg">{round.purpose}</p> : null}
      <p className="text-lg">
        {sown.length > 0
          ? `${say('Of {{count}} kinds that were sown {{found}} were met.', { count: sown.length, found })} `
          : ''}
        {lines
          .map(
            (l) =>
              `${outlookWords(l.id).title} ${percent(l.share.estimate)}${l.share.interval ? ` (${percentRange(l.share.interval)})` : ''}`,
          )
          .join('; ')}
        .
      </p>
    </section>
  )
}

/** What the client asked, and what is said to it for their stock, before any share. */
export function Answer({ round, weighed, animal }: { round: Round; weighed: WeighUp; animal: AtRisk | undefined }) {
  const byId = useFlora((s) => s.byId)
  const dangersOf = useHazardsOfKinds(round)
  const hazards = useFlora((s) => s.hazards)
  const { outlook } = round.paddock
  if (outlook !== 'grazing' && outlook !== 'hay') return <GroundAnswer round={round} />
  const animals = animal ? [animal] : keptAnimals
  const forms = outlook === 'hay' ? (['hay', 'standing'] as const) : (['standing', 'hay'] as const)
  const said = forms.flatMap((form) => animals.map((a) => verdictFor(weighed.harm, byId, a, form, dangersOf(a))))
  const danger = (id: string) => inSentence(hazards.find((h) => h.id === id)!.name)
  const name = (id: string) => inSentence(byId.get(id)!.commonName.replace(/ \(.*\)/, ''))
  return (
    <section className="mt-3 leading-snug" data-testid="answer" aria-label={say('The answer')}>
      {round.purpose ? <p className="font-plant text-lg">{round.purpose}</p> : null}
      <ul>
        {lines(said).map(({ forms: as, animals: of, verdict: { code, plants, hazards, from } }) => (
          <li key={`${as.join()} ${of.join()}`}>
            <b>
              {as.length > 1 ? say('Grazed or as hay') : formWords[as[0]!]!()}, {codesListed(of)}:
            </b>{' '}
            {harmVerdictWords(code)}
            {plants.length > 0
              ? ` (${plants.slice(0, MOST).map(name).join(', ')}${plants.length > MOST ? ' …' : ''})`
              : ''}
            {hazards.length > 0 ? `: ${hazards.map(danger).join(', ')}` : ''}
            {from ? `, ${say('earliest {{day}}', { day: dayWords(from) })}` : ''}.
          </li>
        ))}
      </ul>
      <InShort feed={weighed.feed} hay={outlook === 'hay'} />
    </section>
  )
}
