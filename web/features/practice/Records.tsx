import { useState } from 'react'
import { bearing, brierScore, logScore } from '@/core/practice/scoring.ts'
import { corrected, eyeBias, FEWEST_JUDGED } from '@/core/practice/eyeBias.ts'
import { dueNow, learnedFrom } from '@/core/practice/schedule.ts'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import { Word } from '../../parts/Word.tsx'
import { percent, percentRange } from '../../parts/words.ts'
import { ConfusionMatrix } from './ConfusionMatrix.tsx'
import { Reliability } from '../../entities/practice/Reliability.tsx'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { fixed } from '../../language/numbers.ts'
import { aheadWords } from '../../language/dates.ts'

const bearingWords = {
  get 'too sure'() {
    return say('You are surer than you are right.')
  },
  get 'not sure enough'() {
    return say('You are right more often than you say.')
  },
  get 'well judged'() {
    return say('You are about as sure as you are right.')
  },
} as const

/** What these eyes make of cover, and what a said cover most likely was. */
function EyesOnCover({ answers }: { answers: readonly PracticeAnswer[] }) {
  const judged = answers.flatMap((a) => (a.kind === 'cover' && a.measured ? [a.measured] : []))
  const bias = eyeBias(judged)
  if (!bias)
    return (
      <p>
        {say(
          '{{n}} of {{FEWESTJUDGED}} frames judged: then your own error is drawn, and can be taken off your counts.',
          { n: judged.length, FEWESTJUDGED: FEWEST_JUDGED },
        )}
      </p>
    )
  const off = {
    judged: bias.judged,
    abs: percent(Math.abs(bias.mean)),
    meanInterval: percentRange(bias.meanInterval),
  }
  return (
    <>
      <p>
        {bias.mean < 0
          ? say('Over {{judged}} frames you said {{abs}} less than there was ({{meanInterval}}).', off)
          : say('Over {{judged}} frames you said {{abs}} more than there was ({{meanInterval}}).', off)}
      </p>
      <ul className="mt-1">
        {[0.1, 0.3, 0.6].map((said) => {
          const { share, interval } = corrected(bias, said)
          return (
            <li key={said}>
              <Say
                text="Where you say {{said}} it was most likely <b/> ({{interval}})"
                values={{ said: percent(said), interval: percentRange(interval) }}
                components={{ b: <b>{percent(share)}</b> }}
              />
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
  const [now] = useState(() => new Date())
  if (answers.length === 0)
    return (
      <>
        <h2 className="text-[1.65rem]">{say('Your record')}</h2>
        <p className="mt-2 max-w-prose">
          {say(
            'Nothing was answered yet. Every answer asks how sure you are as well: both are scored, so that you learn when to look again before you write a name down.',
          )}
        </p>
      </>
    )
  const right = judged.filter((a) => a.right).length
  const lean = bearing(judged)
  const learned = learnedFrom(answers.filter((a) => a.kind !== 'cover' && a.kind !== 'rank'))
  const due = dueNow(learned.values(), now).length
  const next = [...learned.values()].map((l) => l.card.due).filter((d) => d > now).sort((a, b) => Number(a) - Number(b))[0] // prettier-ignore
  const missed = answers.filter((a) => a.kind === 'poison' && !a.right && a.answered === 'other').length
  return (
    <>
      <h2 className="text-[1.65rem]">{say('Your record')}</h2>
      <p className="mt-1 text-lg">
        <Say
          text="<b>{{right}} of {{n}}</b> right{{what}}"
          values={{ right, n: judged.length, what: lean ? `. ${bearingWords[lean]}` : '' }}
          components={{ b: <b /> }}
        />
      </p>
      <p className="text-ink-soft">
        <Say
          text="Log score {{logScore}} (0 is best, 0.69 is a coin), <word>Brier score</word> {{brierScore}} (0 is best, 0.25 is a coin). {{size}} things in learning, {{due}} due now{{what}}."
          values={{
            logScore: fixed(logScore(judged), 2) ?? say('none yet'),
            brierScore: fixed(brierScore(judged), 2) ?? say('none yet'),
            size: learned.size,
            due,
            what: next
              ? say(', the next {{ahead}}', {
                  ahead: aheadWords(next),
                })
              : '',
          }}
          components={{ word: <Word id="brier" /> }}
        />
      </p>
      {missed > 0 ? (
        <p className="mt-1 font-semibold text-harm">
          {say('{{count}} poisons were let pass. That is the mistake that counts.', { count: missed })}
        </p>
      ) : null}
      <section aria-labelledby="reliability" className="mt-4">
        <h3 id="reliability" className="text-lg">
          {say('How sure against how right')}
        </h3>
        <Reliability answers={judged} />
      </section>
      <section aria-labelledby="confused" className="mt-4">
        <h3 id="confused" className="text-lg">
          {say('Taken for one another')}
        </h3>
        <ConfusionMatrix answers={answers} />
      </section>
      <section aria-labelledby="eyes" className="mt-4">
        <h3 id="eyes" className="text-lg">
          {say('Your eye for cover')}
        </h3>
        <EyesOnCover answers={answers} />
      </section>
    </>
  )
}
