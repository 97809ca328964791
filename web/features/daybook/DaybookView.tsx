import { lazy, Suspense, useMemo, useState } from 'react'
import { fresh, reads, serverReads, useRead } from '../../data/reads.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { Leaf } from '../../parts/Leaf.tsx'
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
import { YearOnYear } from './YearOnYear.tsx'
import { say } from '../../language/say.ts'

// What stands lowest needs the most script.
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

/** Everything found and done on the left; on the right what it comes to, year on year, and names to check in flower. */
export function DaybookView({ read }: { read: Awaited<ReturnType<typeof readDaybook>> }) {
  const { paddocks, holdings, namings } = read
  const { data: checks = read.checks } = useRead(reads.checks)
  const { answers } = usePracticeAnswers()
  const entries = useMemo(() => timeline(read), [read])
  const [paddockId, setPaddockId] = useState('')
  const [words, setWords] = useState('')
  const [month, setMonth] = useState('')
  const wanted = words.trim().toLowerCase()
  const here = entries.filter(
    (e) =>
      (paddockId === '' || e.paddockId === paddockId) &&
      (wanted === '' || `${e.text} ${e.place} ${e.kind}`.toLowerCase().includes(wanted)),
  )
  const shown = paddocks.find((p) => p.id === (paddockId || read.most?.paddockId))
  const waiting = namings.filter((n) => !checks.some((c) => c.namingId === n.id)).length
  return (
    <Leaf
      names={{ left: say('Daybook'), right: say('Year on year') }}
      tip={
        waiting > 0
          ? { label: say('Check a name in flower'), detail: say('{{waiting}} wait', { waiting }), onPress: () => document.getElementById('come-back')?.scrollIntoView() } // prettier-ignore
          : { label: say('Plan a round'), detail: say('count the same stops again'), to: '/plan' }
      }
      nodes={[{ id: 'entries', label: say('Written'), detail: say('{{n}} entries', { n: entries.length }) }]}
      left={
        <>
          <h1 className="text-[1.65rem]">{say('Daybook')}</h1>
          <div className="mt-2 grid max-w-xl gap-3 @md:grid-cols-2">
            <Labelled label={say('Place')}>
              {(id) => (
                <select id={id} value={paddockId} onChange={(e) => setPaddockId(e.target.value)} className={inputClass}>
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
          <Timeline
            key={paddockId + words + month}
            entries={month ? here.filter((e) => e.day.startsWith(month)) : here}
          />
          <UnitsChoice />
          <NamesChoice />
          <LanguageChoice />
          <KeysChoice />
          <Copies />
        </>
      }
      right={
        <>
          {shown ? <YearOnYear key={shown.id} paddock={shown} /> : <p>{say('Nothing was counted yet.')}</p>}
          <Suspense fallback={<p className="mt-5 text-ink-soft">{say('Opening …')}</p>}>
            <ComeBack namings={namings} checks={checks} />
            <OwnReading namings={namings} checks={checks} answers={answers} />
          </Suspense>
        </>
      }
    />
  )
}
