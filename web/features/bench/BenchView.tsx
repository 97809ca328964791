import { letterWords } from '@/text/taxonNames.ts'
import { useWords } from '../../language/useWords.ts'
import { inSentence } from '@/text/say.ts'
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react'
import type { NextCheck } from '@/core/naming/nextChecks.ts'
import type { Context, Observation } from '@/core/records/observation.ts'
import type { Round } from '@/core/records/round.ts'
import type { UnknownPlant } from '@/core/records/specimen.ts'
import { Leaf } from '../../parts/Leaf.tsx'
import type { MidribTip } from '../../parts/Midrib.tsx'
import { useStable } from '../../parts/useStable.ts'
import { answerWords, characterTitle, effortWords } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { useBench, useSheet } from './benchStore.ts'
import { ContextBar } from './ContextBar.tsx'
import { FindBox } from './FindBox.tsx'
import { KeepPanel, SentPanel } from './KeepPanel.tsx'
import { answersWith, useLookAhead } from './lookAhead.ts'
import { nothingChosen, Questions } from './QuestionPanel.tsx'
import { Replay } from './Replay.tsx'
import { SeenSoFar } from './SeenSoFar.tsx'
import { Specimen, SpecimenBeside } from './Specimen.tsx'
import { useKeeping } from './useKeeping.ts'
import { useBenchKeys } from './useBenchKeys.ts'
import { askEngine, useIdentification } from './useIdentification.ts'
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
const ENGINE_PATIENCE_MS = 120

interface Props {
  subject: string
  round: Round | null
  letter: string | null
  startContext: Context
}

/** Name a plant: the specimen and the question on the left, what follows on the right, the checks on the midrib. */
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
  const [asked, setAsked] = useState<string | null>(null)
  const [either, setEither] = useState<string[]>(nothingChosen)
  const [page, setPage] = useState(0)
  const [counts, setCounts] = useState<Record<string, number> | null>(null)
  const [compare, setCompare] = useState(false)
  const [finding, setFinding] = useState(false)
  const [written, setWritten] = useState('')
  const { waiting, keepUnknown, write } = useKeeping({ subject, sheet, round, letter, onSaid: setWritten })

  // Only on opening: a sheet that is already there keeps what the person chose.
  useEffect(() => bench.start(subject, startContext), []) // eslint-disable-line react-hooks/exhaustive-deps

  const suggested = result?.next.find((n) => !sheet.answers.some((a) => a.character === n.character))
  // Until the next check is worked out the question just answered stays: a stale one would jump away under the thumb.
  const waitingFor = fresh ? suggested?.character : sheet.answers.at(-1)?.character
  const current = characters.find((c) => c.id === (asked ?? waitingFor ?? 'life.form'))!
  const stage = sheet.context.stage ?? 'vegetative'

  const asks = useRef(0)
  const ask = (character: string | null) => {
    asks.current++
    setAsked(character)
    setEither(nothingChosen)
    setPage(0)
    setCounts(null)
  }
  /** The character whose answer is being worked on, and what ends when it is done. */
  const working = useRef<{ character: string; done: Promise<void> }>(undefined)
  // The answer and what follows from it come up together: the page is drawn once. A slow engine is not waited for.
  const answer = (o: Observation) => {
    const before = working.current
    // Pressed twice it is one answer; about something else it comes after the one before.
    if (before?.character === o.character) return
    const asked = asks.current
    const done = (before?.done ?? Promise.resolve()).then(async () => {
      const answers = answersWith(useBench.getState().sheets[subject]?.answers ?? sheet.answers, o)
      const patience = new Promise((r) => setTimeout(r, ENGINE_PATIENCE_MS))
      await Promise.race([askEngine(sheet.context, answers).catch(() => undefined), patience])
      if (working.current?.done === done) working.current = undefined
      bench.answer(subject, answers)
      setWritten('')
      setReplayed(null)
      // Who has asked for another look meanwhile keeps it.
      if (asks.current === asked) ask(null)
    })
    working.current = { character: o.character, done }
  }
  const undo = () => {
    bench.undo(subject)
    ask(null)
  }
  const takeAway = (character: string) => {
    bench.remove(subject, character)
    setReplayed(null)
    ask(null)
  }
  const toggleEither = (state: string) =>
    setEither((e) => (e.includes(state) ? e.filter((s) => s !== state) : [...e, state]))
  const count = (state: string) => setCounts((c) => ({ ...c, [state]: (c?.[state] ?? 0) + 1 }))
  const pulled = () => {
    if (counts && Object.keys(counts).length > 0) answer({ character: current.id, counts, sureness: bench.sureness })
    else setCounts(counts ? null : {})
  }
  const turnPage = () => setPage((p) => (current.states && (p + 1) * 9 < current.states.length ? p + 1 : 0))

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
  const tip = useMemo((): MidribTip | undefined => {
    if (named)
      return {
        label: say('Write it down'),
        detail: say('or pull a second plant of the same kind'),
        onPress: onWriteTop,
      }
    return next ? { label: nextTitle, detail: next, hotkey: 'n', onPress: onNext } : undefined
    // What is said changes with the language.
    // eslint-disable-next-line react-hooks/exhaustive-deps
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
    (u: UnknownPlant) =>
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

  const nodes = useMemo(
    () =>
      later.answers.map((a) => ({
        id: a.character,
        label: characterTitle(characters, a.character),
        detail: answerWords(a),
        onPress: () => onAsk(a.character),
        pressLabel: say('Change {{characterTitle}}: {{answerWords}}', {
          characterTitle: characterTitle(characters, a.character),
          answerWords: answerWords(a),
        }),
        onRemove: () => onTakeAway(a.character),
        removeLabel: say('Take away {{characterTitle}}', { characterTitle: characterTitle(characters, a.character) }),
      })),
    [later.answers, characters, onAsk, onTakeAway],
  )

  const left = (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-2">
        {round && letter ? (
          <p className="w-full font-semibold">
            {say('Unknown {{letter}} of {{name}}, {{holding}}', {
              letter: letterWords(letter),
              name: round.paddock.name,
              holding: round.holding,
            })}
          </p>
        ) : null}
        <ContextBar context={sheet.context} onChange={onContext} />
        <button type="button" className="min-h-11 rounded-xl border border-rule px-3" onClick={() => setFinding(true)}>
          {say('Find')} <kbd className="ml-1 text-sm text-ink-soft">/</kbd>
        </button>
        <button
          type="button"
          className="min-h-11 rounded-xl border border-rule px-3 disabled:opacity-50"
          disabled={sheet.past.length === 0}
          onClick={undo}
        >
          {say('Undo')} <kbd className="ml-1 text-sm text-ink-soft">z</kbd>
        </button>
        <button
          type="button"
          className="min-h-11 rounded-xl border border-rule px-3 disabled:opacity-50"
          disabled={sheet.answers.length === 0}
          onClick={() => {
            bench.clear(subject)
            setWritten('')
            setReplayed(null)
            ask(null)
          }}
        >
          {say('New plant')}
        </button>
      </div>
      {finding ? <FindBox onAsk={ask} onClose={() => setFinding(false)} /> : null}
      <SpecimenBeside
        id={later.specimen.id}
        form={later.specimen.form}
        answers={later.specimen.answers}
        stage={later.specimen.stage}
      />
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
    <>
      {written ? (
        <p role="status" className="mb-3 rounded-xl bg-culm px-4 py-2.5 font-semibold text-on-culm">
          {written}
        </p>
      ) : null}
      <SentPanel
        sheet={sheet}
        result={result}
        onTake={(o) =>
          write({
            plant: o.plant!,
            probability: o.probability ?? 0.5,
            evidence: result.candidates.find((c) => c.plant === o.plant)?.evidence ?? [],
          })
        }
      />
      {upTo < sheet.answers.length ? (
        <p className="mb-3 flex flex-wrap items-center justify-between gap-2 rounded-xl border-2 border-straw px-4 py-2">
          {say('As it stood after {{upTo}} of {{n}} looks.', { upTo, n: sheet.answers.length })}
          <button type="button" className="min-h-11 underline" onClick={() => setReplayed(null)}>
            {say('Back to now')}
          </button>
        </p>
      ) : null}
      {later.verdict ? (
        <VerdictPanel
          {...later.verdict}
          waiting={waiting}
          compare={compare}
          onAsk={onAsk}
          onWrite={onWrite}
          onReopen={onReopen}
        />
      ) : null}
      {round || sheet.answers.length === 0 || later.answers.length === 0 ? null : (
        <>
          <Replay sheet={sheet} upTo={upTo} onUpTo={setReplayed} />
          <KeepPanel subject={subject} sheet={sheet} result={result} onKeep={() => void keepUnknown()} />
        </>
      )}
    </>
  ) : (
    <p className="text-ink-soft">{say('Opening the book …')}</p>
  )
  return <Leaf left={left} right={right} names={halves} tip={later.tip} nodes={nodes} />
}
