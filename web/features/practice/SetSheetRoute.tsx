import { choiceWords, whyWords } from './questionWords.ts'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { PrintSheet } from '../../parts/PrintSheet.tsx'
import { shortName } from '../../stores/floraStore.ts'
import { DrawnSpecimen, heading, Picture } from './AskedQuestion.tsx'
import { useTrainerSet } from './setStore.ts'
import { makeShown, type Shown } from './usePractice.ts'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'

const letters = 'ABCDEFGH'

function PrintedQuestion({ shown, number }: { shown: Shown; number: number }) {
  if (shown.is !== 'question' && shown.is !== 'key') return null
  const question = shown.is === 'question' ? shown.question : undefined
  return (
    <section
      className="break-inside-avoid border-b border-rule pb-3"
      aria-label={say('Question {{number}}', { number })}
    >
      <h2 className="text-lg">
        {number}. {question ? heading(question) : say('Name it. Which looks led you there?')}
      </h2>
      {question ? (
        <Picture question={question} />
      ) : shown.is === 'key' ? (
        <DrawnSpecimen specimen={shown.specimen} label={say('The specimen')} className="mt-2 w-full" />
      ) : null}
      {question ? (
        <ol className="mt-2 grid grid-cols-2 gap-x-3">
          {question.choices.map((c, i) => (
            <li key={c.id} className="flex items-baseline gap-2">
              <span className="inline-block size-4 shrink-0 translate-y-0.5 rounded border-2 border-ink" />
              <span>
                {letters[i]} {choiceWords(c)}
              </span>
            </li>
          ))}
        </ol>
      ) : (
        <p className="mt-8 border-b border-ink" />
      )}
      <p className="mt-2 text-ink-soft">{say('How sure, in percent: ______')}</p>
    </section>
  )
}

function answerOf(shown: Shown): string {
  if (shown.is === 'key') return shortName(shown.specimen.plant)
  if (shown.is !== 'question') return ''
  const { choices, right, why } = shown.question
  const at = choices.findIndex((c) => c.id === right)
  return `${letters[at]}, ${choiceWords(choices[at]!)}. ${whyWords(why)}`
}

/** A trainer's set on paper: the same specimens as on the screen, and the answers on a page of their own. */
export function Component() {
  const set = useTrainerSet((s) => s.set)
  const [made, setMade] = useState<Shown[]>()
  const [problem, setProblem] = useState('')
  useEffect(() => {
    if (!set) return
    let current = true
    void Promise.all(set.questions.map((q) => makeShown({ ...q, because: 'set' }, q.seed)))
      .then((all) => current && setMade(all.filter((s) => s !== undefined)))
      .catch(
        (e: unknown) =>
          current && setProblem(say('The set could not be drawn: {{message}}', { message: (e as Error).message })),
      )
    return () => void (current = false)
  }, [set])
  if (!set)
    return (
      <main className="mx-auto max-w-2xl p-6">
        <h1 className="text-2xl">{say('No set is open')}</h1>
        <p className="mt-2">
          <Say
            text="Make or open one under <link>Practice, for trainers and groups</link>; then it can be printed."
            components={{ link: <Link to="/practice" /> }}
          />
        </p>
      </main>
    )
  return (
    <PrintSheet name={set.title} back="/practice" backLabel={say('Back to Practice')}>
      <header className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-[1.65rem]">{set.title}</h1>
        <p>{say('Name: ____________________')}</p>
      </header>
      {problem ? <p className="font-semibold text-harm">{problem}</p> : null}
      {made ? (
        <>
          <div className="mt-4 grid grid-cols-2 gap-x-6 gap-y-4">
            {made.map((shown, i) => (
              <PrintedQuestion key={i} shown={shown} number={i + 1} />
            ))}
          </div>
          <section aria-label={say('Answers')} className="mt-8 break-before-page">
            <h2 className="text-xl">{say('Answers, for the trainer')}</h2>
            <ol className="mt-2 list-decimal pl-6">
              {made.map((shown, i) => (
                <li key={i}>{answerOf(shown)}</li>
              ))}
            </ol>
            {made.length < set.questions.length ? (
              <p className="mt-2">
                {say('{{n}} of the set cannot be asked on paper and are left out.', {
                  n: set.questions.length - made.length,
                })}
              </p>
            ) : null}
          </section>
        </>
      ) : (
        <p className="mt-4">{say('Drawing {{n}} specimens …', { n: set.questions.length })}</p>
      )}
    </PrintSheet>
  )
}
