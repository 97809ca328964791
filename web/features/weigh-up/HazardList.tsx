import { inSentence } from '@/text/say.ts'
import { hazardActWords, hazardGradeWords, hazardSaysWords, hazardTestWords, type Tell } from '@/text/hazardWords.ts'
import type { HazardReading } from '@/core/assess/harm/hazards/hazard.ts'
import type { Round } from '@/core/records/round.ts'
import { useHazards, useTell } from '../../entities/round/useHazards.ts'
import { percent, percentRange } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { Terms } from '../../parts/Terms.tsx'
import { say, listed } from '../../language/say.ts'
import { ConditionsPanel } from './ConditionsPanel.tsx'

const gradeMark = { act: '●', raised: '◐', open: '?' } as const

/** One danger: its grade and figures in sight, what shows and what does not behind them. */
function Danger({ reading, tell }: { reading: HazardReading; tell: Tell }) {
  const byId = useFlora((s) => s.byId)
  const { hazard: h, plants, share, concerns, grade, says, tests, acts } = reading
  return (
    <li className={`border-b border-harm/40 py-2 ${concerns ? '' : 'text-ink-soft'}`}>
      <p>
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
      </p>
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
        <dl className="grid gap-x-3 pb-2 sm:grid-cols-[8rem_1fr]">
          <dt className="font-semibold">{say('Harms')}</dt>
          <dd>{listed(h.who)}</dd>
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
          <dd className="text-ink-soft sm:col-start-2">{h.sources.join('; ')}.</dd>
        </dl>
      </details>
    </li>
  )
}

/** Dangers that the plants of this sward can carry, worked out from what is known; what is not known is asked for. */
export function HazardList({ round }: { round: Round }) {
  const here = useHazards(round)
  const tell = useTell()
  if (here.length === 0) return null
  return (
    <section aria-labelledby="hidden-dangers">
      <h3 id="hidden-dangers" className="mt-3 text-lg">
        {say('What looking does not tell')}
      </h3>
      <ConditionsPanel roundId={round.id} hazards={here.map((h) => h.hazard.id)} />
      <ul>
        {here.map((reading) => (
          <Danger key={reading.hazard.id} reading={reading} tell={tell} />
        ))}
      </ul>
    </section>
  )
}
