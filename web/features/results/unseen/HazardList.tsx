import { codesListed } from '@/text/codeWords.ts'
import { inSentence } from '@/text/say.ts'
import { hazardActWords, hazardGradeWords, hazardSaysWords, hazardTestWords, type Tell } from '@/text/hazardWords.ts'
import type { HazardReading } from '@/core/assess/harm/hazards/hazard.ts'
import { standingCautions } from '@/text/standingCautions.ts'
import { useHazards, useTell } from '../../../entities/round/useHazards.ts'
import { percent, percentRange } from '../../../parts/words.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { Terms } from '../../../parts/Terms.tsx'
import { say } from '../../../language/say.ts'
import type { ChapterProps } from '../chapter.ts'

const gradeMark = { act: '●', raised: '◐', open: '?' } as const

/** Its grade, its name and the plants it comes with: enough to know whether to read on. */
function DangerHead({ reading: { hazard: h, plants, share, grade } }: { reading: HazardReading }) {
  const byId = useFlora((s) => s.byId)
  return (
    <>
      <span aria-hidden className={grade === 'act' ? 'text-lg text-harm' : 'text-lg'}>
        {gradeMark[grade]}{' '}
      </span>
      <b className={grade === 'act' ? 'text-harm' : ''}>
        {h.name}: {hazardGradeWords(grade)}.
      </b>{' '}
      {plants.length > 0 ? (
        <span className="text-ink-soft">
          {plants.map((id) => inSentence(byId.get(id)!.commonName)).join(', ')}, {percent(share.estimate)}
          {share.interval ? ` (${percentRange(share.interval)})` : say(', no interval from one stop')}.
        </span>
      ) : null}
    </>
  )
}

/** What was worked out, what is done and tested; what shows and what does not, with the source. */
function DangerBody({ reading: { hazard: h, says, tests, acts }, tell }: { reading: HazardReading; tell: Tell }) {
  return (
    <>
      {says.map((s) => (
        <p key={s.code} className="first-letter:uppercase">
          {hazardSaysWords(s, tell)}
        </p>
      ))}
      {acts.length > 0 ? (
        <p>
          <b>{say('Do:')}</b> {acts.map(hazardActWords).join('; ')}.
        </p>
      ) : null}
      {tests.length > 0 ? (
        <p>
          <b>{say('Test:')}</b> {tests.map(hazardTestWords).join('; ')}.
        </p>
      ) : null}
      <details>
        <summary className="min-h-11 py-2 text-ink-soft">{say('What shows, what does not, and the source')}</summary>
        <dl className="grid gap-x-3 pb-2 @md:grid-cols-[8rem_1fr]">
          <dt className="font-semibold">{say('Harms')}</dt>
          <dd>{codesListed(h.who)}</dd>
          <dt className="font-semibold">{say('What shows')}</dt>
          <dd>
            <Terms>{h.shows}</Terms>
          </dd>
          <dt className="font-semibold">{say('What does not')}</dt>
          <dd>
            <Terms>{h.hidden}</Terms>
          </dd>
          <dt className="font-semibold">{say('The test')}</dt>
          <dd>{h.test === 'none' ? say('There is none for the field.') : h.test}</dd>
          <dt className="font-semibold">{say('Usually done')}</dt>
          <dd>
            <Terms>{h.do}</Terms>
          </dd>
          <dd className="text-ink-soft @md:col-start-2">{h.sources.join('; ')}.</dd>
        </dl>
      </details>
    </>
  )
}

/** One danger. What is known to be raised for the stock that is kept stands open; what nobody has told of opens at a touch. */
function Danger({ reading, tell }: { reading: HazardReading; tell: Tell }) {
  const { concerns, grade } = reading
  const soft = concerns ? '' : 'text-ink-soft'
  return (
    <li className={`border-b border-harm/40 ${soft}`}>
      <details open={concerns && grade !== 'open'}>
        <summary className="min-h-11 py-2">
          <DangerHead reading={reading} />
        </summary>
        <DangerBody reading={reading} tell={tell} />
      </details>
    </li>
  )
}

/** Dangers that the plants of this sward can carry, worked out from what is known; what is not known is asked for. */
export function HazardList({ round }: ChapterProps) {
  const here = useHazards(round)
  const tell = useTell()
  return (
    <section
      aria-labelledby="hidden-dangers"
      className="rounded-2xl rounded-tl-sm border-2 border-harm bg-harm-wash p-4"
    >
      <h2 id="hidden-dangers" className="text-[1.65rem] text-harm">
        {say('What looking does not tell')}
      </h2>
      {here.length === 0 ? (
        <p>
          {say(
            'Nothing of the kind is on file for the plants that were met; what was not met or not named is not excluded.',
          )}
        </p>
      ) : (
        <ul>
          {here.map((reading) => (
            <Danger key={reading.hazard.id} reading={reading} tell={tell} />
          ))}
        </ul>
      )}
      <p className="mt-3 text-sm">
        {standingCautions()[0]} {standingCautions()[3]}
      </p>
    </section>
  )
}
