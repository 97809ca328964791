import { useWindowKeys } from '../../ui/windowKeys.ts'
import { kindName } from '@/text/practiceWords.ts'
import { useContext, useEffect, useState } from 'react'
import { MOST_EFFORT } from '@/core/practice/effort.ts'
import type { Around } from '@/core/practice/session.ts'
import { fresh, reads } from '../../data/reads.ts'
import { type Fold, PaneOfPlace, TwoPane } from '../../parts/TwoPane.tsx'
import type { NextStep } from '../../parts/StepRail.tsx'
import { readPlaces } from '../../data/readPlaces.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { practiceWorker } from '../../workers/practiceWorker.ts'
import { FirstOnes } from './FirstOnes.tsx'
import { AskedQuestion } from './AskedQuestion.tsx'
import { CoverQuestion, RankQuestion } from './FrameQuestion.tsx'
import { KeyQuestion } from './KeyQuestion.tsx'
import { Kinds } from './Kinds.tsx'
import { Outcome } from './Outcome.tsx'
import { readAnswers } from '../../entities/practice/usePracticeAnswers.ts'
import { Records } from './Records.tsx'
import { SaveAnswers } from './SaveAnswers.tsx'
import { TrainerSets } from './TrainerSets.tsx'
import { WhileOpen } from './WhileOpen.tsx'
import { usePractice, type Shown } from './usePractice.ts'
import type { Wish } from './wish.ts'
import { say } from '../../language/say.ts'

const besideOf = (shown: Shown | undefined) =>
  shown?.is === 'cover' || shown?.is === 'rank' ? 'covers' : shown?.is === 'question' || shown?.is === 'key' ? 'sureness' : undefined // prettier-ignore

/** Names that turned out to be another plant in flower. */
async function confusedInField(): Promise<string[]> {
  const [namings, checks] = await Promise.all([fresh(reads.namings), fresh(reads.checks)])
  const called = new Map(namings.map((n) => [n.id, n.plant]))
  return checks.flatMap((c) => {
    const name = called.get(c.namingId)
    return name && name !== c.was ? [[name, c.was].sort().join('|')] : []
  })
}

/** Where the reader works: the commonest region of the paddocks, what was sown in them and what was found. */
export async function readAround(): Promise<Around> {
  // The book must be read before the worker opens it.
  await Promise.all([readAnswers(), useFlora.getState().load()])
  void practiceWorker().then((w) => w.warm())
  const [{ paddocks }, found, confused] = await Promise.all([
    readPlaces().catch(() => ({ paddocks: [] })),
    fresh(reads.recentlyFound).catch(() => []),
    confusedInField().catch(() => []),
  ])
  const counts = new Map<Around['region'], number>()
  for (const p of paddocks) counts.set(p.region, (counts.get(p.region) ?? 0) + 1)
  const region = [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 'cool-humid'
  return {
    region,
    met: [...new Set([...paddocks.flatMap((p) => p.sown), ...found])],
    confused,
  }
}

/** Practice: the specimen and the question on the left, what came of it and the person's own record on the right. */
export function PracticeView({ around, wish }: { around: Around; wish: Wish }) {
  const practice = usePractice(around)
  const { answers, asks, at, shown, given, done, problem, running, set, begin, beginSet, stop } = practice
  const own = useState<Fold>('left')
  const pane = useContext(PaneOfPlace) ?? own
  const last = at + 1 >= asks.length
  // On a phone the leaf turns to what came of it, and back to the next specimen.
  const turnTo = (fold: Fold) => {
    pane[1](fold)
    window.scrollTo(0, 0)
  }
  const answer: typeof practice.answer = (part) => {
    practice.answer(part)
    // What was seen in a frame stays bright in it: that is looked at where it is.
    if (shown?.is === 'question' || shown?.is === 'key') turnTo('right')
  }
  const next = () => {
    turnTo(last ? 'right' : 'left')
    practice.next()
  }
  // What was asked for while this was still on its way.
  useEffect(() => {
    const kind = wish.take()
    if (kind) begin(kind)
  }, [wish, begin])
  // Each question begins at its top, wherever the page was when it was asked for.
  useEffect(() => {
    window.scrollTo(0, 0)
  }, [running, at])
  useWindowKeys((e) => {
    if (e.key === 'Enter' && given && !(e.target instanceof HTMLAnchorElement)) {
      e.preventDefault()
      next()
    }
  })
  const tip: NextStep = !running
    ? done.length > 0
      ? {
          label: say('Once more'),
          detail: say('{{n}} of {{n2}} were right', { n: done.filter((d) => d.right).length, n2: done.length }),
          onPress: () => begin('mixed'),
        }
      : { label: say('Five minutes'), detail: say('what is due, confused and new'), onPress: () => begin('mixed') }
    : given
      ? { label: last ? say('See how it went') : say('Next one'), hotkey: '↵', onPress: next }
      : { label: say('Answer, and say how sure'), detail: say('{{at}} of {{n}}', { at: at + 1, n: asks.length }) }
  const left = !running ? (
    <>
      <Kinds onBegin={begin} />
      <TrainerSets onOpen={beginSet} />
    </>
  ) : !shown ? (
    <>
      <h1 className="text-2xl">{say('Practice')}</h1>
      <p className="mt-1 text-ink-soft">{problem || say('Drawing …')}</p>
    </>
  ) : shown.is === 'question' ? (
    <AskedQuestion
      key={at}
      question={shown.question}
      given={given}
      onAnswer={(picked, sure, effort) => {
        const right = picked === shown.question.right
        // A poison round is about harm, not about the name: what was answered is "harmful" or "other".
        const measured = effort === undefined ? {} : { measured: { truth: MOST_EFFORT, said: effort } }
        answer({ about: shown.question.about, answered: picked, right, sure, ...measured })
      }}
    />
  ) : shown.is === 'cover' ? (
    <CoverQuestion key={at} shown={shown} given={given} onAnswer={answer} />
  ) : shown.is === 'rank' ? (
    <RankQuestion key={at} shown={shown} given={given} onAnswer={answer} />
  ) : (
    <KeyQuestion key={at} shown={shown} given={given} onAnswer={answer} />
  )
  return (
    <PaneOfPlace value={pane}>
      <TwoPane
        names={{ left: say('The specimen'), right: given ? say('What came of it') : say('Your record') }}
        tip={tip}
        nodes={done.map((d, i) => ({
          id: d.id,
          label: `${i + 1}. ${kindName(d.kind)}`,
          detail: d.right ? say('right') : say('not so'),
        }))}
        left={left}
        right={
          <>
            {running && shown && given ? <Outcome shown={shown} given={given} /> : null}
            {running && given ? (
              <button
                type="button"
                onClick={next}
                className="mt-4 min-h-12 rounded-xl bg-culm px-6 text-lg font-semibold text-on-culm"
              >
                {last ? say('See how it went') : say('Next one')}
              </button>
            ) : null}
            {running && !given ? <WhileOpen done={done} asked={asks.length} beside={besideOf(shown)} /> : null}
            {running ? (
              <p className="mt-4">
                {given ? null : say('What it is stands here once you have answered. ')}
                <button type="button" onClick={stop} className="min-h-11 underline">
                  {say('Stop here')}
                </button>
              </p>
            ) : (
              <>
                {set && done.length > 0 ? <SaveAnswers set={set} done={done} /> : null}
                <Records answers={answers} />
                {answers.length === 0 ? <FirstOnes around={around} /> : null}
              </>
            )}
          </>
        }
      />
    </PaneOfPlace>
  )
}
