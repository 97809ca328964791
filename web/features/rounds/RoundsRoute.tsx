import { useState } from 'react'
import { Link, useLoaderData } from 'react-router'
import type { Holding, Paddock, RoundSummary } from '@/core/records/round.ts'
import { readPlaces } from '../../data/readPlaces.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { LATEST_ROUNDS } from '../../api/client.ts'
import { TwoPane } from '../../parts/TwoPane.tsx'
import type { NextStep } from '../../parts/StepRail.tsx'
import { DueList } from '../../entities/plan/DueList.tsx'
import { readPlan } from '../../entities/plan/usePlanLines.ts'
import { OpenData } from './OpenData.tsx'
import { Places } from './Places.tsx'
import { readLatestRounds, readRounds } from '../../data/readRound.ts'
import { RoundCard } from './RoundCard.tsx'
import { LINES, RoundList } from './RoundList.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { dayWords } from '../../language/dates.ts'
import { say } from '../../language/say.ts'

interface Loaded {
  rounds: RoundSummary[]
  holdings: Holding[]
  paddocks: Paddock[]
}

export async function loader(): Promise<Loaded> {
  // Only what was sown is called by the names of the book: it may come later.
  useFlora.getState().load().catch(() => undefined) // prettier-ignore
  // Without a signal the plan may not be on the device; the rounds come up all the same, and the list says so.
  const [rounds, places] = await Promise.all([readLatestRounds(), readPlaces(), readPlan().catch(() => undefined)])
  return { rounds, ...places }
}

const step = 'inline-flex min-h-12 items-center rounded-xl border-2 border-culm px-5 font-semibold text-culm'

/** Whether each word that is looked for stands in what is said of a round. */
const holds = (r: RoundSummary, words: string[]): boolean => {
  const text = `${r.paddock} ${r.holding} ${r.client} ${r.title} ${r.plannedOn}`.toLowerCase()
  return words.every((w) => text.includes(w))
}

const isDone = (r: RoundSummary) => r.stops > 0 && r.stopsDone === r.stops

function tipOf(next: RoundSummary | undefined, none: boolean): NextStep {
  if (none) return { label: say('Count here'), detail: say('a method, and the first stop opens'), to: '/count-here' }
  if (!next) return { label: say('Plan a round'), detail: say('every planned round is counted'), to: '/plan' }
  return {
    label:
      next.stopsDone > 0
        ? say('Go on with {{paddock}}', { paddock: next.paddock })
        : say('Walk {{paddock}}', { paddock: next.paddock }),
    detail: say('{{stops}} stops, {{holding}}', { stops: next.stops - next.stopsDone, holding: next.holding }),
    to: `/rounds/${next.id}`,
  }
}

/** The first screen: rounds planned and walked, and the one to walk next. */
export function Component() {
  const { rounds: latest, holdings, paddocks } = useLoaderData<typeof loader>()
  const [all, setAll] = useState<RoundSummary[]>()
  const rounds = all ?? latest
  const mayBeMore = all === undefined && latest.length >= LATEST_ROUNDS
  // The others are read when somebody looks for one; without a signal the latest are what there is.
  const readAll = () => void (mayBeMore && readRounds().then(setAll, () => undefined))
  const open = rounds.filter((r) => !isDone(r)).sort((a, b) => (a.plannedOn < b.plannedOn ? -1 : 1))
  const done = rounds.filter(isDone)
  const [sought, setSought] = useState('')
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean)
  const found = (list: RoundSummary[]) => (words.length > 0 ? list.filter((r) => holds(r, words)) : list)
  const [chosen, setChosen] = useState<string>()
  const shown = rounds.find((r) => r.id === chosen) ?? open[0] ?? done[0]
  return (
    <TwoPane
      names={{ left: say('Rounds'), right: say('This round') }}
      left={
        <>
          <h1 className="text-[1.65rem]">{say('Rounds')}</h1>
          {rounds.length > LINES ? (
            <Labelled label={say('Find a round by paddock, holding, client, title or day')}>
              {(id) => (
                <input
                  id={id}
                  type="search"
                  value={sought}
                  onFocus={readAll}
                  onChange={(e) => setSought(e.target.value)}
                  className={inputClass}
                />
              )}
            </Labelled>
          ) : null}
          {words.length > 0 && found(rounds).length === 0 ? (
            <p role="status">{say('No round is found by that.')}</p>
          ) : null}
          <RoundList
            key={`open ${sought}`}
            title={say('To walk')}
            rounds={found(open)}
            shown={shown?.id}
            onChoose={setChosen}
          />
          <DueList />
          <RoundList
            key={`done ${sought}`}
            title={say('Counted')}
            onMore={mayBeMore ? readAll : undefined}
            rounds={found(done)}
            shown={shown?.id}
            onChoose={setChosen}
          />
          <Places holdings={holdings} paddocks={paddocks} />
          <OpenData onLoaded={setChosen} />
        </>
      }
      right={
        shown ? (
          <RoundCard key={shown.id} summary={shown} paddock={paddocks.find((p) => p.id === shown.paddockId)} />
        ) : (
          <>
            <h2 className="text-[1.65rem]">{say('No round yet')}</h2>
            <p className="mt-2">
              {say(
                'Draw a paddock, or open its boundary as a file, and plan the first round: the route is drawn before anyone walks, so that no nice spot is picked.',
              )}
            </p>
            <p className="mt-4 flex flex-wrap gap-2">
              <Link to="/count-here" className={step}>
                {say('Count here, now')}
              </Link>
              <Link to="/places/new" className={step}>
                {say('Draw a paddock')}
              </Link>
            </p>
          </>
        )
      }
      tip={tipOf(open[0], rounds.length === 0)}
      nodes={done
        .slice(0, 7)
        .reverse()
        .map((r) => ({
          id: r.id,
          label: `${r.paddock}, ${dayWords(r.plannedOn)}`,
          detail: r.title,
          onPress: () => setChosen(r.id),
          pressLabel: say('Show {{paddock}}', { paddock: `${r.paddock}: ${r.title}, ${dayWords(r.plannedOn)}` }),
        }))}
    />
  )
}
