import { Link, useLoaderData } from 'react-router'
import { fresh, reads } from '../../data/reads.ts'
import { TwoPane } from '../../parts/TwoPane.tsx'
import { readPlan } from '../../entities/plan/usePlanLines.ts'
import { readAnswers, usePracticeAnswers } from '../../entities/practice/usePracticeAnswers.ts'
import { readRound, readRounds } from '../../data/readRound.ts'
import { StepDrawn } from './StepDrawn.tsx'
import { say } from '../../language/say.ts'

/** The round of the demo valley that a newcomer walks: planned, and not counted yet. */
export async function loader() {
  const [rounds, namings, plan] = await Promise.all([
    readRounds(),
    fresh(reads.namings).catch(() => []),
    readPlan().catch(() => []),
    readAnswers(),
  ])
  const round = rounds.find((r) => r.stops > 0 && r.stopsDone < r.stops) ?? rounds[0]
  const shown = round && (await readRound(round.id).catch(() => undefined))
  return { round, shown, namings: namings.length, plan: plan.filter((p) => p.roundId === round?.id).length }
}

interface StepOfRound {
  title: string
  says: string
  to: string
  done: boolean
}

function stepsOf({ round, namings, plan }: Awaited<ReturnType<typeof loader>>, practised: number): StepOfRound[] {
  if (!round) return []
  const at = (rest: string) => `/rounds/${round.id}${rest}`
  return [
    {
      title: say('Warm the eye up'),
      says: say('Five minutes of practice: say what it is, and how sure you are.'),
      to: '/practice',
      done: practised > 0,
    },
    {
      title: say('Put the pocket sheet in the pocket'),
      says: say('What is likely in {{paddock}}, and what must not be missed, drawn.', { paddock: round.paddock }),
      to: at('/pocket'),
      done: round.stopsDone > 0,
    },
    {
      title: say('Count the first stop'),
      says: say('A key for each plant, Space for a point, Enter for the next stop, z to undo.'),
      to: at(''),
      done: round.stopsDone > 0,
    },
    {
      title: say('Name a stranger'),
      says: say('At the bench: answer what you can see in any order, and watch what is still open.'),
      to: '/bench',
      done: namings > 0,
    },
    {
      title: say('Count until it is enough'),
      says: say('The interval shrinks as you go; the screen says how many stops are still worth walking.'),
      to: at(''),
      done: round.stopsDone === round.stops,
    },
    {
      title: say('Weigh it up'),
      says: say('What it is made of, what it is worth, what could harm, what could be done.'),
      to: at('/weigh-up'),
      done: plan > 0,
    },
    {
      title: say('Hand it over'),
      says: say('Two pages for the client, before you leave the gate.'),
      to: at('/hand-over'),
      done: false,
    },
  ]
}

/** A first round in the demo valley, step by step; each step is ticked by what was really done. */
export function Component() {
  const read = useLoaderData<typeof loader>()
  const practised = usePracticeAnswers().answers.length
  const steps = stepsOf(read, practised)
  const next = steps.find((s) => !s.done)
  return (
    <TwoPane
      names={{ left: say('First round'), right: say('This step') }}
      tip={next ? { label: next.title, to: next.to } : undefined}
      nodes={steps.filter((s) => s.done).map((s) => ({ id: s.title, label: s.title, detail: say('done') }))}
      left={
        <>
          <h1 className="text-[1.65rem]">{say('A first round')}</h1>
          <p className="mt-1 max-w-prose">
            {say(
              "From a warm eye to the page in the client's hand, in the Tarrow valley, which is invented: nothing can go wrong there.",
            )}
          </p>
          <ol className="mt-4 max-w-xl">
            {steps.map((s, i) => (
              <li key={s.title} className="border-b border-rule">
                <Link to={s.to} className="flex min-h-16 items-center gap-4 px-1 py-2 hover:bg-culm/8">
                  <span
                    className={`flex size-10 shrink-0 items-center justify-center rounded-full border-2 border-culm text-lg font-bold ${s.done ? 'bg-culm text-on-culm' : ''}`}
                  >
                    {s.done ? '✓' : i + 1}
                  </span>
                  <span>
                    <b className="block text-lg">{s.title}</b>
                    <span className="text-ink-soft">{s.says}</span>
                  </span>
                </Link>
              </li>
            ))}
          </ol>
        </>
      }
      right={
        next ? (
          <>
            <h2 className="text-[1.65rem]">{next.title}</h2>
            <p className="mt-1 max-w-prose text-lg">{next.says}</p>
            <StepDrawn step={steps.indexOf(next)} shown={read.shown} />
            <Link
              to={next.to}
              className="mt-4 inline-flex min-h-13 items-center rounded-xl bg-culm px-6 text-lg font-semibold text-on-culm"
            >
              {say('Go there')}
            </Link>
            <p className="mt-4">
              <Link to="/glossary" className="flex min-h-11 items-center underline">
                {say('Words of the trade, drawn and plain')}
              </Link>
            </p>
          </>
        ) : (
          <p>{say('All done. The daybook keeps what you found; come back and check the names when they flower.')}</p>
        )
      }
    />
  )
}
