import { lazy, Suspense, useMemo, useState, type ReactNode } from 'react'
import { useParams } from 'react-router'
import { fresh, reads, serverReads, useRead } from '../../data/reads.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { TwoPane } from '../../parts/TwoPane.tsx'
import { readPlaces } from '../../data/readPlaces.ts'
import { readPlan } from '../../entities/plan/usePlanLines.ts'
import { readRounds } from '../../data/readRound.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { useOutbox } from '../../stores/outboxStore.ts'
import { readAnswers, usePracticeAnswers } from '../../entities/practice/usePracticeAnswers.ts'
import { KeysChoice } from './KeysChoice.tsx'
import { LanguageChoice } from './LanguageChoice.tsx'
import { NamesChoice } from './NamesChoice.tsx'
import { UnitsChoice } from './UnitsChoice.tsx'
import { Copies } from './Copies.tsx'
import { Calendar } from './Calendar.tsx'
import { Timeline } from './Timeline.tsx'
import { timeline } from './timeline.ts'
import { say } from '../../language/say.ts'

// What was found and done is there before what needs the most script.
const YearOnYear = lazy(() => import('./YearOnYear.tsx').then((m) => ({ default: m.YearOnYear })))
const ComeBack = lazy(() => import('./ComeBack.tsx').then((m) => ({ default: m.ComeBack })))
const OwnReading = lazy(() => import('../../entities/practice/OwnReading.tsx').then((m) => ({ default: m.OwnReading })))

/** All that was written, and the book that it speaks of. */
export async function readDaybook() {
  await useOutbox.getState().drain()
  const [most, rounds, plan, namings, checks, events, places] = await Promise.all([
    fresh(reads.mostCounted).catch(() => undefined),
    readRounds(),
    readPlan().catch(() => []),
    fresh(reads.namings).catch(() => []),
    fresh(reads.checks).catch(() => []),
    fresh(reads.events).catch(() => []),
    readPlaces(),
    readAnswers(),
    useFlora.getState().load(),
  ])
  // What it opens with was read with the question which paddock that is.
  if (most?.paddockId) serverReads.setQueryData(reads.counts(most.paddockId).queryKey, most.counts)
  return { most, rounds, plan, namings, checks, events, ...places }
}

interface Read {
  read: Awaited<ReturnType<typeof readDaybook>>
}

const chapterIds = ['found', 'look-again', 'device'] as const
type ChapterId = (typeof chapterIds)[number]
const chapterName: Record<ChapterId, () => string> = {
  found: () => say('Found'),
  'look-again': () => say('Look again'),
  device: () => say('This device'),
}

/** Everything found and done, by place, word and month. */
function Found({ read, paddockId, onPaddock }: Read & { paddockId: string; onPaddock: (id: string) => void }) {
  const { paddocks, holdings } = read
  const entries = useMemo(() => timeline(read), [read])
  const [words, setWords] = useState('')
  const [month, setMonth] = useState('')
  const wanted = words.trim().toLowerCase()
  const here = entries.filter(
    (e) =>
      (paddockId === '' || e.paddockId === paddockId) &&
      (wanted === '' || `${e.text} ${e.place} ${e.kind}`.toLowerCase().includes(wanted)),
  )
  return (
    <>
      <div className="mt-2 grid max-w-xl gap-3 @md:grid-cols-2">
        <Labelled label={say('Place')}>
          {(id) => (
            <select id={id} value={paddockId} onChange={(e) => onPaddock(e.target.value)} className={inputClass}>
              <option value="">{say('All places')}</option>
              {paddocks.map((p) => (
                <option key={p.id} value={p.id}>
                  {holdings.find((h) => h.id === p.holdingId)?.name}, {p.name}
                </option>
              ))}
            </select>
          )}
        </Labelled>
        <Labelled label={say('Find in it')}>
          {(id) => (
            <input
              id={id}
              type="search"
              value={words}
              onChange={(e) => setWords(e.target.value)}
              placeholder={say('a plant, a word')}
              className={inputClass}
            />
          )}
        </Labelled>
      </div>
      <Calendar entries={here} month={month} onMonth={setMonth} />
      <Timeline key={paddockId + words + month} entries={month ? here.filter((e) => e.day.startsWith(month)) : here} />
    </>
  )
}

/** What was written, chapter by chapter: found and done, names to look at again in flower, and how this device shows it. */
export function DaybookView({ read }: Read) {
  const { paddocks, namings } = read
  const { chapter = '' } = useParams()
  const now = chapterIds.find((id) => id === chapter) ?? 'found'
  const { data: checks = read.checks } = useRead(reads.checks)
  const { answers } = usePracticeAnswers()
  const [paddockId, setPaddockId] = useState('')
  const shown = paddocks.find((p) => p.id === (paddockId || read.most?.paddockId))
  const waiting = namings.filter((n) => !checks.some((c) => c.namingId === n.id)).length
  const later = <p className="mt-5 text-ink-soft">{say('Opening …')}</p>
  const halves: Record<ChapterId, { left: ReactNode; right: ReactNode; names: { left: string; right: string } }> = {
    found: {
      names: { left: say('Daybook'), right: say('Year on year') },
      left: <Found read={read} paddockId={paddockId} onPaddock={setPaddockId} />,
      right: shown ? (
        <Suspense fallback={later}>
          <YearOnYear key={shown.id} paddock={shown} />
        </Suspense>
      ) : (
        <p>{say('Nothing was counted yet.')}</p>
      ),
    },
    'look-again': {
      names: { left: say('Names to look at'), right: say('How the eye does') },
      left: (
        <Suspense fallback={later}>
          <ComeBack namings={namings} checks={checks} />
        </Suspense>
      ),
      right: (
        <Suspense fallback={later}>
          <OwnReading namings={namings} checks={checks} answers={answers} />
        </Suspense>
      ),
    },
    device: {
      names: { left: say('This device'), right: say('Language, keys, copies') },
      left: (
        <>
          <UnitsChoice />
          <NamesChoice />
        </>
      ),
      right: (
        <>
          <LanguageChoice />
          <KeysChoice />
          <Copies />
        </>
      ),
    },
  }
  return (
    <TwoPane
      tip={
        waiting > 0
          ? {
              label: say('Check a name in flower'),
              detail: say('{{waiting}} wait', { waiting }),
              to: '/daybook/look-again',
            }
          : { label: say('Plan a round'), detail: say('count the same stops again'), to: '/plan' }
      }
      nodes={NO_NODES}
      chapters={chapterIds.map((id) => ({
        id,
        label: chapterName[id](),
        ...(id === 'look-again' && waiting > 0 ? { detail: say('{{waiting}} wait', { waiting }) } : {}),
        to: id === 'found' ? '/daybook' : `/daybook/${id}`,
        current: id === now,
      }))}
      {...halves[now]}
      left={
        <>
          <h1 className="text-[1.65rem]">{now === 'found' ? say('Daybook') : chapterName[now]()}</h1>
          {halves[now].left}
        </>
      }
    />
  )
}

const NO_NODES: never[] = []
