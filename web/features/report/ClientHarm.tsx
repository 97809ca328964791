import { codesListed } from '@/text/codeWords.ts'
import { harmKindWords } from '@/text/harmWords.ts'
import { nitrateWords } from '@/text/labWords.ts'
import { inSentence } from '@/text/say.ts'
import { letterWords, taxonName } from '@/text/taxonNames.ts'
import { nitrateStep, type LabResult } from '@/core/assess/feed/labResult.ts'
import type { HazardReading } from '@/core/assess/harm/hazards/hazard.ts'
import { hazardActWords, hazardSaysWords, hazardTestWords } from '@/text/hazardWords.ts'
import { useHazards, useTell } from '../../entities/round/useHazards.ts'
import type { Contacts } from '@/core/records/contacts.ts'
import { harmsByItself, noteAs } from '@/core/assess/harm/kinds.ts'
import { growsIn } from '@/core/flora/seasons.ts'
import type { AtRisk, FormWord, Plant } from '@/core/flora/flora.ts'
import type { Round } from '@/core/records/round.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { withInterval } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { fixed } from '../../language/numbers.ts'
import { boundWords } from '../../entities/round/boundWords.ts'
import { NoxiousHere } from '../../entities/round/NoxiousHere.tsx'
import { CallFirst } from './Signed.tsx'
import { sentence } from './sentence.ts'
import { Found } from './FoundHarm.tsx'

/** So many feed plants that can harm are told of one by one; the others by their names. */
const MOST = 6

/** So many carriers are named with a danger. */
const MOST_CARRIERS = 3

/** So many of the plants of the edge are named. */
const MOST_EDGE = 9

const hayWords: Record<FormWord, () => string> = {
  harmful: () => say('as hay too'),
  lessened: () => say('as hay less'),
  unknown: () => say('as hay not known'),
}

const strikes = (plant: Plant, animal: AtRisk | undefined) =>
  animal === undefined || plant.harm.some((h) => h.who.includes(animal) || h.who.includes('people'))

/** Feed plants that can harm this stock, whatever they are grown for: what harms by itself first, then by share. */
function CanHarm({ harm, animal }: { harm: WeighUp['harm']; animal: AtRisk | undefined }) {
  const byId = useFlora((s) => s.byId)
  const here = harm.cautions
    .map((c) => ({ ...c, plant: byId.get(c.plant)! }))
    .filter((c) => strikes(c.plant, animal))
    .sort((a, b) => Number(harmsByItself(b.plant)) - Number(harmsByItself(a.plant)))
  if (here.length === 0) return null
  const others = here.slice(MOST).map((c) => inSentence(c.plant.commonName))
  return (
    <div className="mt-1 text-sm leading-snug" data-testid="can-harm">
      <b>{say('Counted here, and can harm:')}</b>
      <ul>
        {here.slice(0, MOST).map(({ plant, share }) => (
          <li key={plant.id}>
            <Say
              text="<b/> {{share}}: {{notes}}"
              values={{
                share: withInterval(share),
                notes: plant.harm
                  .filter((n) => animal === undefined || n.who.includes(animal) || n.who.includes('people'))
                  .map((n) => {
                    const ofStock = n.who.some((w) => w !== 'people')
                    return `${codesListed(n.who)}: ${harmKindWords(n)}${ofStock ? `, ${hayWords[noteAs(plant, n, 'hay')]()}` : ''}`
                  })
                  .join('; '),
              }}
              components={{ b: <b>{plant.commonName.replace(/ \(.*\)/, '')}</b> }}
            />
          </li>
        ))}
      </ul>
      {others.length > 0 ? <p>{say('And {{others}}.', { others: others.join(', ') })}</p> : null}
    </div>
  )
}

/** What was met and is not judged: nobody may take it for clean. */
function NotJudged({ harm }: { harm: WeighUp['harm'] }) {
  const byId = useFlora((s) => s.byId)
  const names = harm.notJudged.map(({ taxon, poisonousGenus }) =>
    poisonousGenus
      ? say('{{name}} (of a genus with poisonous kinds)', { name: taxonName(taxon, byId) })
      : taxonName(taxon, byId),
  )
  return (
    <>
      {names.length > 0 ? (
        <p className="mt-1">
          <Say
            text="<b>Not judged here, could be harmful:</b> {{names}}."
            values={{ names: names.join(', ') }}
            components={{ b: <b /> }}
          />
        </p>
      ) : null}
      {harm.unnamed.length > 0 ? (
        <p className="mt-1">
          {say('Not named yet: unknown {{unnamed}}. It could be any of the harmful ones.', {
            unnamed: harm.unnamed.map(letterWords).join(', '),
          })}
        </p>
      ) : null}
    </>
  )
}

/** What of the edge of the field may stand there, whether its fence was walked or not. */
const edgeWords = (walked: boolean, mayStand: { names: string; more: string }): string =>
  walked
    ? say('Not met along the fence, and could stand there all the same: {{names}}{{more}}. Keep clippings and fallen branches out.', mayStand) // prettier-ignore
    : say('There could stand: {{names}}{{more}}. Walk the fence for them, and keep clippings and fallen branches out.', mayStand) // prettier-ignore

/** What was not met: named apart where it could not have been seen in this month. */
function NotFound({ round, harm, animal }: { round: Round; harm: WeighUp['harm']; animal: AtRisk | undefined }) {
  const byId = useFlora((s) => s.byId)
  const month = Number(round.plannedOn.slice(5, 7))
  const grows = (id: string) => growsIn(byId.get(id)!, month, round.paddock.region)
  const edge = harm.alongEdge.filter((id) => strikes(byId.get(id)!, animal))
  const named = (ids: string[]) => ids.map((id) => inSentence(byId.get(id)!.commonName)).join(', ')
  const mayStand = {
    names: named(edge.slice(0, MOST_EDGE)),
    more: edge.length > MOST_EDGE ? say(' and {{n}} more', { n: edge.length - MOST_EDGE }) : '',
  }
  const [growing, resting] = [harm.notFound.filter(grows), harm.notFound.filter((id) => !grows(id))]
  return (
    <p className="mt-1 text-sm leading-snug">
      {growing.length > 0 ? (
        <>
          <Say
            text="<b>Not found:</b> {{notFound}}, nor any of {{n}} that are rarer here. Not found is not the same as not there: {{bound}}."
            values={{ notFound: named(growing), n: harm.rarerHere.length, bound: boundWords(harm.bound) }}
            components={{ b: <b /> }}
          />{' '}
        </>
      ) : null}
      {resting.length > 0 ? (
        <>
          <Say
            text="<b>Not in growth in this month, so they could not have been seen:</b> {{names}}."
            values={{ names: named(resting) }}
            components={{ b: <b /> }}
          />{' '}
        </>
      ) : null}
      {harm.edgeStops > 0
        ? say('The fence was walked at {{count}} stops. Trees, ditch bottom, pond and what lies outside were not looked at.', { count: harm.edgeStops }) // prettier-ignore
        : say('Trees, hedge, ditch, pond edge and what lies outside the walk were not looked at.')}
      {edge.length > 0 ? ` ${edgeWords(harm.edgeStops > 0, mayStand)}` : ''}
    </p>
  )
}

/** A danger whose mark is passed or that is more likely than usual: its figures, what is done and which test tells. */
function Danger({ reading: { hazard, says, acts, tests, grade, plants } }: { reading: HazardReading }) {
  const byId = useFlora((s) => s.byId)
  const tell = useTell()
  const of = plants.slice(0, MOST_CARRIERS).map((id) => inSentence(byId.get(id)!.commonName.replace(/ \(.*\)/, '')))
  const figures = grade === 'act' ? says : says.slice(0, 1)
  return (
    <p className={grade === 'act' ? 'mt-1' : 'mt-1 text-sm leading-snug'}>
      <b>
        {hazard.name}
        {of.length > 0 ? ` (${of.join(', ')}${plants.length > of.length ? ' …' : ''})` : ''}:
      </b>{' '}
      {figures.map((s) => sentence(hazardSaysWords(s, tell))).join(' ')}
      {grade === 'act' && acts.length > 0 ? ` ${sentence(acts.map(hazardActWords).join('; '))}.` : ''}
      {tests.length > 0 ? ` ${say('Test: {{tests}}.', { tests: hazardTestWords(tests[0]!) })}` : ''}
    </p>
  )
}

interface Props {
  round: Round
  weighed: WeighUp
  lab: LabResult | undefined
  /** Kind of stock that the client keeps; undefined where nobody has said. */
  animal: AtRisk | undefined
  contacts: Contacts | undefined
}

/** What could harm, for the client: found, can harm, worked out, not judged, told by a test alone, not found and not looked at. */
export function ClientHarm({ round, weighed, lab, animal, contacts }: Props) {
  const { composition: made, harm } = weighed
  const here = useHazards(round).filter((h) => h.concerns)
  const told = here.filter((h) => h.grade !== 'open')
  const open = here.filter((h) => h.grade === 'open')
  const nitrate = lab && !lab.simulated ? lab.nitrateNPpm : undefined
  return (
    <section className="mt-4 border-2 border-harm p-3">
      <h3 className="text-lg text-harm">{say('What could harm stock or people')}</h3>
      {harm.found.map((f) => (
        <Found key={f.plant} found={f} stops={made.stops} />
      ))}
      {nitrate !== undefined ? (
        <p className="mt-1">
          <Say
            text="<b>Nitrate: {{ppm}} ppm NO3-N</b> in dry matter of sample {{sample}}: {{words}} (extension tables for cattle, from memory; nitrate in the water comes on top). A veterinarian decides."
            values={{
              ppm: fixed(nitrate, 0),
              sample: lab!.sample,
              words: nitrateWords(nitrateStep(nitrate)),
            }}
            components={{ b: <b /> }}
          />
        </p>
      ) : null}
      {told.map((reading) => (
        <Danger key={reading.hazard.id} reading={reading} />
      ))}
      <CanHarm harm={harm} animal={animal} />
      <NotJudged harm={harm} />
      {open.length > 0 ? (
        <p className="mt-1 text-sm leading-snug">
          <Say
            text="<b>Looking does not tell, a test or the season does:</b> {{tests}}."
            values={{ tests: open.map((t) => inSentence(t.hazard.name)).join(', ') }}
            components={{ b: <b /> }}
          />
        </p>
      ) : null}
      <NoxiousHere list={contacts?.noxious} made={made} />
      <NotFound round={round} harm={harm} animal={animal} />
      <CallFirst contacts={contacts} />
    </section>
  )
}
