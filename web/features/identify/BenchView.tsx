import { useWords } from '../../language/useWords.ts'
import { inSentence } from '@/text/say.ts'
import { useSearchParams } from 'react-router'
import { useDeferredValue, useEffect, useMemo, useState } from 'react'
import type { NextCheck } from '@/core/naming/nextChecks.ts'
import type { Context } from '@/core/records/observation.ts'
import type { Round } from '@/core/records/round.ts'
import type { UndeterminedSpecimen } from '@/core/records/specimen.ts'
import { TwoPane } from '../../parts/TwoPane.tsx'
import type { NextStep } from '../../parts/StepRail.tsx'
import { useStable } from '../../parts/useStable.ts'
import { characterTitle, effortWords } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { useBench, useSheet } from './benchStore.ts'
import { BenchFollows } from './BenchFollows.tsx'
import { BenchTools } from './BenchTools.tsx'
import { FindBox } from './FindBox.tsx'
import { useLookAhead } from './lookAhead.ts'
import { Questions } from './QuestionPanel.tsx'
import { SayItLater } from './saying/SayItLater.tsx'
import { SeenSoFar } from './SeenSoFar.tsx'
import { Specimen, SpecimenBeside } from './Specimen.tsx'
import { useKeeping } from './useKeeping.ts'
import { useAnswerNodes } from './useAnswerNodes.ts'
import { useBenchKeys } from './useBenchKeys.ts'
import { useAnswering } from './useAnswering.ts'
import { useIdentification } from './useIdentification.ts'
import { VerdictPanel } from './VerdictPanel.tsx'
import { say } from '../../language/say.ts'

const halves = {
  get left() {
    return say('What was seen')
  },
  get right() {
    return say('What follows')
  },
}
const nothingNext: NextCheck[] = []
interface Props {
  subject: string
  round: Round | null
  letter: string | null
  startContext: Context
}

/** Name a plant: the specimen and the question on the left, what follows on the right, the checks on the rail between them. */
export function BenchView({ subject, round, letter, startContext }: Props) {
  const { characters, byId } = useFlora()
  const bench = useBench()
  const sheet = useSheet(subject)
  const [replayed, setReplayed] = useState<number | null>(null)
  const upTo = replayed === null || replayed >= sheet.answers.length ? sheet.answers.length : replayed
  const shown = useMemo(
    () => (upTo === sheet.answers.length ? sheet : { ...sheet, answers: sheet.answers.slice(0, upTo) }),
    [sheet, upTo],
  )
  const { result, fresh, of } = useIdentification(shown)
  const [compare, setCompare] = useState(false)
  const [finding, setFinding] = useState(false)
  const [saying, setSaying] = useState(useSearchParams()[0].has('say'))
  const [written, setWritten] = useState('')
  const { waiting, keepUnknown, write } = useKeeping({ subject, sheet, round, letter, onSaid: setWritten })

  // Only on opening: a sheet that is already there keeps what the person chose.
  useEffect(() => bench.start(subject, startContext), []) // oxlint-disable-line react/exhaustive-deps

  const suggested = result?.next.find((n) => !sheet.answers.some((a) => a.character === n.character))
  const answering = useAnswering({
    subject,
    sheet,
    // Until the next check is worked out the question just answered stays: a stale one would jump away under the thumb.
    waitingFor: fresh ? suggested?.character : sheet.answers.at(-1)?.character,
    onChanged: () => setReplayed(null),
    onAnswered: () => setWritten(''),
  })
  const { asked, current, either, page, counts, ask, answer, undo, takeAway, toggleEither, count, pulled, turnPage } =
    answering
  const stage = sheet.context.stage ?? 'vegetative'

  // A key pressed while the next question is still being worked out must not answer the one that is going.
  const settled = fresh || asked !== null
  const ahead = useLookAhead(
    sheet,
    current,
    result?.next ?? nothingNext,
    bench.sureness,
    settled && upTo === sheet.answers.length,
  )
  useBenchKeys({
    counting: counts !== null,
    count,
    pulled,
    settled,
    current,
    page,
    either,
    answer,
    toggleEither,
    turnPage,
    undo,
    takeSuggested: () => ask(null),
    find: () => setFinding(true),
    sayIt: () => setSaying(true),
    compare: () => setCompare((c) => !c),
  })

  const top = result?.candidates[0]
  const form = of.length > 0 && top ? byId.get(top.plant)?.form : undefined
  const harmless = top && byId.get(top.plant)?.role !== 'toxic'
  const held = result?.verdict.kind !== 'named' || (harmless && result.harmfulOpen.length > 0)
  const name = top ? byId.get(top.plant)?.commonName : ''

  const onNext = useStable(() => ask(null))
  const onWriteTop = useStable(() => top && write(top))
  const named = result?.verdict.kind === 'named'
  const settles = suggested?.decides ? byId.get(suggested.decides)?.commonName : undefined
  const next = suggested
    ? `${settles ? say('against {{inSentence}}: ', { inSentence: inSentence(settles) }) : ''}${effortWords[suggested.effort]}`
    : undefined
  const nextTitle = characterTitle(characters, suggested?.character ?? '')
  const words = useWords()
  const tip = useMemo((): NextStep | undefined => {
    if (named)
      return {
        label: say('Write it down'),
        detail: say('or pull a second plant of the same kind'),
        onPress: onWriteTop,
      }
    return next ? { label: nextTitle, detail: next, hotkey: 'n', onPress: onNext } : undefined
    // What is said changes with the language.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [named, next, nextTitle, onWriteTop, onNext, words])

  // The next question comes first; the drawings and what follows are redrawn when there is time for it.
  const onAsk = useStable(ask)
  const onWrite = useStable(write)
  const onAnswer = useStable(answer)
  const onEither = useStable(toggleEither)
  const onPage = useStable(turnPage)
  const onCount = useStable(count)
  const onPulled = useStable(pulled)
  const onContext = useStable((c: Context) => bench.setContext(subject, c))
  const onTakeAway = useStable(takeAway)
  const onRemove = useStable(() => takeAway(current.id))
  const onReopen = useStable(
    (u: UndeterminedSpecimen) =>
    bench.open(subject, { id: u.id, context: u.context, answers: u.observations, place: u.place, note: u.note, from: u }), // prettier-ignore
  )
  const writeLabel = held
    ? say('Write down "perhaps {{inSentence}}"', { inSentence: inSentence(name ?? '') })
    : say('Write down {{inSentence}}', { inSentence: inSentence(name ?? '') })
  const later = useDeferredValue(
    useMemo(
      () => ({
        answers: sheet.answers,
        tip,
        specimen: {
          id: sheet.id,
          form,
          answers: of,
          stage,
          next: result?.next ?? nothingNext,
          asked: current.id,
        },
        verdict: result
          ? { result, answers: of, observed: new Set(of.map((a) => a.character)), stage, writeLabel }
          : null,
      }),
      [sheet.id, sheet.answers, tip, form, of, result, current.id, stage, writeLabel],
    ),
  )

  const nodes = useAnswerNodes(later.answers, onAsk, onTakeAway)

  const left = (
    <>
      <BenchTools
        round={round}
        letter={letter}
        sheet={sheet}
        onContext={onContext}
        onFind={() => setFinding(true)}
        onSay={() => setSaying((s) => !s)}
        onUndo={undo}
        onClear={() => {
          bench.clear(subject)
          setWritten('')
          setReplayed(null)
          ask(null)
        }}
      />
      {saying ? (
        <SayItLater
          key={sheet.id}
          subject={subject}
          onAsk={onAsk}
          onTakeAway={onTakeAway}
          onClose={() => setSaying(false)}
        />
      ) : null}
      {finding ? <FindBox onAsk={ask} onClose={() => setFinding(false)} /> : null}
      <SpecimenBeside later={later.specimen} known={form !== undefined} />
      <Questions
        character={current}
        ahead={ahead}
        answer={sheet.answers.find((a) => a.character === current.id)}
        sureness={bench.sureness}
        either={either}
        page={page}
        onAnswer={onAnswer}
        onEither={onEither}
        onSureness={bench.setSureness}
        onPage={onPage}
        counts={counts}
        onCount={onCount}
        onPulled={onPulled}
        onRemove={onRemove}
      />
      <SeenSoFar answers={later.answers} onAsk={onAsk} onTakeAway={onTakeAway} />
      <div className="mt-5">
        <Specimen {...later.specimen} onAsk={onAsk} />
      </div>
    </>
  )
  const right = result ? (
    <BenchFollows
      subject={subject}
      sheet={sheet}
      round={round}
      result={result}
      written={written}
      upTo={upTo}
      onUpTo={setReplayed}
      answered={later.answers.length}
      onWrite={write}
      onKeep={() => void keepUnknown()}
    >
      {later.verdict ? <VerdictPanel {...later.verdict} {...{ waiting, compare, onAsk, onWrite, onReopen }} /> : null}
    </BenchFollows>
  ) : (
    <p className="text-ink-soft">{say('Opening the book …')}</p>
  )
  return <TwoPane left={left} right={right} names={halves} tip={later.tip} nodes={nodes} />
}
