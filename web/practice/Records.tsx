import { formatDistanceToNow } from 'date-fns'
import { bearing, brierScore, logScore } from '@/core/practice/scoring.ts'
import { corrected, eyeBias, FEWEST_JUDGED } from '@/core/practice/eyeBias.ts'
import { dueNow, learnedFrom } from '@/core/practice/schedule.ts'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import { Word } from '../parts/Word.tsx'
import { percent, percentRange } from '../parts/words.ts'
import { ConfusionMatrix } from './ConfusionMatrix.tsx'
import { Reliability } from './Reliability.tsx'

const bearingWords = {
  'too sure': 'You are surer than you are right.',
  'not sure enough': 'You are right more often than you say.',
  'well judged': 'You are about as sure as you are right.',
} as const

/** What these eyes make of cover, and what a said cover most likely was. */
function EyesOnCover({ answers }: { answers: readonly PracticeAnswer[] }) {
  const judged = answers.flatMap((a) => (a.kind === 'cover' && a.measured ? [a.measured] : []))
  const bias = eyeBias(judged)
  if (!bias)
    return (
      <p>
        {judged.length} of {FEWEST_JUDGED} frames judged: then your own error is drawn, and can be taken off your
        counts.
      </p>
    )
  return (
    <>
      <p>
        Over {bias.judged} frames you said {percent(Math.abs(bias.mean))} {bias.mean < 0 ? 'less' : 'more'} than there
        was ({percentRange(bias.meanInterval)}).
      </p>
      <ul className="mt-1">
        {[0.1, 0.3, 0.6].map((said) => {
          const { share, interval } = corrected(bias, said)
          return (
            <li key={said}>
              Where you say {percent(said)} it was most likely <b>{percent(share)}</b> ({percentRange(interval)})
            </li>
          )
        })}
      </ul>
    </>
  )
}

/** The person's own record: how often right, how sure, what is confused, what comes back and when. */
export function Records({ answers }: { answers: readonly PracticeAnswer[] }) {
  const judged = answers.filter((a) => a.kind !== 'cover' && a.kind !== 'rank')
  if (answers.length === 0)
    return (
      <>
        <h2 className="text-[1.65rem]">Your record</h2>
        <p className="mt-2 max-w-prose">
          Nothing was answered yet. Every answer asks how sure you are as well: both are scored, so that you learn when
          to look again before you write a name down.
        </p>
      </>
    )
  const right = judged.filter((a) => a.right).length
  const lean = bearing(judged)
  const learned = learnedFrom(answers.filter((a) => a.kind !== 'cover' && a.kind !== 'rank'))
  const due = dueNow(learned.values(), new Date()).length
  const next = [...learned.values()].map((l) => l.card.due).filter((d) => d > new Date()).sort((a, b) => Number(a) - Number(b))[0] // prettier-ignore
  const missed = answers.filter((a) => a.kind === 'poison' && !a.right && a.answered === 'other').length
  return (
    <>
      <h2 className="text-[1.65rem]">Your record</h2>
      <p className="mt-1 text-lg">
        <b>
          {right} of {judged.length}
        </b>{' '}
        right{lean ? `. ${bearingWords[lean]}` : ''}
      </p>
      <p className="text-ink-soft">
        Log score {logScore(judged)?.toFixed(2) ?? 'none yet'} (0 is best, 0.69 is a coin),{' '}
        <Word id="brier">Brier score</Word> {brierScore(judged)?.toFixed(2) ?? 'none yet'} (0 is best, 0.25 is a coin).{' '}
        {learned.size} things in learning, {due} due now
        {next ? `, the next ${formatDistanceToNow(next, { addSuffix: true })}` : ''}.
      </p>
      {missed > 0 ? (
        <p className="mt-1 font-semibold text-harm">
          {missed === 1 ? 'One poison was' : `${missed} poisons were`} let pass. That is the mistake that counts.
        </p>
      ) : null}
      <section aria-labelledby="reliability" className="mt-4">
        <h3 id="reliability" className="text-lg">
          How sure against how right
        </h3>
        <Reliability answers={judged} />
      </section>
      <section aria-labelledby="confused" className="mt-4">
        <h3 id="confused" className="text-lg">
          Taken for one another
        </h3>
        <ConfusionMatrix answers={answers} />
      </section>
      <section aria-labelledby="eyes" className="mt-4">
        <h3 id="eyes" className="text-lg">
          Your eye for cover
        </h3>
        <EyesOnCover answers={answers} />
      </section>
    </>
  )
}
